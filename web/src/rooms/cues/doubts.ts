import type { Song } from "../../api/client";
import { UNSURE } from "./Beats";

/** A stretch of a song whose beats are hardly heard, in seconds, and in words. */
export interface Doubt {
  from: number;
  to: number;
  words: string;
}

/** How much of a bar must be unsure before the bar is: common practice, no source. */
const MOST = 0.5;

/** The bars in which most beats are placed by the tempo rather than heard. */
export function doubtsOf(song: Song): Doubt[] {
  const runs: { first: number; last: number }[] = [];
  const bars = Math.ceil((song.beats.length - song.firstDownbeat) / song.beatsPerBar);
  for (let bar = 1; bar <= bars; bar++) {
    const from = song.firstDownbeat + (bar - 1) * song.beatsPerBar;
    const beats = song.sureness.slice(from, from + song.beatsPerBar);
    const unsure = beats.filter((s) => s < UNSURE).length / Math.max(1, beats.length);
    if (unsure <= MOST) continue;
    const run = runs.at(-1);
    if (run?.last === bar - 1) run.last = bar;
    else runs.push({ first: bar, last: bar });
  }
  const startOf = (bar: number) =>
    song.beats[song.firstDownbeat + (bar - 1) * song.beatsPerBar] ?? song.seconds;
  return runs.map(({ first, last }) => ({
    from: startOf(first),
    to: startOf(last + 1),
    words:
      first === last ? `bar ${first} is hardly heard` : `bars ${first} to ${last} are hardly heard`,
  }));
}
