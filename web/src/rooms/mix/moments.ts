import type { Film, LaidSound, Tie } from "../../api/client";

/** Samples a second, in which sounds are counted. */
export const RATE = 48_000;

export const frameOf = (sample: number, fps: number) => (sample / RATE) * fps;

export const sampleOf = (frame: number, fps: number) => Math.round((frame / fps) * RATE);

/** A moment that a sound can be caught by. */
export interface Caught {
  frame: number;
  tie: Tie;
}

const NONE = {
  beat: null,
  line: null,
  word: null,
  edge: null,
  offset: null,
  frame: null,
  item: null,
};

/** A tie to a cut, by the shot it begins; "" is the film's end. */
export const onCut = (item: string): Tie => ({ ...NONE, tie: "cut", item });

export const freeAt = (frame: number): Tie => ({
  ...NONE,
  tie: "free",
  frame: Math.max(0, Math.round(frame)),
});

/** All that a sound can land on, cuts first where several are at one moment. */
export function catches(film: Film): Caught[] {
  const cuts = film.joints.map((joint, i) => ({
    frame: joint.frame,
    tie: onCut(film.shots[i]?.id ?? ""),
  }));
  const words = film.voice.flatMap((line) =>
    line.words.map((word) => ({
      frame: word.start,
      tie: { ...NONE, tie: "word", line: line.line, word: word.word, edge: "START", offset: 0 },
    })),
  );
  const beats = film.clock.frames.map((frame, beat) => ({
    frame,
    tie: { ...NONE, tie: "beat", beat, offset: 0 },
  }));
  const markers = film.markers.map((m) => ({
    frame: m.at.frame,
    tie: { ...NONE, tie: "marker", item: m.name },
  }));
  return [...cuts, ...markers, ...words, ...beats].filter(
    (c) => c.frame >= 0 && c.frame <= film.length,
  );
}

/** What is nearest to a frame, within reach. */
export function nearest(all: readonly Caught[], frame: number, reach: number): Caught | null {
  let best: Caught | null = null;
  for (const one of all) {
    const away = Math.abs(one.frame - frame);
    if (away <= reach && (best === null || away < Math.abs(best.frame - frame))) best = one;
  }
  return best;
}

/** The next moment to land on, later or sooner. */
export function next(all: readonly Caught[], frame: number, way: 1 | -1): Caught | null {
  const beyond = all.filter((c) => (c.frame - frame) * way > 0.5);
  return beyond.reduce<Caught | null>(
    (best, c) => (best === null || (c.frame - best.frame) * way < 0 ? c : best),
    null,
  );
}

/** What a sound obeys, as its head shows it. */
export function headOf(film: Film, sound: LaidSound): "down" | "beat" | "word" | "cut" | "free" {
  switch (sound.at.tie) {
    case "beat": {
      const { firstDownbeat, beatsPerBar } = film.clock;
      return ((sound.at.beat ?? 0) - firstDownbeat) % beatsPerBar === 0 ? "down" : "beat";
    }
    case "word":
      return "word";
    case "free":
      return "free";
    default:
      return "cut";
  }
}
