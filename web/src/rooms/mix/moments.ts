import type { Film, LaidSound, Tie } from "../../api/client";

/** Samples a second, in which sounds are counted. */
export const RATE = 48_000;

export const frameOf = (sample: number, fps: number) => (sample / RATE) * fps;

export const sampleOf = (frame: number, fps: number) => Math.round((frame / fps) * RATE);

/** A moment that a sound or a title can be caught by. */
export interface Caught {
  frame: number;
  tie: Tie;
  /** What is there, in words. */
  name: string;
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

export const beatTie = (beat: number): Tie => ({ ...NONE, tie: "beat", beat, offset: 0 });

export const freeAt = (frame: number): Tie => ({
  ...NONE,
  tie: "free",
  frame: Math.max(0, Math.round(frame)),
});

/**
 * All that a sound or a title can land on, cuts first where several are at one moment.
 *
 * @param of the sound or title, which does not land on itself, nor on what lands on it
 */
export function catches(film: Film, of: string | null): Caught[] {
  const cuts = film.joints.map((joint, i) => ({
    frame: joint.frame,
    tie: onCut(film.shots[i]?.id ?? ""),
    name: film.shots[i] ? `the cut into ${film.shots[i].label}` : "the film’s end",
  }));
  const landings = film.landings
    .filter((l) => l.item !== of && (of === null || !l.on.includes(of)))
    .map(({ frame, kind, item, name }) => ({
      frame,
      tie: { ...NONE, tie: kind, item },
      name: kind === "title" ? `the title “${name}”` : `the sound ${name}`,
    }));
  const words = film.voice.flatMap((line) =>
    line.words.map((word) => ({
      frame: word.start,
      tie: { ...NONE, tie: "word", line: line.line, word: word.word, edge: "START", offset: 0 },
      name: `the word “${word.text}”`,
    })),
  );
  const { firstDownbeat, beatsPerBar } = film.clock;
  const sections = new Map(film.clock.sections.map((s) => [s.beat, s.name]));
  const beats = film.clock.frames.map((frame, beat) => {
    const begins = sections.get(beat);
    const called =
      (beat - firstDownbeat) % beatsPerBar === 0
        ? `bar ${(beat - firstDownbeat) / beatsPerBar + 1}`
        : `beat ${beat + 1}`;
    return {
      frame,
      tie: beatTie(beat),
      name: begins === undefined ? called : `${called}, where ${begins} begins`,
    };
  });
  const markers = film.markers.map((m) => ({
    frame: m.at.frame,
    tie: { ...NONE, tie: "marker", item: m.name },
    name: m.note ? `the marker “${m.note}”` : "the marker",
  }));
  return [...cuts, ...landings, ...markers, ...words, ...beats].filter(
    (c) => c.frame >= 0 && c.frame <= film.length,
  );
}

/** Whether two ties are to the same. */
export const sameTie = (a: Tie, b: Tie) =>
  a.tie === b.tie &&
  a.beat === b.beat &&
  a.line === b.line &&
  a.word === b.word &&
  a.edge === b.edge &&
  a.item === b.item;

/** All that lies at a moment: within half a frame. */
export const thereAt = (all: readonly Caught[], frame: number) =>
  all.filter((c) => Math.abs(c.frame - frame) <= 0.5);

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

/** The moment on which a sound or a title lands next, from where it lands in the film as it is. */
export function nextFor(film: Film, id: string, way: 1 | -1): Tie | null {
  const now = film.landings.find((l) => l.item === id);
  return now ? (next(catches(film, id), now.frame, way)?.tie ?? null) : null;
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
