import type { Reading, VoiceLine } from "../../../api/client";

type Word = Reading["words"][number];
type Part = Reading["cuts"][number];

/** Mean width of a letter in the words under a waveform, in pixels. */
const LETTER = 6.4;
const SPACE = 5;

export interface SetWord {
  word: Word;
  x: number;
  row: number;
}

/** Words under their places, on as few rows as keep them apart; rows count from 0. */
export function setWords(words: readonly Word[], perSecond: number): SetWord[] {
  const ends: number[] = [];
  return words.map((word) => {
    const x = word.start * perSecond;
    const row = ends.findIndex((end) => end <= x);
    const on = row < 0 ? ends.length : row;
    ends[on] = x + word.text.length * LETTER + SPACE;
    return { word, x, row: on };
  });
}

/** Where a second of the tightened reading lies in the reading as it was read. */
export function untightened(at: number, cuts: readonly Part[]): number {
  return cuts.reduce((t, cut) => (t > cut.from ? t + cut.to - cut.from : t), at);
}

/** Where a second of the reading comes to lie when it is tightened. */
export function tightened(at: number, cuts: readonly Part[]): number {
  return cuts.reduce((t, cut) => t - Math.max(0, Math.min(at, cut.to) - cut.from), at);
}

/** The reading of a line that is used. */
export const pickOf = (line: VoiceLine) => line.readings.find((r) => r.id === line.pick);
