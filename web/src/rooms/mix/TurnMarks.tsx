import type { Mix } from "../../api/client";
import { ink } from "../../theme";
import type { Ruler } from "../score/layout";
import { frameOf } from "./moments";
import { ROWS } from "./parts";
import { TURNS, type Turning } from "./turns";

/** Where the music stops or grows dull, on its ribbon. */
export function TurnMarks(props: { mix: Mix; ruler: Ruler; fps: number; turning: Turning | null }) {
  const { mix, ruler, fps, turning } = props;
  const { stave } = ruler;
  return (
    <g data-testid="turns">
      {mix.turns.map(({ kind, start, end }, i) => {
        if (start == null || end == null) return null;
        const held = turning?.turn === i ? turning : null;
        const begins = held?.end === "from" ? held.frame : frameOf(start, fps);
        const ends = held?.end === "until" ? held.frame : frameOf(end, fps);
        const from = Math.max(begins, stave.start);
        const to = Math.min(ends, stave.end);
        if (to <= from) return null;
        const x = ruler.x(from);
        const width = ruler.x(to) - x;
        const room = width > TURNS[kind].length * 6;
        return (
          <g key={i}>
            {kind === "STOP" ? (
              <rect
                x={x}
                y={ROWS.music}
                width={width}
                height={ROWS.musicEnd - ROWS.music}
                fill={ink.sheet}
                stroke={ink.ink2}
                strokeDasharray="2 2"
              />
            ) : (
              <path
                d={`M${x} ${ROWS.music}H${x + width}V${ROWS.musicEnd - 8}Z`}
                fill={ink.sheet}
                fillOpacity={0.75}
                stroke={ink.ink2}
                strokeDasharray="2 2"
              />
            )}
            {room && (
              <text
                x={x + width - 4}
                y={ROWS.music + 12}
                fontSize={12}
                textAnchor="end"
                fill={ink.ink2}
              >
                {TURNS[kind]}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
