import { useRef, type KeyboardEvent } from "react";
import type { Mask } from "../../api/client";
import { arrow } from "../../parts/arrow";
import { useDraftSoon } from "../../parts/useDraftSoon";
import { useDragging } from "../../parts/useDragging";
import { ink } from "../../theme";
import { pointsOf, withMask, withSpot } from "./masks";
import type { Window } from "./views";

/** What a press of an arrow moves a point by, in thousandths. */
const STEP = 5;

interface Props {
  /** What they belong to, as it was read last. */
  of: unknown;
  masks: readonly Mask[];
  /** Where the picture they lie on is, in the film's. */
  box: Window;
  /** What a pixel of the monitor is about, in pixels of the film. */
  unit: number;
  /** While a point is moved. */
  onMove: (masks: Mask[]) => void;
  onSet: (masks: Mask[]) => void;
  /** Goes back to what was read; always the same function. */
  onDrop: () => void;
}

/** A point that is dragged, and the masks as they were. */
interface Drag {
  mask: number;
  spot: number;
  masks: readonly Mask[];
}

/** Masks, with their points to be dragged or moved by the arrows. */
export function MaskHandles({ of, masks, box, unit, onMove, onSet, onDrop }: Props) {
  const moved = useRef<Mask[] | null>(null);
  const move = (to: Mask[]) => {
    moved.current = to;
    onMove(to);
  };
  const lay = () => {
    if (moved.current) onSet(moved.current);
    moved.current = null;
  };
  const soon = useDraftSoon(of, lay, onDrop);
  const { surface, take, handlers } = useDragging<Drag, SVGGElement>((now, _, at) => {
    const to = { x: 1000 * (at.x / box.width + 0.5), y: 1000 * (at.y / box.height + 0.5) };
    move(withSpot(now.masks, now.mask, now.spot, to));
  }, lay);
  const press = (e: KeyboardEvent, mask: number, spot: number) => {
    const now = masks[mask]?.points[spot];
    const by = arrow(e.key);
    if (!now || !by) return;
    e.preventDefault();
    e.stopPropagation();
    const step = e.shiftKey ? 5 * STEP : STEP;
    const to = { x: now.x + step * by.x, y: now.y + step * by.y };
    move(withSpot(masks, mask, spot, to));
    soon.ask();
  };
  const at = (v: number, side: number) => (v / 1000 - 0.5) * side;
  return (
    <g
      ref={surface}
      onBlur={soon.now}
      {...handlers}
      transform={`translate(${box.x} ${box.y}) rotate(${box.turn})`}
    >
      <rect
        x={-box.width / 2}
        y={-box.height / 2}
        width={box.width}
        height={box.height}
        fill="none"
        stroke="#fff"
        strokeOpacity={0.5}
        strokeWidth={unit}
      />
      {masks.map((mask, m) => (
        <g key={m}>
          <Outline mask={mask} box={box} unit={unit} />
          {mask.kind === "OUTLINE" &&
            mask.points.map((p, i) => {
              const next = mask.points[(i + 1) % mask.points.length] ?? p;
              const x = at((p.x + next.x) / 2, box.width);
              const y = at((p.y + next.y) / 2, box.height);
              return (
                <circle
                  key={`between ${i}`}
                  cx={x}
                  cy={y}
                  r={3 * unit}
                  fill="#fff"
                  fillOpacity={0.5}
                  stroke={ink.ink}
                  strokeWidth={unit}
                  style={{ cursor: "copy" }}
                  onPointerDown={(e) => {
                    const more = [...mask.points];
                    const middle = {
                      x: Math.round((p.x + next.x) / 2),
                      y: Math.round((p.y + next.y) / 2),
                    };
                    more.splice(i + 1, 0, middle);
                    const wider = withMask(masks, m, { ...mask, points: more });
                    move(wider);
                    take(e, { mask: m, spot: i + 1, masks: wider });
                  }}
                />
              );
            })}
          {mask.points.map((p, i) => (
            <rect
              key={i}
              tabIndex={0}
              role="button"
              aria-label={`Point ${i + 1} of mask ${m + 1}; arrows move it`}
              x={at(p.x, box.width) - 5 * unit}
              y={at(p.y, box.height) - 5 * unit}
              width={10 * unit}
              height={10 * unit}
              fill="#fff"
              stroke={ink.ink}
              strokeWidth={unit}
              style={{ cursor: "move" }}
              onPointerDown={(e) => take(e, { mask: m, spot: i, masks })}
              onKeyDown={(e) => press(e, m, i)}
              onDoubleClick={() => {
                if (mask.kind !== "OUTLINE" || mask.points.length <= 3) return;
                const fewer = { ...mask, points: mask.points.filter((_, k) => k !== i) };
                onSet(withMask(masks, m, fewer));
              }}
            />
          ))}
        </g>
      ))}
    </g>
  );
}

/** A mask's edge, dark under light so that it is seen on every picture. */
function Outline({ mask, box, unit }: { mask: Mask; box: Window; unit: number }) {
  const at = (p: { x: number; y: number }) =>
    `${(p.x / 1000 - 0.5) * box.width} ${(p.y / 1000 - 0.5) * box.height}`;
  const d = `M${pointsOf(mask).map(at).join("L")}Z`;
  return (
    <>
      <path d={d} fill="none" stroke={ink.ink} strokeWidth={4 * unit} pointerEvents="none" />
      <path
        d={d}
        fill="none"
        stroke="#fff"
        strokeWidth={2 * unit}
        strokeDasharray={mask.outside ? `${6 * unit} ${4 * unit}` : undefined}
        pointerEvents="none"
      />
    </>
  );
}
