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

/** The words of the lines that fall on a stave, on as few rows as keep them near their place. */
export function lyricsOf(
  lines: readonly Spoken[],
  within: { start: number; end: number },
  x: (frame: number) => number,
  measure: Measure,
  rows: number,
): Lyric[] {
  const words = lines.flatMap((line) =>
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
  );
  const sorted = words.sort((a, b) => a.from - b.from);
  if (rows > 2) {
    spread(sorted);
  } else {
    for (let row = 0; row < 2; row++) settle(sorted.filter((w) => w.row === row));
  }
  return sorted;
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

/** The rows a word is written on, those it belongs on first: stressed words on top. */
const ROWS = { stressed: [0, 1, 2], unstressed: [1, 2, 0] } as const;

/** How far a word may be moved before it is written on another row, in pixels. */
const NEAR = 4;

/**
 * Writes words one after the other, each on the first of its rows where it stands near its place,
 * or else where it stands nearest.
 */
function spread(words: Lyric[]) {
  const ends = [-Infinity, -Infinity, -Infinity];
  for (const word of words) {
    const rows = word.stressed ? ROWS.stressed : ROWS.unstressed;
    const off = (row: number) => Math.max(0, (ends[row] ?? 0) - word.from);
    const nearest = rows.reduce((best, row) => (off(row) < off(best) ? row : best));
    word.row = rows.find((row) => off(row) <= NEAR) ?? nearest;
    word.x = word.from + off(word.row);
    ends[word.row] = word.x + word.width + GAP;
  }
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
