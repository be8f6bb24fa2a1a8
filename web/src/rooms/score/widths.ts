import { face } from "../../theme";
import type { Measure } from "./lyrics";

/** How wide words are set at most, as a part of the face's full width. */
export const USUAL = 0.86;

const widths = new Map<string, number>();
let pen: CanvasRenderingContext2D | null = null;

/** How wide a word is set at most; measured once each. */
export const widthOf: Measure = (text, stressed) => {
  const key = `${stressed} ${text}`;
  const known = widths.get(key);
  if (known !== undefined) return known;
  pen ??= document.createElement("canvas").getContext("2d");
  if (!pen) return text.length * 7;
  pen.font = `${stressed ? "500 13px" : "400 12px"} ${face.lyric}`;
  const width = pen.measureText(text).width * USUAL;
  if (document.fonts.check(pen.font)) widths.set(key, width);
  return width;
};
