import type { Mix } from "../../api/client";
import { ink } from "../../theme";
import type { Ruler } from "../score/layout";
import { frameOf } from "./moments";
import { ROWS } from "./parts";
import { TURNS } from "./turns";

/** Where the music stops or grows dull, on its ribbon. */
export function TurnMarks({ mix, ruler, fps }: { mix: Mix; ruler: Ruler; fps: number }) {
  const { stave } = ruler;
  return (
    <g data-testid="turns">
      {mix.turns.map(({ kind, start, end }, i) => {
        if (start == null || end == null) return null;
        const from = Math.max(frameOf(start, fps), stave.start);
        const to = Math.min(frameOf(end, fps), stave.end);
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
