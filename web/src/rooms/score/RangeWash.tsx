import type { Film } from "../../api/client";
import { useRoom } from "../../store";
import { ink } from "../../theme";
import type { Parts, Ruler } from "./layout";

/** The chosen stretch on a stave, between brackets, and the markers over the ribbon. */
export function RangeWash({ film, ruler, parts }: { film: Film; ruler: Ruler; parts: Parts }) {
  const range = useRoom((s) => s.range);
  const { stave } = ruler;
  const from = range && Math.max(range.from, stave.start);
  const to = range && Math.min(range.to, stave.end);
  return (
    <g pointerEvents="none">
      {range && from !== null && to !== null && from < to && (
        <g data-testid="range">
          <rect
            x={ruler.x(from)}
            y={22}
            width={ruler.x(to) - ruler.x(from)}
            height={28}
            fill={ink.thistle}
            fillOpacity={0.14}
          />
          {range.from >= stave.start && <Bracket x={ruler.x(from)} y={parts.bottom} turn={1} />}
          {range.to <= stave.end && <Bracket x={ruler.x(to)} y={parts.bottom} turn={-1} />}
        </g>
      )}
      {film.markers
        .filter((m) => m.at.frame >= stave.start && m.at.frame < stave.end)
        .map((m) => {
          const x = ruler.x(m.at.frame);
          // What somebody noticed while watching stands out until it is ticked off.
          const colour = m.done ? ink.ink3 : m.by === "" ? ink.ink : ink.rust;
          const says = m.by === "" ? m.note : `${m.by}: ${m.note}`;
          return (
            <g key={m.name} data-marker={m.name}>
              <line x1={x} x2={x} y1={20} y2={50} stroke={colour} strokeDasharray="2 2" />
              <path
                d={`M${x} 20h9l-3 4l3 4h-9z`}
                fill={m.done ? ink.sheet : colour}
                stroke={colour}
              />
              {!m.done && says !== "" && (
                <text
                  x={x + 12}
                  y={29}
                  fontSize={12}
                  fill={colour}
                  stroke={ink.sheet}
                  strokeWidth={3}
                  paintOrder="stroke"
                >
                  {says.length > 24 ? `${says.slice(0, 23)}…` : says}
                </text>
              )}
            </g>
          );
        })}
    </g>
  );
}

function Bracket({ x, y, turn }: { x: number; y: number; turn: 1 | -1 }) {
  return (
    <path
      d={`M${x + 5 * turn} 20H${x}V${y}`}
      fill="none"
      stroke={ink.thistleDeep}
      strokeWidth={1.6}
    />
  );
}
