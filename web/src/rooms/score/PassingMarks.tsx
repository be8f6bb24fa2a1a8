import { ink } from "../../theme";
import type { Parts, Ruler } from "./layout";
import type { CutMark } from "./marks";
import { arrowOf, isWedge } from "./passings";

/** The narrowest stretch on which missing material is drawn, in pixels. */
const LEAST = 4;

/** How shots become one another, on the pictures of a stave. */
export function PassingMarks({
  cuts,
  ruler,
  parts,
}: {
  cuts: readonly CutMark[];
  ruler: Ruler;
  parts: Parts;
}) {
  const passing = cuts.filter((cut) => cut.joint.passing);
  if (passing.length === 0) return null;
  const { picture: top, pictureEnd: foot } = parts;
  const middle = (top + foot) / 2;
  return (
    <g>
      {passing.map(({ index, x, joint: { passing } }) => {
        if (!passing) return null;
        const { how, start, end, endsShort, startsShort } = passing;
        const from = ruler.x(start);
        const to = Math.min(ruler.right, ruler.x(end));
        const kind = how.kind;
        const lacks = (frames: number, x1: number, x2: number) =>
          frames > 0 && (
            <rect
              x={Math.min(x1, x2 - LEAST)}
              y={top}
              width={Math.max(LEAST, x2 - x1)}
              height={foot - top}
              fill="url(#missing)"
            />
          );
        return (
          <g key={index} data-passing={kind}>
            {isWedge(passing) && (
              <path d={`M${from} ${foot}L${to} ${top}`} stroke={ink.sheet} strokeWidth={2.4} />
            )}
            {kind === "THROUGH" && (
              <path
                d={`M${from} ${foot}L${x} ${top}L${to} ${foot}Z`}
                fill={how.colour ?? "#000"}
                stroke={ink.sheet}
              />
            )}
            {kind === "FLASH" && (
              <path
                d={`M${from} ${top}L${x} ${foot}L${to} ${top}Z`}
                fill={how.colour ?? "#fff"}
                fillOpacity={0.85}
              />
            )}
            {kind === "WIPE" && (
              <rect
                x={from}
                y={top}
                width={Math.max(LEAST, to - from)}
                height={foot - top}
                fill="url(#soft-edge)"
              />
            )}
            {(kind === "WIPE" || kind === "PUSH" || kind === "SLIDE") && (
              <g>
                <rect
                  x={x - 11}
                  y={middle - 9}
                  width={22}
                  height={18}
                  rx={2}
                  fill={ink.sheet}
                  fillOpacity={kind === "WIPE" ? 0.75 : 1}
                />
                <text
                  x={x}
                  y={middle + 5}
                  fontSize={15}
                  fontWeight={600}
                  textAnchor="middle"
                  fill={ink.ink}
                >
                  {arrowOf(how.angle ?? 180)}
                </text>
              </g>
            )}
            {lacks(endsShort, ruler.x(end - endsShort), to)}
            {lacks(startsShort, from, ruler.x(start + startsShort))}
          </g>
        );
      })}
    </g>
  );
}
