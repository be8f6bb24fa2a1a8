/** The part of a song that is drawn, in seconds. */
export interface Shown {
  from: number;
  to: number;
}

/** How much of a song is drawn when it is looked at closely, in seconds. */
const CLOSE = 12;

/** Where a time lies across a drawing of the part that is shown. */
export function placeIn({ from, to }: Shown, width: number): (seconds: number) => number {
  return (seconds) => ((seconds - from) / Math.max(0.01, to - from)) * width;
}

/** The time at a part of the way across such a drawing. */
export function timeIn({ from, to }: Shown, part: number): number {
  return from + part * (to - from);
}

/** A close view of a song around a time. */
export function closeTo(at: number, length: number): Shown {
  const from = Math.max(0, Math.min(at - CLOSE / 2, length - CLOSE));
  return { from, to: Math.min(length, from + CLOSE) };
}

/** The view that has a time in it: the same one, or the next of its length. */
export function turnedTo(shown: Shown, at: number, length: number): Shown {
  if (at >= shown.from && at < shown.to) return shown;
  const width = shown.to - shown.from;
  const from = Math.max(0, Math.min(at - width / 12, length - width));
  return { from, to: from + width };
}
