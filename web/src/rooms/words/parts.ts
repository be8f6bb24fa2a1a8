import type { Parts } from "../score/layout";

/** Where the rows of a stave of words lie, from its top, in pixels. */
export const ROWS = {
  number: 10,
  title: 22,
  titleEnd: 34,
  caption: 38,
  captionEnd: 52,
  picture: 56,
  pictureEnd: 78,
  height: 88,
} as const;

/** The same as the score's drawings want them. */
export const PARTS: Parts = {
  height: ROWS.height,
  picture: ROWS.picture,
  pictureEnd: ROWS.pictureEnd,
  captions: false,
  voice: null,
  lyricRows: 0,
  sound: null,
  bottom: ROWS.pictureEnd,
};
