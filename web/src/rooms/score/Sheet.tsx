import {
  memo,
  useCallback,
  useDeferredValue,
  useMemo,
  useRef,
  useState,
  type PointerEvent,
} from "react";
import type { Film, Peaks, Production } from "../../api/client";
import { useRoom } from "../../store";
import { outlineOf } from "../cues/peaks";
import { StaveView } from "./StaveView";
import { aimCut, aimShot, partAt, type Aim } from "./aim";
import type { Ruler, StavePlace } from "./layout";
import { jointFor, limitsFor, type Manner, type Side } from "./manner";
import type { ScoreActions } from "./useScoreActions";
import { onBeat, momentAt, onWord } from "./cuts";
import type { Window } from "./useWindow";
import { goTo, select, setRange } from "./playing";

interface Props {
  production: Production;
  film: Film;
  peaks: Peaks | undefined;
  rulers: readonly Ruler[];
  places: readonly StavePlace[];
  /** What of the sheet is in sight; staves outside are not drawn. */
  seen: Window;
  width: number;
  actions: ScoreActions;
}

type Drag =
  | { kind: "scrub" }
  | { kind: "range"; from: number }
  | { kind: "cut"; joint: number; side: Side; fromX: number; moved: boolean }
  | {
      kind: "shot";
      place: number;
      fromX: number;
      fromY: number;
      moved: boolean;
    }
  | {
      kind: "overlay";
      name: string;
      grip: "start" | "end" | "whole";
      grabbed: number;
      fromX: number;
      moved: boolean;
    }
  | { kind: "sound"; name: string; grabbed: number; fromX: number; moved: boolean };

/** How far beyond what is in sight staves are drawn, in pixels. */
const AHEAD = 160;

/** How far, in pixels, the pointer travels before a press becomes a drag. */
const SLACK = 5;

/** How near, in pixels, to a beat or a cut what is dragged is caught by it. */
const REACH = 8;

