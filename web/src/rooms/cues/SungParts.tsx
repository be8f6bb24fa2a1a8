import type { Song } from "../../api/client";
import { ink } from "../../theme";

interface Props {
  song: Song;
  x: (seconds: number) => number;
  width: number;
  y: number;
}

/** Where somebody sings, as a wavy line with the word. */
export function SungParts({ song, x, width, y }: Props) {
  return (
    <g>
      {song.sung.map(({ start, end }) => {
        const left = Math.max(0, x(start));
        const right = Math.min(width, x(end));
        if (right - left < 2) return null;
        return (
          <g key={start}>
            <path
              d={`M${left} ${y}${"q3 -4 6 0t6 0".repeat(Math.floor((right - left) / 12))}`}
              fill="none"
              stroke={ink.ink2}
              strokeWidth={1.4}
            />
            {right - left > 40 && (
              <text x={left} y={y - 5} fontSize={12} fill={ink.ink2}>
                sung
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
