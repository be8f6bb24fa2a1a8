import { describe, expect, it } from "vitest";
import { equalVolumes, samePlace } from "../rooms/cues/voice/sides";

const word = (start: number) => ({ text: "a", start, end: start, confidence: 1, doubtful: false });
const slow = { seconds: 4, words: [word(1), word(3)] };
const quick = { seconds: 2, words: [word(0.2), word(1)] };

describe("two readings side by side", () => {
  it("stand at the same word, and between words in proportion", () => {
    expect(samePlace(slow, quick, 1)).toBeCloseTo(0.2);
    expect(samePlace(slow, quick, 2)).toBeCloseTo(0.6);
    expect(samePlace(slow, quick, 0.5)).toBeCloseTo(0.1);
    expect(samePlace(slow, quick, 3.5)).toBeCloseTo(1.5);
    expect(samePlace(quick, slow, samePlace(slow, quick, 2.2))).toBeCloseTo(2.2);
    expect(samePlace(slow, quick, 9)).toBe(2);
  });

  it("are taken by their length where their words differ", () => {
    expect(samePlace(slow, { seconds: 2, words: [word(1)] }, 3)).toBeCloseTo(1.5);
  });

  it("are as loud as the quieter one", () => {
    expect(equalVolumes(-20, -26)).toEqual([expect.closeTo(0.501, 3), 1]);
    expect(equalVolumes(-23, -23)).toEqual([1, 1]);
  });
});
