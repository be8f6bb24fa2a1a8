import type { KeyboardEvent } from "react";
import type { Film, Lie, Overlay, Production } from "../../api/client";
import { useDraftSoon } from "../../parts/useDraftSoon";
import { useDragging } from "../../parts/useDragging";
import { useRoom } from "../../store";
import { boxOf, coverOf, isSeen, lieAt, timeIn, withLiePoint } from "./lies";
import { MaskHandles } from "./MaskHandles";
import { watched } from "./shapes";
import type { ScoreActions } from "./useScoreActions";
import { ViewFrame } from "./ViewFrame";
import { pointName } from "./views";

interface Props {
  production: Production;
  film: Film;
  overlay: Overlay;
  actions: ScoreActions;
}

/** What a press of an arrow moves by and one of + or - sizes by, in thousandths. */
const STEP = 5;
const GROW = 10;

const drop = () => useRoom.setState({ draftLie: null });
const dropMatte = () => useRoom.setState({ draftMatte: null });

interface Drag {
  index: number;
  sizing: boolean;
  lie: Lie;
}

/** On the film's picture, where a layer lies at each of its places; or its masks. */
export function LayerFrames({ production, film, overlay, actions }: Props) {
  const frame = useRoom((s) => s.frame);
  const draft = useRoom((s) => s.draftLie);
  const what = useRoom((s) => s.onPicture);
  const set = useRoom((s) => s.set);
  const shape = useRoom((s) => s.shape);
  const sides = watched(film, production, shape);
  const cover = coverOf(overlay, sides);
  const lie = draft ?? overlay.lie;
  const matte = useRoom((s) => s.draftMatte) ?? overlay.shot.matte;
  const unit = sides.height / 210;
  const lay = () => {
    const { draftLie } = useRoom.getState();
    if (draftLie) actions.changeOverlay(overlay.shot.id, { lie: draftLie });
  };
  const soon = useDraftSoon(overlay, lay, drop);
  const { surface, take, handlers } = useDragging<Drag>((now, from, at) => {
    const point = now.lie.points[now.index];
    if (!point) return;
    const box = boxOf(point, cover, sides);
    const to = now.sizing
      ? {
          size:
            (point.size * Math.hypot(at.x - box.x, at.y - box.y)) /
            Math.max(1, Math.hypot(from.x - box.x, from.y - box.y)),
        }
      : {
          x: point.x + (1000 * (at.x - from.x)) / sides.width,
          y: point.y + (1000 * (at.y - from.y)) / sides.height,
        };
    set({ draftLie: withLiePoint(now.lie, now.index, to) });
  }, lay);
  const press = (e: KeyboardEvent, index: number) => {
    const point = lie.points[index];
    if (!point) return;
    const by = e.shiftKey ? 5 * STEP : STEP;
    const to = {
      ArrowLeft: { x: point.x - by },
      ArrowRight: { x: point.x + by },
      ArrowUp: { y: point.y - by },
      ArrowDown: { y: point.y + by },
      "+": { size: point.size + GROW },
      "=": { size: point.size + GROW },
      "-": { size: point.size - GROW },
    }[e.key];
    if (!to) return;
    e.preventDefault();
    e.stopPropagation();
    set({ draftLie: withLiePoint(lie, index, to) });
    soon.ask();
  };
  if (!isSeen(overlay, frame)) return null;
  const now = boxOf(lieAt(lie, timeIn(overlay, frame)), cover, sides);
  return (
    <svg
      ref={surface}
      viewBox={`0 0 ${sides.width} ${sides.height}`}
      style={{ position: "absolute", inset: 0, width: "100%", height: "100%", touchAction: "none" }}
      role="group"
      aria-label={what === "masks" ? "Its masks" : "Where it lies"}
      // What keys have moved is sent before anything else is edited.
      onBlur={soon.now}
      {...handlers}
    >
      {what === "masks" ? (
        <MaskHandles
          of={overlay.shot}
          masks={matte.masks}
          box={now}
          unit={unit}
          onMove={(masks) => set({ draftMatte: { ...matte, masks } })}
          onSet={(masks) => actions.setMatte(overlay.shot.id, { ...matte, masks })}
          onDrop={dropMatte}
        />
      ) : (
        lie.points.map((point, i) => (
          <ViewFrame
            key={i}
            view={boxOf(point, cover, sides)}
            label={
              lie.points.length === 1
                ? `${(point.size / 10).toFixed(0)} %`
                : `${pointName(i, lie.points.length)}, ${(point.size / 10).toFixed(0)} %`
            }
            end={
              lie.points.length === 1 || i === lie.points.length - 1
                ? "last"
                : i === 0
                  ? "first"
                  : "between"
            }
            unit={unit}
            onTake={(e, sizing) => take(e, { index: i, sizing, lie })}
            onKey={(e) => press(e, i)}
          />
        ))
      )}
    </svg>
  );
}
