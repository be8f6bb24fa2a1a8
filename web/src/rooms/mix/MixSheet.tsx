import Box from "@mui/material/Box";
import { useMemo, useRef, useState, type MouseEvent, type PointerEvent } from "react";
import type { Film, HeardMix, Mix, Production } from "../../api/client";
import { usePeaks } from "../../api/queries";
import { useSize } from "../../parts/useSize";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import { outlineOf } from "../cues/peaks";
import type { Ruler } from "../score/layout";
import { goTo } from "../score/playing";
import { useRulers } from "../score/useRulers";
import { useWindow } from "../score/useWindow";
import { MixStave } from "./MixStave";
import {
  bendsOf,
  busGain,
  busY,
  isInBand,
  lineAt as lineAtFrame,
  type Bend,
  type Bus,
} from "./busLine";
import { LETTER, isLong, marksOf } from "./marks";
import { catches, frameOf, freeAt, nearest, sampleOf, type Caught } from "./moments";
import { ROWS, lidGain, lidY } from "./parts";
import { type TurnEnd, type Turning } from "./turns";
import type { MixActions } from "./useMixActions";

interface Props {
  production: Production;
  film: Film;
  mix: Mix;
  heard: HeardMix | undefined;
  chosen: readonly string[];
  onChoose: (id: string | null, more: boolean) => void;
  /** The bus whose line is drawn and dragged, or null. */
  lined: Bus | null;
  actions: MixActions;
}

type Drag =
  | { kind: "seek" }
  | {
      kind: "sound";
      id: string;
      fromX: number;
      landing: number;
      /** What it can be caught by. */
      all: readonly Caught[];
      moved: boolean;
    }
  | { kind: "lid"; line: string; moved: boolean }
  | { kind: "point"; point: number; all: readonly Caught[] }
  | { kind: "turn"; turn: number; end: TurnEnd; all: readonly Caught[] };

/** How near, in pixels, the pointer takes hold of something, and is caught by a moment. */
const REACH = 8;

/** The frame of what catches the pointer; null if nothing does, or nothing is to. */
function caughtAt(ruler: Ruler, x: number, all: readonly Caught[], free: boolean): number | null {
  const frame = ruler.frame(x);
  const reach = ruler.frame(x + REACH) - frame;
  return free ? null : (nearest(all, frame, reach)?.frame ?? null);
}

