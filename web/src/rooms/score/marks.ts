import type { Film, Joint } from "../../api/client";
import { headOf, type HeadKind } from "./heads";
import { isWedge } from "./passings";
import type { Parts, Ruler } from "./layout";

/** A cut as it is drawn on a stave. */
export interface CutMark {
  index: number;
  joint: Joint;
  kind: HeadKind;
  x: number;
  headX: number;
  headY: number;
  /** From the head to the pictures, as SVG path data. */
  stem: string;
  /** Whether it was moved off its moment so far that the distance is told. */
  isOff: boolean;
}

/** Frames that a cut usually comes before a phrase, which need no telling. */
const BREATH = 2;

/** How a cut is drawn. */
export function cutMark(film: Film, index: number, ruler: Ruler, parts: Parts): CutMark | null {
  const joint = film.joints[index];
  if (!joint) return null;
  const kind = headOf(joint, film.clock);
  const onWord = kind === "word";
  const x = ruler.x(joint.frame);
  const isSplit = kind !== "free" && kind !== "offbeat" && joint.offset !== 0;
  const headX = isSplit ? ruler.x(joint.frame - joint.offset) : x;
  const onBeat = joint.tie === "BEAT";
  return {
    index,
    joint,
    kind,
    x,
    headX,
    headY: onWord ? parts.pictureEnd + 8 : 63,
    stem: onWord ? `M${x} ${parts.pictureEnd}v15` : `M${x} ${onBeat ? 63 : 66}V${parts.picture}`,
    isOff: isSplit && (!onWord || Math.abs(joint.offset) > BREATH),
  };
}

/** The line of a cut through the pictures; the film's end and what is drawn as wedges have none. */
export const lineThrough = ({ x, index, joint }: CutMark, film: Film, parts: Parts) =>
  index === film.shots.length || (joint.passing && isWedge(joint.passing))
    ? ""
    : `M${x} ${parts.picture}V${parts.pictureEnd}`;
