import type { BusFader } from "../../api/client";
import { gainAt } from "./lid";
import { frameOf } from "./moments";
import { ROWS } from "./parts";

export type Bus = BusFader["bus"];

/** A point of a bus's line: at a frame of the film, its gain in decibels. */
export interface Bend {
  at: number;
  decibels: number;
}

/** What the top and the bottom of a line's row stand for, in decibels. */
const HIGHEST = 12;
const LOWEST = -36;

/** The rows of a stave in which each bus's line is drawn. */
const BANDS: Record<Bus, { top: number; bottom: number }> = {
  MUSIC: { top: ROWS.music, bottom: ROWS.musicEnd },
  VOICE: { top: ROWS.voice + 6, bottom: ROWS.hits - 16 },
  SOUNDS: { top: ROWS.hits - 14, bottom: ROWS.clips + 6 },
  CLIPS: { top: ROWS.hits - 14, bottom: ROWS.clips + 6 },
};

/** Whether a height lies in the row of a bus's line. */
export const isInBand = (bus: Bus, y: number) => y >= BANDS[bus].top && y <= BANDS[bus].bottom;

/** Where a gain of a bus's line lies, from the stave's top; held at the row's edges. */
export function busY(bus: Bus, decibels: number): number {
  const { top, bottom } = BANDS[bus];
  const share = (HIGHEST - decibels) / (HIGHEST - LOWEST);
  return top + Math.max(0, Math.min(1, share)) * (bottom - top);
}

/** The gain at a height, to half a decibel. */
export function busGain(bus: Bus, y: number): number {
  const { top, bottom } = BANDS[bus];
  const share = Math.max(0, Math.min(1, (y - top) / (bottom - top)));
  return Math.round(2 * (HIGHEST - share * (HIGHEST - LOWEST))) / 2;
}

/** The points of a line that have a place in the film, in its order, with their numbers. */
export function bendsOf(line: BusFader["line"], fps: number): (Bend & { point: number })[] {
  return line
    .flatMap((p, point) =>
      p.sample == null ? [] : [{ at: frameOf(p.sample, fps), decibels: p.gain, point }],
    )
    .sort((a, b) => a.at - b.at);
}

/** What a line adds at a frame; before its first point and after its last as they are. */
export function lineAt(bends: readonly Bend[], frame: number): number {
  const first = bends[0];
  if (!first) return 0;
  return frame <= first.at ? first.decibels : gainAt(bends, frame);
}
