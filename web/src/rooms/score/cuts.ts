import type { Film, Joint, LimitsOf, Moment, WordEdge } from "../../api/client";
import { nearestWord, wordEdges } from "./words";
import { beatAt, isDownbeat, nearestBeat } from "../../parts/time";

/** What a cut can be tied to. */
export type TieTo = "downbeat" | "beat" | "word" | "free";

/** A joint and the moment it goes to. */
export interface Move extends Moment {
  joint: number;
}

/** Between which frames a joint may move. */
export type Limits = { least: number; most: number };

/** The beat that falls exactly on a frame, or the frame itself. */
export function momentAt(film: Film, frame: number): Moment {
  const beat = film.clock.frames.indexOf(frame);
  return beat < 0 ? freeAt(frame) : onBeat(beat);
}

/** A moment tied to nothing. */
export const freeAt = (frame: number): Moment => ({ beat: null, word: null, offset: 0, frame });

/** The moment of a beat, or so many frames from it. */
export const onBeat = (beat: number, offset = 0): Moment => ({
  beat,
  word: null,
  offset,
  frame: 0,
});

/** The end of a word a joint is tied to. */
export function wordOf(joint: Joint): WordEdge {
  return { line: joint.line, word: joint.word, edge: joint.edge ?? "START" };
}

/** Whether a joint is tied half-way to the next beat. */
export function isOffbeat({ frames }: Film["clock"], { tie, beat, offset }: Joint): boolean {
  const gap = (frames[beat + 1] ?? 0) - (frames[beat] ?? 0);
  return tie === "BEAT" && offset > 1 && Math.abs(offset - gap / 2) <= 1;
}

/** Limits as the film tells them. */
export const toLimits = (told: LimitsOf | null | undefined): Limits => ({
  least: told?.least ?? 0,
  most: told?.most ?? Infinity,
});

/** The frames a joint may take when one side gives the time to the other. */
export const limitsOf = (film: Film, joint: number): Limits =>
  toLimits(film.joints[joint]?.reach?.trim);

export function inLimits(
  film: Film,
  joint: number,
  frame: number,
  { least, most }: Limits = limitsOf(film, joint),
): number {
  return Math.max(least, Math.min(most, frame));
}

/** To the beat before or after, or the word if it is tied to one; null if a neighbour or the song's end is in the way. */
export function stepped(
  film: Film,
  joint: number,
  direction: 1 | -1,
  { least, most }: Limits = limitsOf(film, joint),
): Move | null {
  const it = film.joints[joint];
  if (!it) return null;
  if (it.tie === "WORD") {
    const to = wordEdges(film)
      .filter((w) => (direction > 0 ? w.frame > it.frame : w.frame < it.frame))
      .at(direction > 0 ? 0 : -1);
    return to && to.frame >= least && to.frame <= most ? { joint, ...onWord(to) } : null;
  }
  const beat =
    it.tie === "BEAT"
      ? it.beat + direction
      : beatAt(film.clock, direction > 0 ? it.frame : it.frame - 1) + (direction > 0 ? 1 : 0);
  const at = film.clock.frames[beat];
  return at === undefined || at < least || at > most ? null : { joint, ...onBeat(beat) };
}

/** By frames; a tied joint keeps its beat and the distance from it. */
export function nudged(
  film: Film,
  joint: number,
  by: number,
  limits: Limits = limitsOf(film, joint),
): Move | null {
  const it = film.joints[joint];
  if (!it) return null;
  const frame = inLimits(film, joint, it.frame + by, limits);
  if (frame === it.frame) return null;
  return { joint, ...momentOf(it, frame - it.frame) };
}

/** The moment a joint is tied to, or so many frames from it. */
export function momentOf(it: Joint, by = 0): Moment {
  if (it.tie === "WORD") return onWord(wordOf(it), it.offset + by);
  return it.tie === "BEAT" ? onBeat(it.beat, it.offset + by) : freeAt(it.frame + by);
}

/** The moment of an end of a word, or so many frames from it. */
export function onWord({ line, word, edge }: WordEdge, offset = 0): Moment {
  return { beat: null, word: { line, word, edge }, offset, frame: 0 };
}

/** To the nearest beat, downbeat or end of a word, or free where it is. */
export function tied(
  film: Film,
  joint: number,
  to: TieTo,
  { least, most }: Limits = limitsOf(film, joint),
): Move | null {
  const it = film.joints[joint];
  if (!it) return null;
  if (to === "free") return it.tie === "FREE" ? null : { joint, ...freeAt(it.frame) };
  if (to === "word") {
    const word = nearestWord(film, it.frame, (at) => at >= least && at <= most);
    return word && { joint, ...onWord(word) };
  }
  const beat = nearestBeat(film.clock, it.frame, (b) => {
    const at = film.clock.frames[b] ?? -1;
    return at >= least && at <= most && (to === "beat" || isDownbeat(film.clock, b));
  });
  return beat < 0 ? null : { joint, ...onBeat(beat) };
}
