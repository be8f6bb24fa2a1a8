import { useMemo } from "react";
import type { Film } from "../../api/client";
import { heardOf } from "./SoundLane";
import type { Need, Ruler } from "./layout";
import { rowsNeeded } from "./lyrics";
import { widthOf } from "./widths";

/** What the film, and each of its staves, holds beside music and pictures. */
export function useNeeds(film: Film, rulers: readonly Ruler[]): { whole: Need; needs: Need[] } {
  const rows = useMemo(() => rowsNeeded(film.voice, rulers, widthOf), [film.voice, rulers]);
  return useMemo(() => {
    const words = film.voice.flatMap((line) => line.words);
    const heard = heardOf(film);
    const needs = rulers.map(({ stave: { start, end } }) => ({
      rows: words.some((w) => w.start >= start && w.start < end) ? rows : 0,
      sounds: heard.some((s) => s.from < end && s.to > start),
    }));
    return { whole: { rows, sounds: heard.length > 0 }, needs };
  }, [film, rulers, rows]);
}
