import type { Clock, Film } from "../../api/client";
import { barOf, isDownbeat, lastStep } from "../../parts/time";

/** The start of a bar, or of 2.5 s where there is no music. */
export interface BarStart {
  frame: number;
  /** What is written over it. */
  label: string;
}

/** A tick under the ribbon. */
export interface Tick {
  frame: number;
  strong: boolean;
}

/** One row of the score. */
export interface Stave {
  index: number;
  /** The first and the last frame drawn as its own, half-open. */
  start: number;
  end: number;
  /** The frame where the lead-in (first stave) or the catch-up (later staves) begins. */
  before: number;
  /** Where its bars begin, and where its last bar ends. */
  edges: number[];
  bars: BarStart[];
  ticks: Tick[];
}

export const SHEET = {
  lead: 70,
  first: 121.2,
  labels: { from: 16, to: 62 },
  right: 15,
} as const;

/** Seconds a pseudo-bar lasts where there is no music: eight make a stave of 20 s. */
const PLAIN_BAR_SECONDS = 2.5;

/** What a film is measured by. */
export type Timed = Pick<Film, "clock" | "length">;

/** The starts of all bars of the film, and its beats; bars go on at the last tempo past the song. */
export function barsOf(film: Timed, framesPerSecond: number): { bars: BarStart[]; ticks: Tick[] } {
  return film.clock.frames.length >= 2
    ? musicBars(film, film.clock)
    : plainBars(film, framesPerSecond);
}

function musicBars(film: Timed, clock: Clock) {
  const bars: BarStart[] = [];
  const ticks: Tick[] = [];
  clock.frames.forEach((frame, beat) => {
    if (frame < 0 || frame > film.length) return;
    const strong = isDownbeat(clock, beat);
    ticks.push({ frame, strong });
    if (strong) bars.push({ frame, label: String(barOf(clock, beat)) });
  });
  // Past the song's last beat the bars go on as long as the last ones were.
  const last = clock.frames.length - 1;
  const step = lastStep(clock);
  for (let beat = last + 1; step > 0; beat++) {
    const frame = (clock.frames[last] ?? 0) + (beat - last) * step;
    if (frame >= film.length) break;
    if (frame < 0) continue;
    const strong = isDownbeat(clock, beat);
    ticks.push({ frame, strong });
    if (strong) bars.push({ frame, label: String(barOf(clock, beat)) });
  }
  if (bars.length === 0) bars.push({ frame: 0, label: "" });
  return { bars, ticks };
}

function plainBars(film: Timed, framesPerSecond: number) {
  const bars: BarStart[] = [];
  const ticks: Tick[] = [];
  const seconds = film.length / framesPerSecond;
  for (let s = 0; s <= seconds; s += 0.5) {
    ticks.push({ frame: s * framesPerSecond, strong: s % 1 === 0 });
  }
  for (let s = 0; s < Math.max(seconds, 0.1); s += PLAIN_BAR_SECONDS) {
    bars.push({ frame: s * framesPerSecond, label: `${s} s` });
  }
  return { bars, ticks };
}

/** Wraps a film into staves of so many bars. The last bar may end past the film's end. */
export function stavesOf(film: Timed, framesPerSecond: number, barsPerLine: number): Stave[] {
  const { bars, ticks } = barsOf(film, framesPerSecond);
  // A bar that begins with or after the last frame holds no picture.
  const kept = bars.filter((b, i) => i === 0 || b.frame < film.length - 1);
  const staves: Stave[] = [];
  for (let at = 0; at < kept.length; at += barsPerLine) {
    const own = kept.slice(at, at + barsPerLine);
    const edges = own.map((b) => b.frame);
    const next = kept[at + barsPerLine]?.frame;
    const lastFrame = edges.at(-1) ?? 0;
    const end = next ?? Math.max(film.length, lastFrame + 1);
    const usual = edges.length > 1 ? lastFrame - (edges.at(-2) ?? 0) : end - lastFrame;
    // A last bar cut short by the film's end keeps its pace, so it is drawn narrower.
    edges.push(next ?? Math.max(end, lastFrame + usual));
    const first = edges[0] ?? 0;
    const catchUp = Math.max(1, ((edges[1] ?? first + 1) - first) / 2);
    staves.push({
      index: staves.length,
      start: at === 0 ? 0 : first,
      end,
      before: at === 0 ? 0 : Math.max(0, first - catchUp),
      edges,
      bars: own,
      ticks: ticks.filter((t) => t.frame >= (at === 0 ? 0 : first) && t.frame < end),
    });
  }
  return staves;
}

/** Where frames stand on a stave, and back. */
export class Ruler {
  constructor(
    readonly stave: Stave,
    readonly barWidth: number,
  ) {}

  /** The position of a frame; past its last bar, time goes on at that bar's pace. */
  x(frame: number): number {
    const { edges, before } = this.stave;
    const first = edges[0] ?? 0;
    if (frame <= first) {
      if (first <= before) return SHEET.first;
      const part = (Math.max(frame, before) - before) / (first - before);
      return SHEET.lead + part * (SHEET.first - SHEET.lead);
    }
    for (let i = 0; i + 1 < edges.length; i++) {
      const from = edges[i] ?? 0;
      const to = edges[i + 1] ?? from + 1;
      if (frame <= to || i + 2 === edges.length) {
        return SHEET.first + (i + (frame - from) / (to - from)) * this.barWidth;
      }
    }
    return SHEET.first;
  }