/** The whole film on staves: moved by the mouse. */
export const Sheet = memo(function Sheet(props: Props) {
  const { production, film, peaks, rulers, places, seen, width, actions } = props;
  const surface = useRef<HTMLDivElement>(null);
  const drag = useRef<Drag | null>(null);
  const [aim, setAim] = useState<Aim | null>(null);
  const place = useRoom((s) => s.place);
  const also = useRoom((s) => s.also);
  const laid = useRoom((s) => s.laid);
  const end = useRoom((s) => s.end);
  const outline = useMemo(() => (peaks ? outlineOf(peaks) : null), [peaks]);
  // Staves that scrolling will bring into sight are drawn when those that are in sight have been.
  const calm = useDeferredValue(rulers, null);
  const near = { top: seen.top - AHEAD, bottom: seen.bottom + AHEAD };
  const foot = places.at(-1);
  const height = (foot ? foot.top + foot.parts.height : 0) + 8;

  const locate = useCallback(
    (e: PointerEvent) => {
      const box = surface.current?.getBoundingClientRect();
      const x = e.clientX - (box?.left ?? 0);
      const y = e.clientY - (box?.top ?? 0);
      const line = Math.max(
        0,
        places.findLastIndex((p) => p.top <= y),
      );
      const ruler = rulers[line];
      const place = places[line];
      return ruler && place ? { ruler, parts: place.parts, x, y: y - place.top } : null;
    },
    [rulers, places],
  );

  const down = (e: PointerEvent) => {
    const at = locate(e);
    if (!at || e.button !== 0) return;
    (document.activeElement as HTMLElement | null)?.blur();
    surface.current?.setPointerCapture(e.pointerId);
    const hit = partAt(film, at.parts, at.ruler, at.x, at.y);
    if (hit.kind === "cut") {
      const { joint, side } = hit;
      drag.current = { kind: "cut", joint, side, fromX: e.clientX, moved: false };
    } else if (hit.kind === "overlay") {
      const shot = film.overlays.find((o) => o.shot.id === hit.name)?.shot;
      drag.current = {
        kind: "overlay",
        name: hit.name,
        grip: hit.grip,
        grabbed: at.ruler.frame(at.x) - (shot?.start ?? 0),
        fromX: e.clientX,
        moved: false,
      };
    } else if (hit.kind === "sound") {
      const sound = film.sounds.find((o) => o.name === hit.name);
      drag.current = {
        kind: "sound",
        name: hit.name,
        grabbed: at.ruler.frame(at.x) - (sound?.start.frame ?? 0),
        fromX: e.clientX,
        moved: false,
      };
    } else if (hit.kind === "shot") {
      drag.current = {
        kind: "shot",
        place: hit.place,
        fromX: e.clientX,
        fromY: e.clientY,
        moved: false,
      };
    } else if (hit.kind === "time" && e.shiftKey) {
      drag.current = { kind: "range", from: at.ruler.frame(at.x) };
    } else if (hit.kind === "time") {
      drag.current = { kind: "scrub" };
      goTo(film, Math.floor(at.ruler.frame(at.x)));
    } else {
      useRoom.getState().set({ place: null, also: [], laid: null });
    }
  };

  const move = (e: PointerEvent) => {
    const at = locate(e);
    if (!at) return;
    const now = drag.current;
    if (!now) {
      const hit = partAt(film, at.parts, at.ruler, at.x, at.y);
      if (surface.current) surface.current.style.cursor = hit.cursor;
      return;
    }
    if (now.kind === "scrub") {
      goTo(film, Math.floor(at.ruler.frame(at.x)));
      return;
    }
    if (now.kind === "range") {
      setRange(film, now.from, at.ruler.frame(at.x));
      return;
    }
    const dy = now.kind === "shot" ? Math.abs(e.clientY - now.fromY) : 0;
    now.moved ||= Math.max(Math.abs(e.clientX - now.fromX), dy) > SLACK;
    if (!now.moved) return;
    setAim(aimOf(now, at, e));
  };

  /** Where what is dragged would go. */
  const aimOf = (
    now: Exclude<Drag, { kind: "scrub" | "range" }>,
    at: { ruler: Ruler; x: number },
    e: PointerEvent,
  ): Aim | null => {
    const { ruler, x } = at;
    const { manner } = useRoom.getState();
    switch (now.kind) {
      case "cut":
        return aimHeld(film, now.joint, manner === "slide" ? "trim" : manner, now.side, at, e);
      case "shot": {
        if (manner !== "slide") return aimShot(film, now.place, ruler, x, e.shiftKey);
        const start = film.joints[now.place]?.frame ?? 0;
        const moved = { ruler, x: ruler.x(start) + e.clientX - now.fromX };
        return aimHeld(film, now.place, "slide", "start", moved, e);
      }
      case "overlay": {
        const shot = film.overlays.find((o) => o.shot.id === now.name)?.shot;
        if (!shot) return null;
        const length = shot.end - shot.start;
        const frame = ruler.frame(x);
        const near = (f: number) => snapped(film, ruler, f, e.altKey);
        if (now.grip === "start") {
          return {
            kind: "overlay",
            name: now.name,
            start: Math.min(near(frame), shot.end - 1),
            end: shot.end,
          };
        }
        if (now.grip === "end") {
          return {
            kind: "overlay",
            name: now.name,
            start: shot.start,
            end: Math.max(near(frame), shot.start + 1),
          };
        }
        const start = near(Math.max(0, frame - now.grabbed));
        return { kind: "overlay", name: now.name, start, end: start + length };
      }
      case "sound":
        return {
          kind: "sound",
          name: now.name,
          start: snapped(film, ruler, Math.max(0, ruler.frame(x) - now.grabbed), e.altKey),
        };
    }
  };

  const up = (e: PointerEvent) => {
    const shift = e.shiftKey;
    const now = drag.current;
    drag.current = null;
    setAim(null);
    if (!now || now.kind === "scrub" || now.kind === "range") return;
    if (!now.moved) {
      press(now, shift);
      return;
    }
    if (aim?.kind === "cut") {
      const { joint, manner, side } = aim;
      if (aim.word) actions.toMoment(joint, onWord(aim.word), manner, side);
      else if (aim.beat >= 0) {
        actions.toMoment(joint, onBeat(aim.beat), manner, side);
      } else actions.toFrame(joint, aim.frame, manner, side);
    } else if (aim?.kind === "shot") {
      if (aim.carry) void actions.carry(aim.from, aim.to);
      else void actions.move(aim.from, aim.to);
    } else if (aim?.kind === "overlay") {
      actions.changeOverlay(aim.name, {
        start: momentAt(film, aim.start),
        end: momentAt(film, aim.end),
      });
    } else if (aim?.kind === "sound") {
      const sound = film.sounds.find((s) => s.name === aim.name);
      if (sound) actions.setSound(aim.name, sound.length, sound.gain, momentAt(film, aim.start));
    }
  };

  /** What a press without a drag selects. */
  const press = (now: Exclude<Drag, { kind: "scrub" | "range" }>, shift: boolean) => {
    const { set } = useRoom.getState();
    if (now.kind === "cut") {
      const at = Math.min(now.joint, film.shots.length - 1);
      set({ place: at, also: [], laid: null, end: at === now.joint ? "in" : "out" });
    } else if (now.kind === "overlay") {
      set({ place: null, also: [], laid: now.name });
    } else if (now.kind === "shot") {
      select(film, now.place, shift);
    }
  };

  return (
    <div
      ref={surface}
      role="group"
      aria-label="Score"
      style={{
        position: "relative",
        width,
        height,
        overflow: "hidden",
        touchAction: "none",
        userSelect: "none",
      }}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={() => {
        drag.current = null;
        setAim(null);
      }}
    >
      <Fills />
      {rulers.map((ruler, i) => {
        const here = places[i];
        if (!here || !isWithin(here, calm === rulers ? near : seen)) return null;
        return (
          // Staves are known by their place, so that what is on them is moved, not made anew.
          <StaveView
            key={i}
            production={production}
            film={film}
            outline={outline}
            ruler={ruler}
            parts={here.parts}
            top={here.top}
            width={width}
            isLast={i === rulers.length - 1}
            selected={place}
            also={also}
            laid={laid}
            selectedEnd={end}
            aim={aim}
          />
        );
      })}
    </div>
  );
});