/** The film on staves, as it is heard: sounds are dragged to where they land, the lid up and down. */
export function MixSheet(props: Props) {
  const { production, film, mix, heard, chosen, onChoose, lined, actions } = props;
  const [box, size] = useSize("mix", { width: 904, height: 640 });
  const fps = production.framesPerSecond;
  const wish = useRoom((s) => s.barsPerLine);
  const { seen, onScroll } = useWindow(size.height);
  const { rulers } = useRulers(film, fps, wish, size.width);
  const peaks = usePeaks(production.id, film.clock.song).data;
  const outline = useMemo(() => (peaks ? outlineOf(peaks) : null), [peaks]);
  const surface = useRef<HTMLDivElement>(null);
  const drag = useRef<Drag | null>(null);
  const [moving, setMoving] = useState<{ id: string; frame: number } | null>(null);
  const [bending, setBending] = useState<{ line: string; gain: number } | null>(null);
  const [dragged, setDragged] = useState<(Bend & { point: number }) | null>(null);
  const [turning, setTurning] = useState<Turning | null>(null);
  const bus = mix.buses.find((b) => b.bus === lined) ?? null;

  const locate = (e: MouseEvent) => {
    const edge = surface.current?.getBoundingClientRect();
    const x = e.clientX - (edge?.left ?? 0);
    const y = e.clientY - (edge?.top ?? 0);
    const line = Math.max(0, Math.min(rulers.length - 1, Math.floor(y / ROWS.height)));
    const ruler = rulers[line];
    return ruler ? { ruler, x, y: y - line * ROWS.height } : null;
  };

  const soundAt = (ruler: Ruler, x: number, y: number) =>
    marksOf(mix.laid, film, ruler, fps).find((m) => {
      const long = isLong(m);
      const from = long ? m.from : m.x - REACH;
      const to = long ? m.to : m.x + REACH + m.name.length * LETTER;
      return x >= from && x <= to && Math.abs(y - m.y) <= REACH;
    })?.sound;

  const lineAt = (ruler: Ruler, x: number, y: number) =>
    mix.lines.find((l) => {
      const frame = ruler.frame(x);
      const within = frame >= frameOf(l.start, fps) && frame <= frameOf(l.end, fps);
      return within && Math.abs(y - lidY(l.gain)) <= REACH;
    });

  /** The point of the drawn line that is there, or one more where the line itself is; null beside it. */
  const pointAt = (ruler: Ruler, x: number, y: number): number | null => {
    if (bus === null) return null;
    const bends = bendsOf(bus.line, fps);
    const near = bends.find(
      (b) =>
        Math.abs(ruler.x(b.at) - x) <= REACH && Math.abs(busY(bus.bus, b.decibels) - y) <= REACH,
    );
    if (near) return near.point;
    const on = Math.abs(y - busY(bus.bus, lineAtFrame(bends, ruler.frame(x)))) <= REACH;
    return on && isInBand(bus.bus, y) ? bus.line.length : null;
  };

  /** The end of a turn of the music that is there. */
  const turnAt = (ruler: Ruler, x: number, y: number) => {
    if (y < ROWS.music || y > ROWS.musicEnd) return null;
    const ends = mix.turns.flatMap(({ start, end }, turn) =>
      start == null || end == null
        ? []
        : [
            { turn, end: "from" as const, frame: frameOf(start, fps) },
            { turn, end: "until" as const, frame: frameOf(end, fps) },
          ],
    );
    return ends.find((at) => Math.abs(ruler.x(at.frame) - x) <= REACH / 2) ?? null;
  };

  const down = (e: PointerEvent) => {
    const at = locate(e);
    if (!at || e.button !== 0) return;
    (document.activeElement as HTMLElement | null)?.blur();
    surface.current?.setPointerCapture(e.pointerId);
    const point = pointAt(at.ruler, at.x, at.y);
    if (point !== null) {
      drag.current = { kind: "point", point, all: catches(film, null) };
      return;
    }
    const turn = turnAt(at.ruler, at.x, at.y);
    if (turn) {
      drag.current = { kind: "turn", turn: turn.turn, end: turn.end, all: catches(film, null) };
      return;
    }
    const sound = soundAt(at.ruler, at.x, at.y);
    if (sound?.place) {
      onChoose(sound.id, e.shiftKey);
      const landing = frameOf(sound.place.landing, fps);
      drag.current = {
        kind: "sound",
        id: sound.id,
        fromX: e.clientX,
        landing,
        all: catches(film, sound.id),
        moved: false,
      };
      return;
    }
    const line = lineAt(at.ruler, at.x, at.y);
    if (line) {
      drag.current = { kind: "lid", line: line.id, moved: false };
      return;
    }
    drag.current = { kind: "seek" };
    if (!e.shiftKey) onChoose(null, false);
    goTo(film, Math.floor(at.ruler.frame(at.x)));
  };

  const move = (e: PointerEvent) => {
    const at = locate(e);
    const now = drag.current;
    if (!at) return;
    if (!now) {
      const over =
        pointAt(at.ruler, at.x, at.y) !== null
          ? "move"
          : soundAt(at.ruler, at.x, at.y)
            ? "grab"
            : lineAt(at.ruler, at.x, at.y)
              ? "ns-resize"
              : turnAt(at.ruler, at.x, at.y)
                ? "ew-resize"
                : "default";
      if (surface.current) surface.current.style.cursor = over;
      return;
    }
    if (now.kind === "seek") {
      goTo(film, Math.floor(at.ruler.frame(at.x)));
    } else if (now.kind === "point") {
      setDragged({
        point: now.point,
        at: caughtAt(at.ruler, at.x, now.all, e.altKey) ?? Math.round(at.ruler.frame(at.x)),
        decibels: busGain(bus?.bus ?? "MUSIC", at.y),
      });
    } else if (now.kind === "turn") {
      setTurning({
        turn: now.turn,
        end: now.end,
        frame: caughtAt(at.ruler, at.x, now.all, e.altKey) ?? Math.round(at.ruler.frame(at.x)),
      });
    } else if (now.kind === "lid") {
      now.moved = true;
      setBending({ line: now.line, gain: lidGain(at.y) });
    } else {
      now.moved ||= Math.abs(e.clientX - now.fromX) > 4;
      if (now.moved) {
        setMoving({
          id: now.id,
          frame: caughtAt(at.ruler, at.x, now.all, e.altKey) ?? at.ruler.frame(at.x),
        });
      }
    }
  };

  const up = (e: PointerEvent) => {
    const now = drag.current;
    drag.current = null;
    /** What a moment is tied to: to what caught it, else to nothing. */
    const tieAt = (all: readonly Caught[], frame: number) =>
      (e.altKey ? null : nearest(all, frame, 0.01))?.tie ?? freeAt(frame);
    if (now?.kind === "sound" && now.moved && moving) {
      const sound = mix.laid.find((s) => s.id === now.id);
      const several = chosen.length > 1 && chosen.includes(now.id);
      if (several) {
        actions.nudge(chosen, sampleOf(moving.frame - now.landing, fps));
      } else if (sound) {
        actions.land(sound, tieAt(now.all, moving.frame));
      }
    }
    if (now?.kind === "point" && dragged && bus) {
      const was = bus.line[now.point]?.at ?? null;
      actions.point(bus.bus, was, tieAt(now.all, dragged.at), dragged.decibels);
    }
    const turn = now?.kind === "turn" ? mix.turns[now.turn] : undefined;
    if (now?.kind === "turn" && turning && turn) {
      const was = { kind: turn.kind, from: turn.from, until: turn.until };
      actions.turn({ ...was, [now.end]: tieAt(now.all, turning.frame) }, was);
    }
    if (now?.kind === "lid" && now.moved && bending) actions.bend(bending.line, bending.gain);
    rest();
  };

  /** The sound that is dragged, for staves on which it is seen before or then: others stay as drawn. */
  const movingOn = ({ stave }: Ruler) => {
    const place = moving ? mix.laid.find((s) => s.id === moving.id)?.place : undefined;
    if (!moving || !place) return null;
    const by = moving.frame - frameOf(place.landing, fps);
    const from = frameOf(place.start, fps) + Math.min(0, by);
    const to = frameOf(place.end, fps) + Math.max(0, by);
    return from < stave.end && to >= stave.start ? moving : null;
  };

  const rest = () => {
    setMoving(null);
    setBending(null);
    setDragged(null);
    setTurning(null);
  };

  /** Takes a point of the drawn line out. */
  const twice = (e: MouseEvent) => {
    const at = locate(e);
    const point = at && pointAt(at.ruler, at.x, at.y);
    const there = point == null ? undefined : bus?.line[point];
    if (bus && there) actions.point(bus.bus, there.at, null, 0);
  };

  return (
    <Box
      ref={box}
      role="region"
      aria-label="staves"
      tabIndex={0}
      onScroll={onScroll}
      sx={{ flex: 1, minHeight: 0, overflow: "hidden auto", bgcolor: ink.sheet }}
    >
      <div
        ref={surface}
        role="group"
        aria-label="Mix"
        style={{
          position: "relative",
          height: rulers.length * ROWS.height + 2,
          touchAction: "none",
          userSelect: "none",
        }}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onDoubleClick={twice}
        onPointerCancel={() => {
          drag.current = null;
          rest();
        }}
      >
        {rulers.map((ruler, i) => {
          const top = i * ROWS.height;
          if (top > seen.bottom || top + ROWS.height < seen.top) return null;
          return (
            <MixStave
              key={ruler.stave.index}
              production={production}
              film={film}
              mix={mix}
              heard={heard}
              outline={outline}
              ruler={ruler}
              top={top}
              width={size.width}
              isLast={i === rulers.length - 1}
              chosen={chosen}
              moving={movingOn(ruler)}
              lined={bus}
              dragged={dragged}
              turning={turning}
              bending={bending}
            />
          );
        })}
      </div>
    </Box>
  );
}
