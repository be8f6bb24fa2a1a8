/** Beats from which a tempo at an end of a song is taken. */
const FEW = 16;
/** A change that is less than this share is none: played tempi waver by that. */
const CHANGED = 0.05;

/**
 * A song's tempo in beats a minute: "92.0", or "92.0 to 104.0" where it ends at another than it
 * began with.
 *
 * @param beats when each falls, in seconds
 * @param bpm of the whole song
 */
export function tempoOf(beats: readonly number[], bpm: number, digits: number): string {
  const first = tempo(beats.slice(0, FEW + 1));
  const last = tempo(beats.slice(-FEW - 1));
  const changes = beats.length > 2 * FEW && Math.abs(last / first - 1) > CHANGED;
  return changes ? `${first.toFixed(digits)} to ${last.toFixed(digits)}` : bpm.toFixed(digits);
}

/** The tempo that half of the beats are quicker than; a slow ending does not count. */
function tempo(beats: readonly number[]): number {
  const apart = beats.slice(1).map((b, i) => b - (beats[i] ?? 0));
  apart.sort((a, b) => a - b);
  return 60 / (apart[apart.length >> 1] ?? 1);
}
