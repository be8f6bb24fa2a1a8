import type { Peaks } from "../../api/client";

/** A waveform's two outlines, one value from 0 to 1 for each span. */
export interface Outline {
  perSecond: number;
  peak: Uint8Array;
  body: Uint8Array;
}

export function outlineOf(peaks: Peaks): Outline {
  return { perSecond: peaks.perSecond, peak: bytes(peaks.peak), body: bytes(peaks.body) };
}

const bytes = (base64: string) => Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));

/** The highest value within a stretch of seconds, 0 to 1; 0 outside the song. */
export function highest(values: Uint8Array, perSecond: number, from: number, to: number): number {
  let most = 0;
  const first = Math.max(0, Math.floor(from * perSecond));
  const last = Math.min(values.length, Math.max(first + 1, Math.ceil(to * perSecond)));
  for (let i = first; i < last; i++) most = Math.max(most, values[i] ?? 0);
  return most / 255;
}

/**
 * A closed SVG path of an outline over a horizontal stretch.
 *
 * @param at the seconds of the song at a position
 * @param up how far the top rises above `y` at full level; `down` likewise below
 */
export function outlinePath(
  values: Uint8Array,
  perSecond: number,
  x: number,
  width: number,
  at: (x: number) => number,
  y: number,
  up: number,
  down: number,
): string {
  const step = 2;
  let top = "";
  let bottom = "";
  let from = at(x);
  for (let dx = 0; dx <= width; dx += step) {
    const to = at(x + dx + step);
    const level = highest(values, perSecond, from, to);
    from = to;
    const here = tenths(x + dx);
    top += `L${here} ${tenths(y - level * up)}`;
    if (down > 0) bottom = `L${here} ${tenths(y + level * down)}${bottom}`;
  }
  if (down === 0) return `M${tenths(x)} ${tenths(y)}${top}V${tenths(y)}Z`;
  return `M${top.slice(1)}${bottom}Z`;
}

const tenths = (value: number) => Math.round(10 * value) / 10;
