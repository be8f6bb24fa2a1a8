import { memo } from "react";
import type { Film, Joint, ProblemKind } from "../../api/client";
import { ink } from "../../theme";
import type { Parts, Ruler } from "./layout";

interface Props {
  index: number;
  joint: Joint;
  film: Film;
  ruler: Ruler;
  parts: Parts;
  /** Whether it belongs to the selected shot, and whether the cut keys move it. */
  selection: "none" | "shot" | "moves";
}

const WRONG: readonly ProblemKind[] = [
  "TIE_NOT_HONOURED",
  "BEAT_MISSING",
  "WORD_MISSING",
  "INSIDE_WORD",
];

/** Frames that a cut usually comes before a phrase, which need no telling. */
const BREATH = 2;

/** A cut: its line through the pictures, its stem, and the head that says what it is tied to. */
export const JointView = memo(function JointView({
  index,
  joint,
  film,
  ruler,
  parts,
  selection,
}: Props) {
  const x = ruler.x(joint.frame);
  const wrong = film.problems.some((p) => p.place === index - 1 && WRONG.includes(p.kind));
  const colour = wrong ? ink.rust : selection === "none" ? ink.ink : ink.thistleDeep;
  const inside = index < film.shots.length;
  const onBeat = joint.tie === "BEAT";
  const onWord = joint.tie === "WORD";
  const headY = onWord ? parts.pictureEnd + 8 : 63;
  const headX =
    joint.tie !== "FREE" && joint.offset !== 0 ? ruler.x(joint.frame - joint.offset) : x;
  return (
    <g pointerEvents="none" data-joint={index}>
      {inside && (
        <>
          <rect
            x={x - 1.5}
            y={parts.picture}
            width={3}
            height={parts.pictureEnd - parts.picture}
            fill={ink.sheet}
          />
          <line
            x1={x}
            x2={x}
            y1={parts.picture}
            y2={parts.pictureEnd}
            stroke={colour}
            strokeWidth={1.2}
          />
        </>
      )}
      <line
        x1={x}
        x2={x}
        y1={onWord ? parts.pictureEnd : onBeat ? 63 : 66}
        y2={onWord ? parts.pictureEnd + 15 : parts.picture}
        stroke={colour}
        strokeWidth={selection === "none" ? 1.2 : 2}
      />
      {headX !== x && (!onWord || Math.abs(joint.offset) > BREATH) && (
        <>
          <line x1={headX} x2={x} y1={headY} y2={headY + (onWord ? -4 : 4)} stroke={colour} />
          <text x={x + 8} y={headY + (onWord ? 1 : 3)} fontSize={12} fill={colour}>
            {joint.offset > 0 ? "+" : "−"}
            {Math.abs(joint.offset)} f
          </text>
        </>
      )}
      <Head x={headX} y={headY} joint={joint} colour={colour} large={selection === "moves"} />
    </g>
  );
});

/** Downbeat: a dot. Beat: a ring. Word: a bar. Free: an open cup. */
export function Head({
  x,
  y = 63,
  joint,
  colour,
  large = false,
}: {
  x: number;
  y?: number;
  joint: Joint;
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
  return joint.downbeat ? (
    <circle cx={x} cy={y} r={4.5 + grow} fill={colour} />
  ) : (
    <circle cx={x} cy={y} r={3.9 + grow} fill={ink.sheet} stroke={colour} strokeWidth={1.7} />
  );
}
