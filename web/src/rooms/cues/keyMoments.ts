import type { Song } from "../../api/client";

type Moment = Song["moments"][number];

const MOMENTS: Record<Moment["kind"], string> = {
  DROP: "drop",
  HIT: "hit",
  BREAK: "break",
  SILENCE: "silence",
  ENDING: "last beat",
};

export const momentName = (moment: Moment) => MOMENTS[moment.kind];
