import type { BusFader } from "../../api/client";
import { decimal } from "../../parts/words";
import { ink } from "../../theme";
import type { Ruler } from "../score/layout";
import { bendsOf, busY, lineAt, type Bend } from "./busLine";

interface Props {
  bus: BusFader;
  ruler: Ruler;
  fps: number;
  /** A point while it is dragged: its number, or one more. */
  dragged: (Bend & { point: number }) | null;
}

/** The level of a bus over the film as a line in its row. */
export function BusLine({ bus, ruler, fps, dragged }: Props) {
  const { stave } = ruler;
  const others = bendsOf(bus.line, fps).filter((b) => b.point !== dragged?.point);
  const bends = (dragged ? [...others, dragged] : others).sort((a, b) => a.at - b.at);
  const within = bends.filter((b) => b.at > stave.before && b.at < stave.end);
  const d = [
    { at: stave.before, decibels: lineAt(bends, stave.before) },
    ...within,
    { at: stave.end, decibels: lineAt(bends, stave.end) },
  ]
    .map(
      (b, i) =>
        `${i === 0 ? "M" : "L"}${ruler.x(b.at).toFixed(1)} ${busY(bus.bus, b.decibels).toFixed(1)}`,
    )
    .join("");
  return (
    <g data-testid={`line-${bus.bus}`} fill={ink.rust}>
      <path
        d={`M${ruler.x(stave.before)} ${busY(bus.bus, 0)}H${ruler.right}`}
        stroke={ink.rule2}
        strokeDasharray="2 3"
      />
      <path d={d} fill="none" stroke={ink.rust} strokeWidth={1.6} />
      {within.map((b) => (
        <g key={b.point}>
          <rect
            x={ruler.x(b.at) - 3}
            y={busY(bus.bus, b.decibels) - 3}
            width={6}
            height={6}
            fill={ink.sheet}
            stroke={ink.rust}
            strokeWidth={1.4}
          />
          {b === dragged && (
            <text x={ruler.x(b.at) + 7} y={busY(bus.bus, b.decibels) - 4} fontSize={12}>
              {decimal(b.decibels)} dB
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
