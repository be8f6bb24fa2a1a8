import type { Film, Song } from "../../api/client";

/** How long shots are in each section of the song, by the section a shot begins in. */
export function meansOf(
  film: Film,
  song: Song | undefined,
  framesPerSecond: number,
): { name: string; mean: number; shots: number }[] {
  if (!song) return [];
  return song.sections.flatMap((section) => {
    const from = (section.start - film.songStart) * framesPerSecond;
    const to = (section.end - film.songStart) * framesPerSecond;
    // A cut on the border's nearest frame may lie half a frame before it.
    const own = film.shots.filter((s) => s.start >= from - 0.5 && s.start < to - 0.5);
    if (own.length === 0) return [];
    const frames = own.reduce((sum, s) => sum + s.end - s.start, 0);
    return [
      {
        name: section.name,
        mean: frames / own.length / framesPerSecond,
        shots: own.length,
      },
    ];
  });
}
