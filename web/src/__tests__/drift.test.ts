import { describe, expect, it } from "vitest";
import type { Look } from "../api/client";
import { FURTHEST, furthest, heightOf } from "../rooms/look/drift";

const shot = (item: string, whole: number) => ({
  item,
  keyOf: item === "k" ? "FILM" : "NONE",
  now: { lightness: 0, warmth: 0, colour: 0, whole },
});

describe("drift", () => {
  it("draws what is lighter higher, and what is too far at the edge", () => {
    expect(heightOf(0)).toBe(0.5);
    expect(heightOf(3)).toBeLessThan(0.5);
    expect(heightOf(FURTHEST * 4)).toBe(0);
    expect(heightOf(-FURTHEST * 4)).toBe(1);
  });

  it("names shots that are not close to the key, the furthest first", () => {
    const look = {
      key: "k",
      still: null,
      close: 3,
      shots: [shot("a", 2.9), shot("k", 0), shot("b", 5), shot("c", 12), { item: "d", now: null }],
    } as unknown as Look;
    expect(furthest(look).map((s) => s.item)).toEqual(["c", "b"]);
  });
});
