import type { Film, Moment, Treatment } from "../../api/client";
import { momentOf } from "../score/cuts";

/** From the first of some shots to the last, and what is laid over just that. */
export interface Stretch {
  /** The shots, by their ids in the film. */
  items: readonly string[];
  start: Moment;
  end: Moment;
  /** What treats it, by its id in the film; null if nothing does yet. */
  item: string | null;
  treatments: readonly Treatment[];
}

/** The stretch that shots of the cut make; null if there are none. */
export function stretchOf(film: Film, items: readonly string[]): Stretch | null {
  const places = film.shots.flatMap((s) => (items.includes(s.id) ? [s.place] : []));
  const first = film.joints[Math.min(...places)];
  const last = film.joints[Math.max(...places) + 1];
  if (!first || !last) return null;
  const laid = film.overlays.find(
    (o) => o.shot.takeId === 0 && o.start.frame === first.frame && o.end.frame === last.frame,
  );
  return {
    items,
    start: momentOf(first),
    end: momentOf(last),
    item: laid?.shot.id ?? null,
    treatments: laid?.shot.treatments ?? [],
  };
}
