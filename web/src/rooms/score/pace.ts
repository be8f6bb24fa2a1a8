import type { Song } from "../../api/client";

/** How quickly each section is to move, 1 as the film does in the mean. */
export type Speeds = readonly number[];

/** What can be drawn. */
export const SLOWEST = 0.5;
export const QUICKEST = 2;

/** The pace of a song's sections as drawn or, in an even cut, by their energy; what fits the strip. */
export function paceOf({ pace, ownPace }: Pick<Song, "pace" | "ownPace">): Speeds {
  return (pace.length > 0 ? pace : ownPace).map((v) => Math.min(QUICKEST, Math.max(SLOWEST, v)));
}
