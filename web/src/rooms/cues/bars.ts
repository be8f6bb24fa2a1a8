import type { Song } from "../../api/client";

/** When each bar of a song begins, in seconds. */
export function barStarts(song: Song): number[] {
  return song.beats.filter((_, i) => {
    const after = i - song.firstDownbeat;
    return after >= 0 && after % song.beatsPerBar === 0;
  });
}

/** The bar, counted from 1, that begins nearest to a time. */
export function nearestBar(starts: readonly number[], seconds: number): number {
  let best = 0;
  starts.forEach((start, i) => {
    if (Math.abs(start - seconds) < Math.abs((starts[best] ?? 0) - seconds)) best = i;
  });
  return best + 1;
}
