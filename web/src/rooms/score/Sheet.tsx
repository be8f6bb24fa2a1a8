import { memo, useCallback, useMemo, useRef, useState, type PointerEvent } from "react";
import type { Film, Peaks, Production } from "../../api/client";
import { useRoom } from "../../store";
import { outlineOf } from "../cues/peaks";
import { PlayheadLine } from "./PlayheadLine";
import { StaveView } from "./StaveView";
import { aimCut, aimShot, partAt, type Aim } from "./aim";
import type { Parts, Ruler } from "./layout";
import type { ScoreActions } from "./useScoreActions";
import { limitsOf } from "./cuts";
import { goTo, select } from "./useScoreKeys";

interface Props {
  production: Production;
  film: Film;
  peaks: Peaks | undefined;
  rulers: readonly Ruler[];
  parts: Parts;
  width: number;
  actions: ScoreActions;
}

type Drag =
  | { kind: "scrub" }
  | { kind: "cut"; joint: number; fromX: number; moved: boolean }
  | { kind: "shot"; place: number; fromX: number; fromY: number; moved: boolean };

/** How far, in pixels, the pointer travels before a press becomes a drag. */
const SLACK = 5;

/** The whole film on staves: one drawing, moved by the mouse. */
export const Sheet = memo(function Sheet(props: Props) {
  const { production, film, peaks, rulers, parts, width, actions } = props;
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<Drag | null>(null);
  const [aim, setAim] = useState<Aim | null>(null);
  const place = useRoom((s) => s.place);
  const end = useRoom((s) => s.end);
  const outline = useMemo(() => (peaks ? outlineOf(peaks) : null), [peaks]);
  const height = parts.height * rulers.length + 8;

  const locate = useCallback(
    (e: PointerEvent) => {
      const box = svg.current?.getBoundingClientRect();
      const x = e.clientX - (box?.left ?? 0);
      const y = e.clientY - (box?.top ?? 0);
      const line = Math.max(0, Math.min(rulers.length - 1, Math.floor(y / parts.height)));
      const ruler = rulers[line];
      return ruler ? { ruler, x, y: y - line * parts.height } : null;
    },
    [rulers, parts.height],
  );

  const down = (e: PointerEvent) => {
    const at = locate(e);
    if (!at || e.button !== 0) return;
    (document.activeElement as HTMLElement | null)?.blur();
    svg.current?.setPointerCapture(e.pointerId);
    const hit = partAt(film, parts, at.ruler, at.x, at.y);
    if (hit.kind === "cut") {
      drag.current = { kind: "cut", joint: hit.joint, fromX: e.clientX, moved: false };
    } else if (hit.kind === "shot") {
      drag.current = {
        kind: "shot",
        place: hit.place,
        fromX: e.clientX,
        fromY: e.clientY,
        moved: false,
      };
    } else if (hit.kind === "time") {
      drag.current = { kind: "scrub" };
      goTo(film, Math.floor(at.ruler.frame(at.x)));
    } else {
      useRoom.getState().set({ place: null });
    }
  };

  const move = (e: PointerEvent) => {
    const at = locate(e);
    if (!at) return;
    const now = drag.current;
    if (!now) {
      const hit = partAt(film, parts, at.ruler, at.x, at.y);
      if (svg.current) svg.current.style.cursor = hit.cursor;
      return;
    }
    if (now.kind === "scrub") {
      goTo(film, Math.floor(at.ruler.frame(at.x)));
      return;
    }
    const dy = now.kind === "shot" ? Math.abs(e.clientY - now.fromY) : 0;
    now.moved ||= Math.max(Math.abs(e.clientX - now.fromX), dy) > SLACK;
    if (!now.moved) return;
    setAim(
      now.kind === "cut"
        ? aimCut(film, limitsOf(film, now.joint), now.joint, at.ruler, at.x, e.altKey)
        : aimShot(film, now.place, at.ruler, at.x),
    );
  };

  const up = () => {
    const now = drag.current;
    drag.current = null;
    setAim(null);
    if (!now || now.kind === "scrub") return;
    if (now.kind === "cut") {
      if (!now.moved) {
        const at = Math.min(now.joint, film.shots.length - 1);
        useRoom.getState().set({ place: at, end: at === now.joint ? "in" : "out" });
      } else if (aim?.kind === "cut") {
        if (aim.word) actions.toWord(aim.joint, aim.word);
        else if (aim.beat >= 0) actions.toBeat(aim.joint, aim.beat);
        else actions.toFrame(aim.joint, aim.frame);
      }
    } else if (!now.moved) {
      select(film, now.place);
    } else if (aim?.kind === "shot") {
      void actions.move(now.place, aim.to);
    }
  };

  return (
    <svg
      ref={svg}
      width={width}
      height={height}
      role="group"
      aria-label="Score"
      style={{ display: "block", touchAction: "none", userSelect: "none" }}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={() => {
        drag.current = null;
        setAim(null);
      }}
    >
      <defs>
        <linearGradient id="catch-up" x1="0" x2="1">
          <stop offset="0" stopColor="#FBF9F5" stopOpacity="0.94" />
          <stop offset="1" stopColor="#FBF9F5" stopOpacity="0.54" />
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
      {rulers.map((ruler, i) => (
        <g key={ruler.stave.start} transform={`translate(0 ${i * parts.height})`}>
          <StaveView
            production={production}
            film={film}
            outline={outline}
            ruler={ruler}
            parts={parts}
            isLast={i === rulers.length - 1}
            selected={place}
            selectedEnd={end}
            aim={aim}
          />
          <PlayheadLine ruler={ruler} parts={parts} isLast={i === rulers.length - 1} />
        </g>
      ))}
    </svg>
  );
});
