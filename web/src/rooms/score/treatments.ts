import type { Film, Placed, Treatment, TreatmentKind } from "../../api/client";

export type TreatmentName = Treatment["kind"];
export type Value = Treatment["values"][number];
export type Follows = NonNullable<Value["follows"]>;
export type Parameter = TreatmentKind["parameters"][number];

/** What each kind is called. */
export const TREATMENT: Record<TreatmentName, string> = {
  BLUR: "blur",
  STREAK: "streak",
  SHARPEN: "sharpen",
  DENOISE: "noise out",
  GLOW: "glow",
  HAZE: "haze",
  SHAKE: "shake",
  PULSE: "pulse",
  FLASH: "flash",
  FLICKER: "flicker",
  PLANES: "planes apart",
  MIRROR: "mirror",
  MOSAIC: "mosaic",
  POSTERISE: "few steps",
  OLD_FILM: "old film",
  LEAK: "light leak",
  SNOW: "snow",
  PAPER: "paper",
  EMBERS: "embers",
  EDGE_GLOW: "lit edges",
  DUOTONE: "two colours",
  SKETCH: "pencil",
  BARS: "bars",
  INSET: "inset",
  MONOCHROME: "black and white",
  SATURATION: "saturation",
  CONTRAST: "contrast",
  WASH: "wash",
  SPLIT_TONE: "split tone",
  FADED: "faded blacks",
  VIGNETTE: "vignette",
  GRAIN: "grain",
  HALATION: "halation",
  DIFFUSION: "diffusion",
  TABLE: "table",
  LEVEL: "levelled light",
};

/** What a value can follow, and what that says. */
export const SOURCE: Record<Follows["source"], { name: string; says: string }> = {
  BEATS: { name: "beats", says: "Each beat of the song" },
  DOWNBEATS: { name: "bars", says: "The first beat of each bar" },
  MARKERS: { name: "markers", says: "Each marker of the film: a list of hits laid by hand" },
  WORDS: { name: "words", says: "The start of each stressed word" },
  WORD: { name: "one word", says: "The start of one word that is spoken" },
  LOW: { name: "low notes", says: "The song’s level below 150 Hz" },
  MIDDLE: { name: "middle notes", says: "The song’s level from 150 Hz to 2 kHz" },
  HIGH: { name: "high notes", says: "The song’s level above 2 kHz" },
};

export const isLevel = (source: Follows["source"]) =>
  source === "LOW" || source === "MIDDLE" || source === "HIGH";

interface Shown {
  unit: string;
  /** What one of the unit is in the parameter's own. */
  scale: number;
  digits: number;
  hint?: string;
}

/** How a parameter is shown and typed. */
export function shownAs({ unit }: Pick<Parameter, "unit">): Shown {
  switch (unit) {
    case "PERCENT":
      return { unit: "%", scale: 1, digits: 0 };
    case "HEIGHT":
      return { unit: "%", scale: 10, digits: 1, hint: "Of the picture’s height" };
    case "TENTHS_OF_HEIGHT":
      return { unit: "%", scale: 100, digits: 2, hint: "Of the picture’s height" };
    case "DEGREES":
      return { unit: "°", scale: 1, digits: 0 };
    case "TENTHS_A_SECOND":
      return { unit: "/s", scale: 10, digits: 1, hint: "Times a second" };
    case "HUNDREDTHS":
      return { unit: ": 1", scale: 100, digits: 2 };
    case "COUNT":
      return { unit: "", scale: 1, digits: 0 };
  }
}

/** A word of the voice: its line's name, and its place in it. */
export type WordAt = Pick<Follows, "line" | "word">;

const NO_WORD: WordAt = { line: null, word: null };

/** The word that begins nearest to a frame; none if no word is spoken. */
export function wordNear({ voice }: Pick<Film, "voice">, frame: number): WordAt {
  const words = voice.flatMap(({ line, words }) =>
    words.map(({ word, start }) => ({ at: { line, word }, off: Math.abs(start - frame) })),
  );
  return words.reduce((a, b) => (b.off < a.off ? b : a), { at: NO_WORD, off: Infinity }).at;
}

/**
 * A value moved by what it is to follow, at once and back over a third of a second.
 *
 * @param word the one that is followed, for a source of one word
 */
export function following(
  value: Value,
  parameter: Parameter,
  source: Follows["source"],
  word: WordAt = NO_WORD,
): Value {
  if (value.follows) return { ...value, follows: { ...value.follows, source, ...word } };
  // What was set becomes what is reached; it rests at nothing where it can.
  const rest = Math.max(parameter.least, Math.min(parameter.most, 0));
  const to = value.value === rest ? parameter.usual : value.value;
  return {
    value: rest,
    follows: {
      source,
      ...word,
      to,
      attack: isLevel(source) ? 20 : 0,
      decay: isLevel(source) ? 150 : 300,
    },
  };
}

/** The same value still, where it was on a hit. */
export const still = (value: Value): Value => ({
  value: value.follows?.to ?? value.value,
  follows: null,
});

/**
 * Where a treatment that is shown at a place is in the list as it is by now: edits on their way may
 * have moved or changed it. -1 if it is gone.
 */
export function placeOf(now: readonly Treatment[], shown: Treatment, at: number): number {
  const same = (t: Treatment | undefined) => JSON.stringify(t) === JSON.stringify(shown);
  if (same(now[at])) return at;
  const found = now.findIndex(same);
  return found >= 0 || now[at]?.kind !== shown.kind ? found : at;
}

/** A list with one in it replaced. */
export const withAt = <T>(list: readonly T[], at: number, item: T): T[] =>
  list.map((old, i) => (i === at ? item : old));

/** A list with one in it moved by a place; the same at its ends. */
export function moved<T>(list: readonly T[], at: number, by: 1 | -1): T[] {
  const to = at + by;
  const all = [...list];
  const [item] = all.splice(at, 1);
  if (item === undefined || to < 0 || to >= list.length) return [...list];
  all.splice(to, 0, item);
  return all;
}

/** The frame in the middle of a shot. */
export const middleOf = ({ start, end }: Placed) => Math.floor((start + end - 1) / 2);
