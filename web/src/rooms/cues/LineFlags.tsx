import type { VoiceLine } from "../../api/client";
import { fraunces, ink } from "../../theme";

interface Props {
  lines: readonly VoiceLine[];
  /** Where a time of the film lies across the song. */
  x: (seconds: number) => number;
  width: number;
  y: number;
  onGo: (seconds: number) => void;
}

const HEIGHT = 18;
/** Letters are about this wide, for how many words have room. */
const LETTER = 6.4;

/** Under the beats, where each line of the narration is spoken. */
export function LineFlags({ lines, x, width, y, onGo }: Props) {
  const placed = lines.flatMap((line) =>
    line.starts === null || line.ends === null
      ? []
      : [{ line, starts: line.starts, left: x(line.starts), right: x(line.ends) }],
  );
  return (
    <g>
      {placed.map(({ line, starts, left, right }) => {
        if (right < 0 || left > width) return null;
        const room = Math.max(16, Math.min(right, width) - left);
        return (
          <g key={line.number} style={{ cursor: "pointer" }} onPointerDown={() => onGo(starts)}>
            <path d={`M${left} ${y - 12}V${y}`} stroke={ink.ink2} />
            <rect
              x={left}
              y={y}
              width={room}
              height={HEIGHT}
              rx={2}
              fill={ink.band}
              stroke={ink.ink2}
            />
            <text
              x={left + 4}
              y={y + 13.5}
              fontFamily={fraunces.fontFamily}
              fontStyle="italic"
              fontSize={13}
              fill={ink.thistleDeep}
            >
              {line.number}
            </text>
            <text x={left + 18} y={y + 13} fontSize={12} fill={ink.ink}>
              {fitting(line.text, room - 20)}
            </text>
            <title>
              line {line.number}: {line.text}
            </title>
          </g>
        );
      })}
    </g>
  );
}

/** The first words of a text that have room. */
function fitting(text: string, room: number): string {
  let shown = "";
  for (const word of text.split(" ")) {
    const longer = shown === "" ? word : `${shown} ${word}`;
    if (longer.length * LETTER > room) break;
    shown = longer;
  }
  return shown;
}
