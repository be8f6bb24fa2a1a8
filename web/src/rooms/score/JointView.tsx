import { memo } from "react";
import type { Joint, ProblemKind } from "../../api/client";
import { ink } from "../../theme";
import type { Parts, Ruler } from "./layout";

interface Props {
  index: number;
  joint: Joint;
  /** Whether it is the film's last cut, which ends it. */
  last: boolean;
  /** Whether it is tied half-way to the next beat. */
  offbeat: boolean;
  /** Whether something is wrong with what it is tied to. */
  wrong: boolean;
  ruler: Ruler;
  parts: Parts;
  /** Whether it belongs to the selected shot, and whether the cut keys move it. */
  selection: "none" | "shot" | "moves";
}

/** What can be wrong with the cut that ends a shot. */
export const WRONG_CUT: ReadonlySet<ProblemKind> = new Set<ProblemKind>([
  "TIE_NOT_HONOURED",
  "BEAT_MISSING",
  "WORD_MISSING",
  "INSIDE_WORD",
]);

/** Frames that a cut usually comes before a phrase, which need no telling. */
const BREATH = 2;

/** A cut: its line through the pictures, its stem, and the head that says what it is tied to. */
export const JointView = memo(function JointView({
  index,
  joint,
  last,
  offbeat,
  wrong,
  ruler,
  parts,
  selection,
}: Props) {
  const x = ruler.x(joint.frame);
  const colour = wrong ? ink.rust : selection === "none" ? ink.ink : ink.thistleDeep;
  const onBeat = joint.tie === "BEAT";
  const onWord = joint.tie === "WORD";
  const headY = onWord ? parts.pictureEnd + 8 : 63;
  const headX =
    joint.tie !== "FREE" && joint.offset !== 0 && !offbeat
      ? ruler.x(joint.frame - joint.offset)
      : x;
  const stem = onWord
    ? `M${x} ${parts.pictureEnd}v15`
    : `M${x} ${onBeat ? 63 : 66}V${parts.picture}`;
  return (
    <g pointerEvents="none" data-joint={index}>
      <path
        d={`${last ? "" : `M${x} ${parts.picture}V${parts.pictureEnd}`}${stem}`}
        stroke={colour}
        strokeWidth={selection === "none" ? 1.2 : 2}
      />
      {headX !== x && (!onWord || Math.abs(joint.offset) > BREATH) && (
        <>
          <line x1={headX} x2={x} y1={headY} y2={headY + (onWord ? -4 : 4)} stroke={colour} />
          <text x={x + 8} y={headY + (onWord ? 1 : 3)} fill={colour}>
            {joint.offset > 0 ? "+" : "−"}
            {Math.abs(joint.offset)} f
          </text>
        </>
      )}
      <Head
        x={headX}
        y={headY}
        joint={joint}
        offbeat={offbeat}
        colour={colour}
        large={selection === "moves"}
      />
    </g>
  );
});

/** Downbeat: a dot. Beat: a ring, a small one between two. Word: a bar. Free: an open cup. */
export function Head({
  x,
  y = 63,
  joint,
  offbeat,
  colour,
  large = false,
}: {
  x: number;
  y?: number;
  joint: Joint;
  offbeat: boolean;
  colour: string;
  large?: boolean;
}) {
  const grow = large ? 1.5 : 0;
  if (joint.tie === "FREE") {
    const r = 4.2 + grow;
    return (
      <path
        d={`M${x - r} ${y - r + 1}v${r - 1}a${r} ${r} 0 0 0 ${2 * r} 0v${-(r - 1)}`}
        fill={ink.sheet}
        stroke={colour}
        strokeWidth={1.7}
      />
    );
  }
  if (joint.tie === "WORD") {
    return (
      <rect
        x={x - 5.5 - grow}
        y={y - 2 - grow / 2}
        width={11 + 2 * grow}
        height={4 + grow}
        fill={colour}
      />
    );
  }
  return joint.downbeat && !offbeat ? (
    <circle cx={x} cy={y} r={4.5 + grow} fill={colour} />
  ) : (
    <circle
      cx={x}
      cy={y}
      r={(offbeat ? 2.4 : 3.9) + grow}
      fill={ink.sheet}
      stroke={colour}
      strokeWidth={1.7}
    />
  );
}
