import type { Mix } from "../../api/client";
import { decimal } from "../../parts/words";
import { ink } from "../../theme";
import type { Ruler } from "../score/layout";
import { gainAt } from "./lid";
import { frameOf } from "./moments";
import { lidY } from "./parts";

interface Props {
  mix: Mix;
  ruler: Ruler;
  fps: number;
  bending: { line: string; gain: number } | null;
}

/** The gain of music and clips as a line that lies on the ribbon, and what it is under each line. */
export function LidLine({ mix, ruler, fps, bending }: Props) {
  const { stave } = ruler;
  const bends = mix.lid.map((b) => ({ at: frameOf(b.sample, fps), decibels: b.decibels }));
  const within = bends.filter((b) => b.at > stave.before && b.at < stave.end);
  const edges = [stave.before, ...within.map((b) => b.at), stave.end];
  const path = edges
    .map((frame, i) => {
      const at = i === edges.length - 1 ? frame - 0.01 : frame;
      const own = within.find((b) => b.at === frame);
      const y = lidY(own ? own.decibels : gainAt(bends, at));
      return `${i === 0 ? "M" : "L"}${ruler.x(frame).toFixed(1)} ${y.toFixed(1)}`;
    })
    .join("");
  return (
    <g data-testid="lid">
      <path d={path} fill="none" stroke={ink.thistle} strokeWidth={1.5} />
      {within.map((b) => (
        <circle
          key={b.at}
          cx={ruler.x(b.at)}
          cy={lidY(b.decibels)}
          r={2.7}
          fill={ink.sheet}
          stroke={ink.thistle}
          strokeWidth={1.3}
        />
      ))}
      {mix.lines.map((line) => {
        const from = Math.max(frameOf(line.start, fps), stave.start);
        const to = Math.min(frameOf(line.end, fps), stave.end);
        if (to <= from) return null;
        const held = bending?.line === line.id ? bending.gain : null;
        const gain = held ?? line.gain;
        const x = ruler.x(from);
        const end = ruler.x(to);
        const hand = line.byHand || held !== null;
        const text = hand ? `${decimal(gain)} dB by hand` : `${decimal(gain)} dB`;
        const first = frameOf(line.start, fps) >= stave.start;
        const roomy = end - x > text.length * 6;
        return (
          <g key={line.id} pointerEvents="none">
            {hand && (
              <>
                <line
                  x1={x}
                  x2={end}
                  y1={lidY(gain)}
                  y2={lidY(gain)}
                  stroke={ink.rust}
                  strokeWidth={2}
                />
                <line
                  x1={x}
                  x2={end}
                  y1={lidY(line.byRule)}
                  y2={lidY(line.byRule)}
                  stroke={ink.rust}
                  strokeDasharray="3 3"
                />
              </>
            )}
            {first && roomy && (
              <text
                x={(x + end) / 2}
                y={Math.max(62, lidY(gain) - 5)}
                fontSize={12}
                textAnchor="middle"
                fill={hand ? ink.rust : ink.thistleDeep}
              >
                {text}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
