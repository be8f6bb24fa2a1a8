import type { TitleSight } from "../../api/client";
import { face, ink } from "../../theme";

const WIDTH = 262;
const HEIGHT = 54;

/** Where a ratio of contrast stands, 1 to 21, by its logarithm. */
const up = (ratio: number) => (Math.log(ratio) / Math.log(21)) * HEIGHT;

/** A bar for each letter of a title: its contrast in the worst tenth, and what is needed. */
export function ContrastBars({ sight }: { sight: TitleSight }) {
  const letters = sight.letters.slice(0, 60);
  const each = Math.min(24, WIDTH / Math.max(1, letters.length));
  const needed = HEIGHT - up(sight.needed);
  return (
    <svg
      width="100%"
      height={HEIGHT + 16}
      role="img"
      aria-label={`Contrast of each letter; ${sight.needed} is needed, the worst has ${sight.least.toFixed(1)}`}
    >
      {letters.map((letter, i) => {
        const wrong = letter.ratio < sight.needed;
        const high = Math.max(1, up(letter.ratio));
        return (
          <g key={i}>
            <rect
              x={i * each + 0.5}
              y={HEIGHT - high}
              width={Math.max(1, each - 1.5)}
              height={high}
              fill={wrong ? ink.rust : ink.waveBody}
            />
            {each >= 9 && (
              <text
                x={i * each + each / 2}
                y={HEIGHT + 13}
                textAnchor="middle"
                fontFamily={face.serif}
                fontSize={12}
                fontWeight={wrong ? 650 : 500}
                fill={wrong ? ink.rust : ink.ink}
              >
                {letter.text}
              </text>
            )}
          </g>
        );
      })}
      <line x1={0} x2={WIDTH} y1={needed} y2={needed} stroke={ink.ink} strokeDasharray="3 3" />
    </svg>
  );
}
