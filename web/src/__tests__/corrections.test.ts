import { describe, expect, it } from "vitest";
import type { ColourCorrection } from "../api/client";
import { carriedOver } from "../rooms/look/corrections";

const flat = { red: 1, green: 1, blue: 1 };
const none: ColourCorrection = {
  basics: { exposure: 0, contrast: 0, warmth: 0, tint: 0, saturation: 0 },
  tones: {
    pivot: 41,
    blacks: 0,
    whites: 0,
    shoulder: 0,
    toe: 0,
    vibrance: 0,
    curves: {
      luma: { points: [] },
      red: { points: [] },
      green: { points: [] },
      blue: { points: [] },
    },
  },
  cdl: { slope: flat, offset: { red: 0, green: 0, blue: 0 }, power: flat, saturation: 1 },
  ranges: [],
};

describe("a number that is typed while a match is on its way", () => {
  const matched: ColourCorrection = {
    ...none,
    basics: { ...none.basics, exposure: 20, warmth: -8 },
    cdl: { ...none.cdl, saturation: 0.9 },
  };

  it("changes what the match made of the shot in that number alone", () => {
    const typed = { ...none, basics: { ...none.basics, exposure: 35 } };
    expect(carriedOver(none, typed, matched)).toEqual({
      ...matched,
      basics: { ...matched.basics, exposure: 35 },
    });
  });

  it("changes no other kind of number, and may be set back", () => {
    const typed = { ...none, tones: { ...none.tones, blacks: 12 } };
    const after = carriedOver(none, typed, matched);
    expect(after.tones.blacks).toBe(12);
    expect(after.basics).toEqual(matched.basics);
    expect(carriedOver(typed, none, after).tones.blacks).toBe(0);
  });

  it("leaves a list and curves whole", () => {
    const curved = {
      ...none,
      tones: { ...none.tones, curves: { ...none.tones.curves, luma: { points: [] } } },
      cdl: { ...none.cdl, saturation: 1.1 },
    };
    const after = carriedOver(none, curved, matched);
    expect(after.cdl).toEqual(curved.cdl);
    expect(after.tones).toEqual(matched.tones);
  });
});
