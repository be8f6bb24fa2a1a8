import { movesBetween } from "../rooms/cues/moves";
import { film } from "./film";
import { describe, expect, it } from "vitest";
import type { Reading, Song } from "../api/client";
import { doubtsOf } from "../rooms/cues/doubts";
import { setWords, tightened, untightened } from "../rooms/cues/voice/layout";

const word = (text: string, start: number): Reading["words"][number] => ({
  text,
  start,
  end: start + 0.2,
  confidence: 1,
  doubtful: false,
});

describe("words under a waveform", () => {
  it("stand where they are spoken and never on each other", () => {
    const words = ["Nobody", "remembers", "the", "year", "the", "valley", "filled"].map((text, i) =>
      word(text, 0.3 * i),
    );
    const set = setWords(words, 90);
    set.forEach((w, i) => {
      expect(w.x).toBeCloseTo(27 * i);
      const before = set.slice(0, i).filter((o) => o.row === w.row);
      before.forEach((o) => expect(o.x + o.word.text.length * 6).toBeLessThan(w.x));
    });
    expect(Math.max(...set.map((w) => w.row))).toBeLessThan(3);
  });
});

describe("a tightened reading", () => {
  const cuts = [
    { from: 1, to: 1.5 },
    { from: 3, to: 4 },
  ];

  it("has what is left where the cuts let it fall", () => {
    expect(tightened(0.5, cuts)).toBe(0.5);
    expect(tightened(2, cuts)).toBe(1.5);
    expect(tightened(1.2, cuts)).toBe(1);
    expect(tightened(5, cuts)).toBe(3.5);
  });

  it("is found again in the reading", () => {
    for (const at of [0, 0.4, 0.99, 1.6, 2.9, 4.01, 7]) {
      expect(untightened(tightened(at, cuts), cuts)).toBeCloseTo(at);
    }
  });
});

describe("doubtful bars", () => {
  const song = (sureness: number[]) =>
    ({
      beats: sureness.map((_, i) => i),
      sureness,
      firstDownbeat: 1,
      beatsPerBar: 3,
      seconds: 40,
    }) as unknown as Song;

  it("are runs of bars whose beats are mostly unheard", () => {
    const bars = [1, [1, 1, 1], [0, 0, 1], [0, 0, 0], [1, 0, 1], [0, 0, 0]].flat();
    expect(doubtsOf(song(bars))).toEqual([
      { from: 4, to: 10, words: "bars 2 to 3 are hardly heard" },
      { from: 13, to: 40, words: "bar 5 is hardly heard" },
    ]);
    expect(doubtsOf(song([1, 1, 1, 1]))).toEqual([]);
  });
});

describe("what a change of the clocks did to the film", () => {
  const moved = (by: number) => ({
    joints: film().joints.map((j, i) => (i > 3 ? { ...j, frame: j.frame + by } : j)),
  });
  const problem = {
    kind: "INSIDE_WORD" as const,
    place: 2,
    frames: 4,
    text: "inside a word",
    remedies: [],
  };

  it("counts cuts that moved and says what is wrong now", () => {
    expect(movesBetween(film(), film())).toBe("");
    expect(movesBetween(film(), film(12, moved(-7)))).toBe("9 cuts moved with it, by up to 7 f.");
    expect(movesBetween(film(), film(12, { problems: [problem] }))).toBe("inside a word.");
    const both = film(12, { ...moved(1), problems: [problem] });
    expect(movesBetween(film(12, { problems: [problem] }), both)).toBe(
      "9 cuts moved with it, by up to 1 f.",
    );
    expect(movesBetween(film(11), film())).toBe("");
  });
});
