import type { Film } from "../../api/client";
import { nearestBeat } from "../../parts/time";
import { nearestWord, type WordEdge } from "./words";
import { SHEET, type Parts, type Ruler } from "./layout";

/** Where a drag would end if it were let go now. */
export type Aim =
  | { kind: "cut"; joint: number; frame: number; beat: number; word: WordEdge | null }
  | { kind: "shot"; from: number; to: number };

/** What lies under the pointer. */
export type Part =
  | { kind: "cut"; joint: number; cursor: string }
  | { kind: "shot"; place: number; cursor: string }
  | { kind: "time"; cursor: string }
  | { kind: "nothing"; cursor: string };

/** A dragged cut ties to a beat this near, in pixels, and no more than a third of a beat away. */
const CATCH = 12;
const CATCH_BEATS = 0.3;

/** The cut, shot or stretch of time at a place on a stave. */
export function partAt(film: Film, parts: Parts, ruler: Ruler, x: number, y: number): Part {
  if (x < SHEET.lead - 6) return { kind: "nothing", cursor: "default" };
  const reach = y < parts.picture ? 9 : 5;
  if (y > 54 && y < parts.pictureEnd) {
    let best = -1;
    let distance: number = reach;
    film.joints.forEach((joint, i) => {
      const { stave } = ruler;
      const here =
        joint.frame >= stave.start && (joint.frame < stave.end || i === film.shots.length);
      const d = Math.abs(ruler.x(joint.frame) - x);
      if (i > 0 && here && d <= distance) {
        best = i;
        distance = d;
      }
    });
    if (best > 0) return { kind: "cut", joint: best, cursor: "ew-resize" };
  }
  if (y >= parts.picture && y < parts.pictureEnd) {
    const frame = ruler.frame(x);
    const place = film.shots.findIndex((s) => frame >= s.start && frame < s.end);
    if (place >= 0) return { kind: "shot", place, cursor: "grab" };
    return { kind: "nothing", cursor: "default" };
  }
  if (y < parts.picture && x < ruler.right + 4) return { kind: "time", cursor: "text" };
  return { kind: "nothing", cursor: "default" };
}

/**
 * Where a dragged cut would go: the nearest beat or end of a word within reach, or else, and always
 * if it is to be free, the frame under the pointer.
 */
export function aimCut(
  film: Film,
  limits: { least: number; most: number },
  joint: number,
  ruler: Ruler,
  x: number,
  free = false,
): Aim {
  const frame = Math.max(limits.least, Math.min(limits.most, Math.round(ruler.frame(x))));
  const beatWidth = ruler.barWidth / film.clock.beatsPerBar;
  const reach = Math.min(CATCH, beatWidth * CATCH_BEATS);
  const beat = nearestBeat(film.clock, frame, (b) => {
    const at = film.clock.frames[b] ?? -1;
    return at >= limits.least && at <= limits.most && Math.abs(ruler.x(at) - x) <= reach;
  });
  const word = nearestWord(
    film,
    frame,
    (at) => at >= limits.least && at <= limits.most && Math.abs(ruler.x(at) - x) <= CATCH,
  );
  const beatFrame = beat >= 0 ? (film.clock.frames[beat] ?? frame) : Infinity;
  if (free || (beat < 0 && !word)) return { kind: "cut", joint, frame, beat: -1, word: null };
  const onWord = word && Math.abs(word.frame - frame) < Math.abs(beatFrame - frame);
  return onWord
    ? { kind: "cut", joint, frame: word.frame, beat: -1, word }
    : { kind: "cut", joint, frame: beatFrame, beat, word: null };
}

/** Which place a dragged shot would take. */
export function aimShot(film: Film, from: number, ruler: Ruler, x: number): Aim {
  const frame = ruler.frame(x);
  const under = film.shots.findIndex((s) => frame < s.end);
  return { kind: "shot", from, to: under < 0 ? film.shots.length - 1 : under };
}
