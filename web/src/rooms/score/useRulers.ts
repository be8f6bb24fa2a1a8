import { useMemo, useState } from "react";
import type { Film } from "../../api/client";
import { Ruler, SHEET, barsOf, stavesOf, usualBarsPerLine } from "./layout";

/** How wide a bar is drawn at most; what is over goes to the pictures. */
const widestBar = (barsPerLine: number) => (barsPerLine === 4 ? 240 : 960 / barsPerLine);

/** How wide a sheet is on which every bar is as wide as it is drawn at most. */
export const widestSheet = (barsPerLine: number) =>
  SHEET.first + barsPerLine * widestBar(barsPerLine) + SHEET.right;

/** The rulers of a film's staves. Those that measure as before an edit stay the same objects. */
export function useRulers(film: Film, fps: number, wish: number | null, width: number) {
  const { clock, length } = film;
  const made = useMemo(() => {
    const timed = { clock, length };
    const barsPerLine = wish ?? usualBarsPerLine(barsOf(timed, fps).bars.length);
    const room = (width - SHEET.first - SHEET.right) / barsPerLine;
    const barWidth = Math.min(room, widestBar(barsPerLine));
    const staves = stavesOf(timed, fps, barsPerLine);
    return { barsPerLine, rulers: staves.map((stave) => new Ruler(stave, barWidth)) };
  }, [clock, length, fps, wish, width]);
  const [kept, keep] = useState({ ...made, from: made });
  if (kept.from === made) return kept;
  const rulers = made.rulers.map((ruler, i) => {
    const old = kept.rulers[i];
    return old && isSameMeasure(old, ruler) ? old : ruler;
  });
  const next = { ...made, rulers, from: made };
  keep(next);
  return next;
}

const isSameMeasure = (a: Ruler, b: Ruler) =>
  a.barWidth === b.barWidth && JSON.stringify(a.stave) === JSON.stringify(b.stave);
