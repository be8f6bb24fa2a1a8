import type { Film, Placed } from "../../api/client";

/** A shot as it was copied. */
export interface Copied {
  shotId: number;
  takeId: number;
  in: number;
  framing: Placed["framing"];
  run: Placed["run"];
  sound: Placed["sound"];
  length: number;
}

/** What a shot leaves on the clipboard. */
export function copyOf(shot: Placed): Copied {
  const { shotId, takeId, in: first, framing, run, sound } = shot;
  return { shotId, takeId, in: first, framing, run, sound, length: shot.end - shot.start };
}

/** Copies of shots; gaps are left out. */
export function copiesOf(film: Film, places: readonly number[]): Copied[] {
  return places
    .map((p) => film.shots[p])
    .filter((s): s is Placed => s !== undefined && s.takeId !== 0)
    .map(copyOf);
}