const isWithin = ({ top, parts }: StavePlace, { top: from, bottom: to }: Window) =>
  top <= to && top + parts.height >= from;

/** What staves fill parts of theirs with. */
function Fills() {
  return (
    <svg width={0} height={0} style={{ position: "absolute" }} aria-hidden>
      <defs>
        <linearGradient id="catch-up" x1="0" x2="1">
          <stop offset="0" stopColor="#FBF9F5" stopOpacity="0.94" />
          <stop offset="1" stopColor="#FBF9F5" stopOpacity="0.54" />
        </linearGradient>
        <linearGradient id="soft-edge" x1="0" x2="1">
          <stop offset="0" stopColor="#FBF9F5" stopOpacity="0" />
          <stop offset="0.5" stopColor="#FBF9F5" stopOpacity="0.9" />
          <stop offset="1" stopColor="#FBF9F5" stopOpacity="0" />
        </linearGradient>
        <pattern
          id="missing"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="6" height="6" fill="#F5DFD3" />
          <rect width="2.500" height="6" fill="#A5431F" />
        </pattern>
      </defs>
    </svg>
  );
}

/** Where a cut that is held by a side would go. */
function aimHeld(
  film: Film,
  held: number,
  manner: Manner,
  side: Side,
  { ruler, x }: { ruler: Ruler; x: number },
  e: PointerEvent,
): Aim | null {
  const joint = jointFor(film, held, manner, side);
  if (joint === null) return null;
  const limits = limitsFor(film, joint, manner, side);
  return aimCut(film, limits, joint, ruler, x, e.altKey, manner, side);
}

/** The beat or cut within reach of a frame, or the frame. */
function snapped(film: Film, ruler: Ruler, frame: number, free: boolean): number {
  const whole = Math.max(0, Math.round(frame));
  if (free) return whole;
  const near = [...film.clock.frames, ...film.joints.map((j) => j.frame)].reduce(
    (best, f) => (Math.abs(f - frame) < Math.abs(best - frame) ? f : best),
    -1e6,
  );
  return near >= 0 && Math.abs(ruler.x(near) - ruler.x(frame)) <= REACH ? near : whole;
}
