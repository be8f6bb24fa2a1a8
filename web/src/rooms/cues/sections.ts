import type { Song } from "../../api/client";

type Section = Song["sections"][number];
type Moment = Song["moments"][number];

const NAMES: Record<Section["name"], string> = {
  OPENING: "opening",
  QUIET: "quiet",
  BUILD: "build",
  FULL: "full",
  CODA: "coda",
};

const MOMENTS: Record<Moment["kind"], string> = {
  DROP: "drop",
  HIT: "hit",
  BREAK: "break",
  SILENCE: "silence",
  ENDING: "last beat",
};

/** "build B": what a section does, and the letter of its kind where another sounds like it. */
export function sectionName(section: Section, all: readonly Section[]): string {
  const again = all.filter((s) => s.kind === section.kind).length > 1;
  return again ? `${NAMES[section.name]} ${section.kind}` : NAMES[section.name];
}

export const momentName = (moment: Moment) => MOMENTS[moment.kind];
