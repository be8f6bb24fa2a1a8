import type { Clock } from "../api/client";

const two = (n: number) => String(n).padStart(2, "0");

/** Timecode as minutes, seconds and frames; frames are counted, at a rounded rate. */
export function timecode(frame: number, framesPerSecond: number): string {
  const base = Math.round(framesPerSecond);
  const seconds = Math.floor(frame / base);
  return `${two(Math.floor(seconds / 60))}:${two(seconds % 60)}:${two(Math.floor(frame % base))}`;
}

/** Seconds as m:ss.s. */
export function clockTime(seconds: number): string {
  const tenths = Math.round(seconds * 10);
  const s = Math.floor(tenths / 10);
  return `${Math.floor(s / 60)}:${two(s % 60)}.${tenths % 10}`;
}

export const seconds = (value: number, digits = 1) => `${value.toFixed(digits)} s`;

/** The last beat at or before a frame; -1 before the first. */
export function beatAt(clock: Clock, frame: number): number {
  const frames = clock.frames;
  let low = 0;
  let high = frames.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((frames[middle] ?? Infinity) <= frame) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/** The bar of a beat, 1 from the first downbeat; 0 and below in the lead-in. */
export const barOf = (clock: Clock, beat: number) =>
  Math.floor((beat - clock.firstDownbeat) / clock.beatsPerBar) + 1;

/** The place of a beat in its bar, from 1. */
export const placeInBar = (clock: Clock, beat: number) => {
  const n = clock.beatsPerBar;
  return ((((beat - clock.firstDownbeat) % n) + n) % n) + 1;
};

export const isDownbeat = (clock: Clock, beat: number) => placeInBar(clock, beat) === 1;

/** A beat's bar and place in it, as "13.2". */
export const beatName = (clock: Clock, beat: number) =>
  `${barOf(clock, beat)}.${placeInBar(clock, beat)}`;

/** Frames from beat to beat past the song's last one: as in its last bar. 0 without a tempo. */
export function lastStep(clock: Clock): number {
  const last = clock.frames.length - 1;
  if (last < 1) return 0;
  const from = Math.max(0, last - clock.beatsPerBar);
  return ((clock.frames[last] ?? 0) - (clock.frames[from] ?? 0)) / (last - from);
}

/** Bar and beat at a frame, counted on past the song; a dash before its first beat or without one. */
export function barBeat(clock: Clock, frame: number): string {
  const beat = beatAt(clock, frame);
  if (beat < 0) return "–";
  const step = lastStep(clock);
  const isLast = beat === clock.frames.length - 1;
  const past = isLast && step > 0 ? Math.floor((frame - (clock.frames[beat] ?? 0)) / step) : 0;
  return beatName(clock, beat + past);
}

/** The beat whose frame is nearest, or -1 without beats; `only` may leave some out. */
export function nearestBeat(
  clock: Clock,
  frame: number,
  only: (beat: number) => boolean = () => true,
): number {
  let best = -1;
  let distance = Infinity;
  for (let beat = 0; beat < clock.frames.length; beat++) {
    const d = Math.abs((clock.frames[beat] ?? Infinity) - frame);
    if (d < distance && only(beat)) {
      best = beat;
      distance = d;
    }
  }
  return best;
}
