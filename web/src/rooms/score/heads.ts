import type { Clock, Joint } from "../../api/client";
import { isOffbeat } from "./cuts";

/** What a cut's head tells: which moment of which clock it obeys. */
export type HeadKind = "downbeat" | "beat" | "offbeat" | "word" | "free";

/** The head of a cut; offbeat if it is tied half-way to the next beat. */
export function headOf(joint: Joint, clock: Clock): HeadKind {
  if (joint.tie === "FREE") return "free";
  if (joint.tie === "WORD") return "word";
  if (isOffbeat(clock, joint)) return "offbeat";
  return joint.downbeat ? "downbeat" : "beat";
}

/** Heads that are filled; the others are outlines on paper. */
export const isSolid = (kind: HeadKind) => kind === "downbeat" || kind === "word";

const RADIUS: Record<HeadKind, number> = {
  downbeat: 4.5,
  beat: 3.9,
  offbeat: 2.4,
  word: 5.5,
  free: 4.2,
};

/**
 * The outline of a head around a point, as SVG path data. Downbeat: a dot. Beat: a ring, a small
 * one between two. Word: a bar. Free: an open cup.
 *
 * @param grow how much larger than usual, in pixels of its radius
 */
export function headPath(kind: HeadKind, x: number, y: number, grow = 0): string {
  const r = RADIUS[kind] + grow;
  switch (kind) {
    case "free":
      return `M${x - r} ${y - r + 1}v${r - 1}a${r} ${r} 0 0 0 ${2 * r} 0v${-(r - 1)}`;
    case "word":
      return `M${x - r} ${y - 2 - grow / 2}h${2 * r}v${4 + grow}h${-2 * r}z`;
    default:
      return `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;
  }
}
