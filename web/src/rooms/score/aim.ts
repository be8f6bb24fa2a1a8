import type { Film, WordEdge } from "../../api/client";
import { nearestBeat } from "../../parts/time";
import { nearestWord } from "./words";
import { SHEET, SOUND_ROW, type Parts, type Ruler } from "./layout";
import type { Manner, Side } from "./manner";

/** Where a drag would end if it were let go now. */
export type Aim =
  | {
      kind: "cut";
      joint: number;
      frame: number;
      beat: number;
      word: WordEdge | null;
      manner: Manner;
      side: Side;
    }
  | { kind: "shot"; from: number; to: number; carry: boolean }
  | { kind: "overlay"; name: string; start: number; end: number }
  | { kind: "sound"; name: string; start: number };

/** What lies under the pointer. */
export type Part =
  | { kind: "cut"; joint: number; side: Side; cursor: string }
  | { kind: "overlay"; name: string; grip: "start" | "end" | "whole"; cursor: string }
  | { kind: "sound"; name: string; cursor: string }
  | { kind: "shot"; place: number; cursor: string }
  | { kind: "time"; cursor: string }
  | { kind: "nothing"; cursor: string };

/** A dragged cut ties to a beat this near, in pixels, and no more than a third of a beat away. */
const CATCH = 12;
const CATCH_BEATS = 0.3;

/** The cut, shot or stretch of time at a place on a stave. */
export function partAt(film: Film, parts: Parts, ruler: Ruler, x: number, y: number): Part {
  if (x < SHEET.lead - 6) return { kind: "nothing", cursor: "default" };
  const over = overlayAt(film, parts, ruler, x, y);
  if (over) return over;
  const sound = soundAt(film, parts, ruler, x, y);
  if (sound) return sound;
  const reach = y < parts.picture ? 9 : 5;
  if (y > 54 && y < parts.pictureEnd) {
    let best = -1;
    let distance: number = reach;
    film.joints.forEach((joint, i) => {
      const { stave } = ruler;
      const here =
        joint.frame >= stave.start && (joint.frame < stave.end || i === film.shots.length);
      const d = Math.abs(ruler.x(joint.frame) - x);
      if (here && d <= distance) {
        best = i;
        distance = d;
      }
    });
    const side = best >= 0 && x > ruler.x(film.joints[best]?.frame ?? 0) ? "start" : "end";
    if (best > 0) return { kind: "cut", joint: best, side, cursor: "ew-resize" };
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

/** How near, in pixels, to an overlay's end it is taken hold of by that end. */
const GRIP = 6;

/** Where the strip of a layer lies on a stave: from the foot of the pictures up. */
export function layerTop(parts: Parts, layer: number): number {
  return parts.pictureEnd - layer * (layerHeight(parts) + 2);
}

/** How high the strip of a layer is. */
export function layerHeight(parts: Parts): number {
  return Math.max(9, Math.min(22, (parts.pictureEnd - parts.picture) / 4));
}

function overlayAt(film: Film, parts: Parts, ruler: Ruler, x: number, y: number): Part | null {
  const { stave } = ruler;
  for (const { shot, layer } of film.overlays) {
    const top = layerTop(parts, layer);
    if (y < top || y > top + layerHeight(parts)) continue;
    if (shot.end <= stave.start || shot.start >= stave.end) continue;
    const from = ruler.x(Math.max(shot.start, stave.start));
    const to = ruler.x(Math.min(shot.end, stave.end));
    if (x < from - 2 || x > to + 2) continue;
    const name = shot.id;
    if (shot.start >= stave.start && x - from < GRIP) {
      return { kind: "overlay", name, grip: "start", cursor: "ew-resize" };
    }
    if (shot.end <= stave.end && to - x < GRIP) {
      return { kind: "overlay", name, grip: "end", cursor: "ew-resize" };
    }
    return { kind: "overlay", name, grip: "whole", cursor: "grab" };
  }
  return null;
}

function soundAt(film: Film, parts: Parts, ruler: Ruler, x: number, y: number): Part | null {
  if (parts.sound === null || y < parts.sound || y > parts.sound + SOUND_ROW) return null;
  const frame = ruler.frame(x);
  const hit = film.sounds.find((s) => frame >= s.start.frame && frame < s.start.frame + s.length);
  return hit ? { kind: "sound", name: hit.name, cursor: "grab" } : null;
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
  manner: Manner = "trim",
  side: Side = "end",
): Aim {
  const to = { kind: "cut", joint, manner, side } as const;
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
  if (free || (beat < 0 && !word)) return { ...to, frame, beat: -1, word: null };
  const onWord = word && Math.abs(word.frame - frame) < Math.abs(beatFrame - frame);
  return onWord
    ? { ...to, frame: word.frame, beat: -1, word }
    : { ...to, frame: beatFrame, beat, word: null };
}

/** Which place a dragged shot would take. */
export function aimShot(film: Film, from: number, ruler: Ruler, x: number, carry = false): Aim {
  const frame = ruler.frame(x);
  const under = film.shots.findIndex((s) => frame < s.end);
  return { kind: "shot", from, to: under < 0 ? film.shots.length - 1 : under, carry };
}
