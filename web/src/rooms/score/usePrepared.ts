import { useEffect } from "react";
import { filmUrl, inShape, type Film, type Production } from "../../api/client";
import { useRoom } from "../../store";
import { segmentsOf } from "./playlist";

/** How long, in milliseconds, film and playhead rest before playing from there is prepared. */
const REST = 400;

/** The playhead counts as moved when it comes so many seconds further. */
const STEP = 2;

/**
 * Has the film's sound and pictures from the playhead on rendered while both rest, so that
 * playing starts at once.
 */
export function usePrepared(production: Production, film: Film) {
  const fps = production.framesPerSecond;
  const at = useRoom((s) => (s.playing ? null : Math.floor(s.frame / fps / STEP) * STEP));
  const shape = useRoom((s) => s.shape);
  const source = filmUrl(production.id, inShape(film.revision, shape));
  useEffect(() => {
    if (at === null) return;
    const gone = new AbortController();
    const timer = setTimeout(() => {
      // What cannot be prepared fails where it is seen: when it is played.
      void prepare(source, at, gone.signal).catch(() => undefined);
    }, REST);
    return () => {
      clearTimeout(timer);
      gone.abort();
    };
  }, [source, at]);
}

async function prepare(source: string, at: number, signal: AbortSignal) {
  const beside = (name: string) => fetch(source.replace(/[^/]*$/, name), { signal });
  const part = async (playlist: string) => {
    const list = await beside(playlist);
    const file = list.ok ? partAt(await list.text(), at) : null;
    if (file) await (await beside(file)).blob();
  };
  await Promise.all([part("sound.m3u8"), part("picture.m3u8")]);
}

/** The file of an HLS playlist that holds a second; null past its end. */
export const partAt = (playlist: string, second: number): string | null =>
  segmentsOf(playlist).find((s) => s.end > second)?.file ?? null;
