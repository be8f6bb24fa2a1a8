// @vitest-environment jsdom
import { describe, expect, it } from "vitest";
import type { Look, LookShot } from "../api/client";
import { hasKey, keyOf } from "../rooms/look/key";

const shot = (item: string, group: string | null, of: LookShot["keyOf"]) =>
  ({ item, label: item, title: `Shot ${item}`, frame: 4, group, keyOf: of }) as LookShot;

const shots = [
  shot("a", null, "FILM"),
  shot("b", "house", "GROUP"),
  shot("c", "house", "NONE"),
  shot("d", null, "NONE"),
];
const look = (over: Partial<Look>): Look =>
  ({ revision: 7, key: "a", still: null, shots, ...over }) as Look;
const names = (of: Look) => of.shots.map((s) => keyOf(1, of, s)?.name ?? null);

describe("what a shot is to look like", () => {
  it("is its group's key, which is led towards the film's, which is nobody's", () => {
    expect(names(look({}))).toEqual([null, "key shot a", "key shot b", "key shot a"]);
  });

  it("is a still that was brought in, named as far as there is room", () => {
    const still = { picture: "5e", name: "an evening over the water in winter.png" };
    const led = look({ key: null, still });
    expect(names(led)).toEqual([
      "key still an evening over the wat\u2026",
      "key still an evening over the wat\u2026",
      "key shot b",
      "key still an evening over the wat\u2026",
    ]);
    expect(keyOf(1, led, shots[3] as LookShot)?.url).toMatch(/film\/look\/stills\/5e\.png$/);
    expect(hasKey(led)).toBe(true);
    expect(hasKey(look({ key: null }))).toBe(false);
  });
});
