import type { HeardWord, Spoken } from "../../api/client";

/** A word as it is set under the picture. */
export interface Lyric {
  word: HeardWord;
  line: Spoken;
  /** Where it is spoken. */
  from: number;
  to: number;
  /** Where it is written, how wide, and on which row. */
  x: number;
  width: number;
  row: number;
  stressed: boolean;
}

/** How wide a text is when set at its full width. */
export type Measure = (text: string, stressed: boolean) => number;

/** No word is written further from where it is spoken, in pixels, while another row can help. */
const FURTHEST = 12;
/** How narrow words may be set, as a part of their full width. */
const NARROWEST = 0.8;
const GAP = 4;

/**
 * The words of the lines that fall on a stave. With two rows each stands near where it is spoken,
 * stressed ones on top. With three, a line that is too quick for that is set as text, from where it
 * begins: the bars above still tell where its words are spoken.
 */
export function lyricsOf(
  lines: readonly Spoken[],
  within: { start: number; end: number },
  x: (frame: number) => number,
  measure: Measure,
  rows: number,
): Lyric[] {
  const byLine = lines
    .map((line) =>
      line.words
        .filter((w) => w.start >= within.start && w.start < within.end)
        .map((word): Lyric => {
          const from = x(word.start);
          const to = x(word.end);
          const { stressed } = word;
          const full = measure(word.text, stressed);
          const width = Math.max(full * NARROWEST, Math.min(full, to - from));
          return { word, line, from, to, x: from, width, row: stressed ? 0 : 1, stressed };
        }),
    )
    .filter((words) => words.length > 0)
    .sort((a, b) => begin(a) - begin(b));
  if (rows <= 2) {
    const all = byLine.flat().sort((a, b) => a.from - b.from);
    settleRows(all);
    return all;
  }
  byLine.forEach((words, i) => {
    settleRows(words);
    const next = byLine[i + 1];
    const room = (next ? begin(next) : x(within.end)) - begin(words) - LINES_APART;
    const quick = lengthOf(words) > end(words) - begin(words);
    if (quick || words.some((w) => moved(w) > FURTHEST)) setAsText(words, room, rows);
  });
  return byLine.flat();
}

/** Where the first of some words is spoken. */
const begin = (words: readonly Lyric[]) => words[0]?.from ?? 0;

/** Where the last of some words is over. */
const end = (words: readonly Lyric[]) => Math.max(...words.map((w) => w.to));

/** How long words are as one row of text. */
const lengthOf = (words: readonly Lyric[]) => words.reduce((sum, w) => sum + w.width + GAP, -GAP);

function settleRows(words: readonly Lyric[]) {
  for (let row = 0; row < 2; row++) settle(words.filter((w) => w.row === row));
}

/** How many rows of words keep all of them near their place on every stave: 2 or 3; 0 for none. */
export function rowsNeeded(
  lines: readonly Spoken[],
  staves: readonly { stave: { start: number; end: number }; x: (frame: number) => number }[],
  measure: Measure,
): number {
  if (lines.length === 0) return 0;
  const crowded = staves.some((s) =>
    lyricsOf(lines, s.stave, (f) => s.x(f), measure, 2).some((w) => moved(w) > FURTHEST),
  );
  return crowded ? 3 : 2;
}

/** What stays free between two lines, for the number of the later one, in pixels. */
const LINES_APART = 18;

/**
 * Sets the words of a line one after the other in rows that are about as long as it is spoken, or
 * longer where they would be more than there may be.
 *
 * @param room how long they may be, if that can be kept
 */
function setAsText(words: Lyric[], room: number, rows: number) {
  const start = begin(words);
  const longest = Math.max(...words.map((w) => w.width));
  const wanted = Math.max(end(words) - start, lengthOf(words) / rows);
  let length = Math.max(longest, Math.min(room, wanted));
  while (wrap(words, start, length) > rows) length *= 1.05;
}

/** Wraps words at a length; how many rows they take. */
function wrap(words: Lyric[], start: number, length: number): number {
  let row = 0;
  let x = start;
  for (const word of words) {
    if (x > start && x + word.width > start + length + 0.5) {
      row++;
      x = start;
    }
    word.row = row;
    word.x = x;
    x += word.width + GAP;
  }
  return row + 1;
}

const moved = (w: Lyric) => Math.abs(w.x - w.from);

/**
 * Moves the words of a row so that none covers another, each as little as can be: the least sum of
 * squares, by pooling neighbours that are in each other's way (isotonic regression).
 */
function settle(row: Lyric[]) {
  interface Pool {
    words: Lyric[];
    /** Where its first word would stand, by each of its words. */
    wishes: number[];
    width: number;
  }
  const at = (pool: Pool) => pool.wishes.reduce((a, b) => a + b, 0) / pool.wishes.length;
  const pools: Pool[] = [];
  for (const word of row) {
    let pool: Pool = { words: [word], wishes: [word.from], width: word.width + GAP };
    for (let last = pools.at(-1); last; last = pools.at(-1)) {
      const before = last;
      if (at(before) + before.width <= at(pool)) break;
      pools.pop();
      pool = {
        words: [...before.words, ...pool.words],
        wishes: [...before.wishes, ...pool.wishes.map((wish) => wish - before.width)],
        width: before.width + pool.width,
      };
    }
    pools.push(pool);
  }
  for (const pool of pools) {
    let x = at(pool);
    for (const word of pool.words) {
      word.x = x;
      x += word.width + GAP;
    }
  }
}