  /** The frame at a position, not rounded. */
  frame(x: number): number {
    const { edges, before } = this.stave;
    const first = edges[0] ?? 0;
    if (x < SHEET.first) {
      const part = Math.max(0, x - SHEET.lead) / (SHEET.first - SHEET.lead);
      return before + part * (first - before);
    }
    const at = (x - SHEET.first) / this.barWidth;
    const bar = Math.min(edges.length - 2, Math.floor(at));
    const from = edges[bar] ?? 0;
    const to = edges[bar + 1] ?? from + 1;
    return from + (at - bar) * (to - from);
  }

  /** The right end of what the stave holds. */
  get right(): number {
    return this.x(this.stave.end);
  }
}

/** How many bars a line holds unless the person says: the film fits on five lines. */
export function usualBarsPerLine(bars: number): number {
  if (bars <= 8) return 4;
  return bars <= 40 ? 8 : 16;
}

/** The heights of a stave's parts, in pixels from its top. */
export interface Parts {
  height: number;
  picture: number;
  pictureEnd: number;
  captions: boolean;
  /** Where the words of the narration begin; null without a voice. */
  voice: number | null;
  /** How many rows of words there are; with none, words are bars alone. */
  lyricRows: number;
  /** Where the row of sounds begins; null if nothing of a clip is heard. */
  sound: number | null;
  /** The lower end of what is drawn. */
  bottom: number;
}

/** What a stave has to hold beside music and pictures. */
export interface Need {
  /** Rows of words; 0 without a voice. */
  rows: number;
  /** Whether something of a clip is heard. */
  sounds: boolean;
}

/** What a row of words takes. */
const LYRIC_ROW = 14;

/** What words take that are bars alone. */
const WORD_BARS = 18;

/** What the row of sounds takes. */
export const SOUND_ROW = 18;

/** Under this height a stave is folded: its words become bars. */
const FOLDED = 150;

/** What a stave takes that is whole, and what one takes at least and at most. */
const WHOLE = 190;
const LEAST = 104;
const TALLEST = 330;

/** How high the pictures of an opened stave are at least. */
const OPENED = 60;

/** Where the pictures begin, and how high they are at least and at most. */
const PICTURE = 71;
const LOWEST = 24;
const HIGHEST = 220;

/** Where each stave's parts lie, and where the stave begins on the sheet. */
export interface StavePlace {
  parts: Parts;
  top: number;
}

/**
 * Divides the sheet's height between the staves. Where there are so many that they are folded, the
 * one under the playhead is opened, and the others share the rest, so that the whole film stays in
 * sight; a folded stave has rows only for what it holds itself.
 *
 * @param whole what the film holds
 * @param needs what each stave holds
 */
export function placeStaves(
  sheetHeight: number,
  open: number,
  whole: Need,
  needs: readonly Need[],
): StavePlace[] {
  const count = needs.length;
  const each = Math.floor(sheetHeight / Math.max(1, count));
  const folds =
    (whole.rows > 0 || whole.sounds) && each < FOLDED && count > 1 && sheetHeight > WHOLE;
  const opened = openedParts(needs[open] ?? whole);
  const share = folds ? Math.floor((sheetHeight - opened.height) / (count - 1)) : each;
  const usual = partsFor(share, whole);
  let top = 0;
  return needs.map((need, i) => {
    const folded = i === open ? opened : foldedParts(share, need);
    const parts = folds ? folded : usual;
    const placed = { parts, top };
    top += parts.height;
    return placed;
  });
}

const NOTHING: Need = { rows: 0, sounds: false };

/** The parts of a stave that has so many pixels, but for the least it needs. */
export function partsFor(share: number, { rows, sounds }: Need = NOTHING): Parts {
  const height = Math.max(LEAST, Math.min(TALLEST, Math.floor(share)));
  const captions = height >= FOLDED && rows === 0 && !sounds;
  const lyricRows = Math.min(rows, height >= WHOLE ? 3 : height >= FOLDED ? 2 : 1);
  const words = lyricRows * LYRIC_ROW;
  const under = rows > 0 ? 34 + words : captions ? 26 : 10;
  const band = height - PICTURE - under - (sounds ? SOUND_ROW : 0);
  return stacked(height, band, captions, rows > 0 ? lyricRows : null, 20 + words, sounds);
}

/** The parts of the one stave that is not folded where the others are. */
function openedParts(need: Need): Parts {
  const words = need.rows > 0 ? 34 + need.rows * LYRIC_ROW : 0;
  return partsFor(Math.max(WHOLE, PICTURE + OPENED + words + (need.sounds ? SOUND_ROW : 0)), need);
}

/** The parts of a folded stave: its words are bars, and there are rows only for what it holds. */
function foldedParts(share: number, { rows, sounds }: Need): Parts {
  const under = (rows > 0 ? WORD_BARS : 0) + (sounds ? SOUND_ROW : 0) + 10;
  const height = Math.max(LEAST, PICTURE + LOWEST + under, share);
  return stacked(height, height - PICTURE - under, false, rows > 0 ? 0 : null, WORD_BARS, sounds);
}

/** Parts one under the other: pictures, words, sounds. */
function stacked(
  height: number,
  band: number,
  captions: boolean,
  lyricRows: number | null,
  words: number,
  sounds: boolean,
): Parts {
  const pictureEnd = PICTURE + Math.max(LOWEST, Math.min(HIGHEST, band));
  const voiceEnd = lyricRows === null ? pictureEnd : pictureEnd + words;
  return {
    height,
    picture: PICTURE,
    pictureEnd,
    captions,
    voice: lyricRows === null ? null : pictureEnd + 3,
    lyricRows: lyricRows ?? 0,
    sound: sounds ? voiceEnd + (lyricRows === null ? 4 : 0) : null,
    bottom: voiceEnd + (sounds ? SOUND_ROW : 0),
  };
}
