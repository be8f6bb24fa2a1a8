import { useRoom } from "../../store";
import { ink } from "../../theme";
import type { Parts, Ruler } from "./layout";

/** The playhead, on the stave that holds its frame. */
export function PlayheadLine({
  ruler,
  parts,
  isLast,
}: {
  ruler: Ruler;
  parts: Parts;
  isLast: boolean;
}) {
  const frame = useRoom((s) => s.frame);
  const { start, end } = ruler.stave;
  if (frame < start || (frame >= end && !(isLast && frame === end))) return null;
  const x = ruler.x(frame);
  return (
    <g transform={`translate(${x.toFixed(1)} 0)`} pointerEvents="none" data-testid="playhead">
      <line y1={22} y2={parts.bottom + 6} stroke={ink.thistle} strokeWidth={2} />
      <path d="M-5 17h10v5l-5 5l-5-5z" fill={ink.thistle} />
    </g>
  );
}
