import type { Film } from "../../api/client";
import { heardOf } from "./SoundLane";

/**
 * The longest stretch of the film in which nothing new is seen or heard: no cut, nothing laid over
 * begins or ends, no line begins, no sound begins. In frames of the film.
 */
export function stillest(film: Film): { from: number; to: number } {
  const news = [
    0,
    film.length,
    ...film.joints.map((j) => j.frame),
    ...film.overlays.flatMap((o) => [o.start.frame, o.end.frame]),
    ...film.voice.map((line) => line.start),
    ...heardOf(film).map((s) => s.from),
  ]
    .filter((f) => f >= 0 && f <= film.length)
    .sort((a, b) => a - b);
  let best = { from: 0, to: 0 };
  for (let i = 0; i + 1 < news.length; i++) {
    const from = news[i] ?? 0;
    const to = news[i + 1] ?? from;
    if (to - from > best.to - best.from) best = { from, to };
  }
  return best;
}
