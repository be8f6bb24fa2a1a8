import type { Song } from "../../api/client";

/** How quickly each section is to move, 1 as the film does in the mean. */
export type Speeds = readonly number[];

/** What can be drawn. */
export const SLOWEST = 0.5;
export const QUICKEST = 2;

/** The pace of a song's sections as drawn or, about as an even cut has it, by their energy. */
export function paceOf({ sections, pace }: Pick<Song, "sections" | "pace">): Speeds {
  if (pace.length > 0) return pace;
  const mean = sections.reduce((sum, s) => sum + s.energy, 0) / Math.max(1, sections.length);
  return sections.map((s) => Math.min(QUICKEST, Math.max(SLOWEST, 4 ** (s.energy - mean))));
}
