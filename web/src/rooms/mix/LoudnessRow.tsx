import { useMemo } from "react";
import type { HeardMix } from "../../api/client";
import { ink } from "../../theme";
import { SHEET, type Ruler } from "../score/layout";
import { frameOf } from "./moments";
import { ROWS, TARGET, loudnessY } from "./parts";

interface Props {
  heard: HeardMix;
  ruler: Ruler;
  fps: number;
}

/** How loud the film is: 3 s in ink, 400 ms behind it, pale; and the moments that are held down. */
export function LoudnessRow({ heard, ruler, fps }: Props) {
  const { stave } = ruler;
  const paths = useMemo(() => {
    const path = (levels: readonly number[]) => {
      const first = Math.max(0, Math.floor((stave.before / fps) * 10));
      const last = Math.min(levels.length, Math.ceil((stave.end / fps) * 10) + 1);
      return levels
        .slice(first, last)
        .map((lufs, i) => {
          const frame = Math.min(stave.end, ((first + i + 1) / 10) * fps);
          return `${i === 0 ? "M" : "L"}${ruler.x(frame).toFixed(1)} ${loudnessY(lufs).toFixed(1)}`;
        })
        .join("");
    };
    return { momentary: path(heard.momentary), shortTerm: path(heard.shortTerm) };
  }, [heard, ruler, stave, fps]);
  const held = heard.held.filter((h) => {
    const frame = frameOf(h.sample, fps);
    return frame >= stave.start && frame < stave.end;
  });
  return (
    <g pointerEvents="none">
      <rect
        x={SHEET.lead}
        width={ruler.right - SHEET.lead}
        y={loudnessY(TARGET + 3)}
        height={loudnessY(TARGET - 3) - loudnessY(TARGET + 3)}
        fill={ink.mossWash}
      />
      <line
        x1={SHEET.lead}
        x2={ruler.right}
        y1={loudnessY(TARGET)}
        y2={loudnessY(TARGET)}
        stroke={ink.moss}
        strokeDasharray="2 3"
      />
      <path d={paths.momentary} fill="none" stroke={ink.rule2} />
      <path d={paths.shortTerm} fill="none" stroke={ink.ink} strokeWidth={1.5} />
      {held.map((h) => (
        <path
          key={h.sample}
          d={`M${ruler.x(frameOf(h.sample, fps)) - 4} ${ROWS.loudness - 3}h8l-4 6z`}
          fill={ink.ink2}
        >
          <title>{`held down by ${h.over.toFixed(1)} dB`}</title>
        </path>
      ))}
    </g>
  );
}
