import type { Parts } from "../score/layout";

/** Where the rows of a stave lie, from its top, in pixels. */
export const ROWS = {
  number: 12,
  picture: 19,
  pictureEnd: 47,
  music: 54,
  musicEnd: 96,
  voice: 92,
  hits: 148,
  beds: 166,
  clips: 180,
  loudness: 190,
  loudnessEnd: 218,
  height: 222,
} as const;

/** The same as the score's drawings want them. */
export const PARTS: Parts = {
  height: ROWS.height,
  picture: ROWS.picture,
  pictureEnd: ROWS.pictureEnd,
  captions: true,
  voice: ROWS.voice,
  lyricRows: 1,
  sound: null,
  bottom: ROWS.loudnessEnd - 2,
};

/** How high music of a gain is drawn: amplitudes to the power of 0.6, so that soft ones are seen. */
export const musicHeight = (factor: number) =>
  (ROWS.musicEnd - ROWS.music) * Math.min(1, factor) ** 0.6;

/** Where a gain of the lid lies, from the stave's top. */
export const lidY = (decibels: number) => ROWS.musicEnd - musicHeight(10 ** (decibels / 20));

/** The gain whose lid lies at a height; 0 at the ribbon's top. */
export function lidGain(y: number): number {
  const share = Math.max(0.02, Math.min(1, (ROWS.musicEnd - y) / (ROWS.musicEnd - ROWS.music)));
  return Math.max(-40, Math.min(0, Math.round(200 * Math.log10(share ** (1 / 0.6))) / 10));
}

/** What is asked of the whole, in LUFS: what most places of publication play at. */
export const TARGET = -14;

const A_DECIBEL = 2;

/** Where a loudness lies, from the stave's top; held at the row's edges. */
export const loudnessY = (lufs: number) =>
  Math.max(
    ROWS.loudness,
    Math.min(
      ROWS.loudnessEnd,
      (ROWS.loudness + ROWS.loudnessEnd) / 2 - (lufs - TARGET) * A_DECIBEL,
    ),
  );
