import type { Placed } from "../../api/client";
import { ink } from "../../theme";
import type { Parts, Ruler } from "./layout";

/** How high an amount is drawn at its most, as a share of the pictures' height. */
const SHARE = 0.3;

/**
 * How far what is done to a shot's picture is from rest, frame by frame, along the foot of its
 * pictures; what stays is a line.
 */
export function AmountMarks({
  shots,
  ruler,
  parts,
}: {
  shots: readonly Placed[];
  ruler: Ruler;
  parts: Parts;
}) {
  const foot = parts.pictureEnd;
  const high = (foot - parts.picture) * SHARE;
  return (
    <g pointerEvents="none">
      {shots
        .filter((s) => s.treatments.some((t) => !t.bypassed))
        .map((shot) => {
          const from = Math.max(shot.start, ruler.stave.start);
          const to = Math.min(shot.end, ruler.stave.end);
          if (to <= from) return null;
          const x1 = ruler.x(from);
          const x2 = ruler.x(to);
          const { amounts } = shot;
          if (!amounts) {
            return (
              <path
                key={shot.id}
                data-amount={shot.id}
                d={`M${x1 + 2} ${foot - 3}H${x2 - 2}`}
                stroke={ink.sheet}
                strokeWidth={4}
                strokeDasharray="6 3"
              />
            );
          }
          let d = `M${x1} ${foot}`;
          for (let f = from; f < to; f++) {
            const at = amounts[f - shot.start] ?? amounts[0] ?? 0;
            d += `L${ruler.x(f).toFixed(1)} ${(foot - (high * at) / 100).toFixed(1)}`;
          }
          return (
            <path
              key={shot.id}
              data-amount={shot.id}
              d={`${d}L${x2} ${foot}Z`}
              fill={ink.sheet}
              fillOpacity={0.82}
            />
          );
        })}
    </g>
  );
}
