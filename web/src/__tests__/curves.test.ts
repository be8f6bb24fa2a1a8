import { describe, expect, it } from "vitest";
import { isCurved, isListed, isToned } from "../rooms/look/corrections";
import { pathOf, shownPoints, withMore, withPoint, withoutPoint } from "../rooms/look/curves";

const straight = { points: [] };

describe("a curve", () => {
  it("is straight until a point is put on it", () => {
    expect(shownPoints(straight)).toEqual([
      { from: 0, to: 0 },
      { from: 1000, to: 1000 },
    ]);
    const { curve, at } = withMore(straight, { from: 400, to: 600 });
    expect(at).toBe(1);
    expect(curve.points).toHaveLength(3);
    expect(withoutPoint(curve, 1)).toEqual(straight);
  });

  it("keeps a point between its neighbours and in the square", () => {
    const { curve } = withMore(straight, { from: 500, to: 500 });
    expect(withPoint(curve, 1, { from: 1400, to: 1400 }).points[1]).toEqual({
      from: 999,
      to: 1000,
    });
    expect(withPoint(curve, 0, { from: -20, to: -20 }).points[0]).toEqual({ from: 0, to: 0 });
  });

  it("has eight points at most, none at the place of another", () => {
    let curve = withMore(straight, { from: 100, to: 100 }).curve;
    for (let from = 200; from < 1000; from += 100) curve = withMore(curve, { from, to: 500 }).curve;
    expect(curve.points).toHaveLength(8);
    expect(withMore(curve, { from: 950, to: 0 }).at).toBe(-1);
    expect(withMore(straight, { from: 1, to: 700 }).at).toBe(-1);
  });

  it("never swings beyond its points", () => {
    const curve = {
      points: [
        { from: 0, to: 0 },
        { from: 300, to: 800 },
        { from: 600, to: 800 },
        { from: 1000, to: 1000 },
      ],
    };
    const heights = [...pathOf(curve, 100).matchAll(/[\d.]+ ([\d.]+)/g)].map((m) => Number(m[1]));
    expect(Math.min(...heights)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...heights)).toBeLessThanOrEqual(100);
    // Level between the two points of one height.
    expect(pathOf(curve, 100)).toContain("C 40.00 20.00 50.00 20.00 60.00 20.00");
  });
});

it("tells what is said of a correction", () => {
  const curves = { luma: straight, red: straight, green: straight, blue: straight };
  const tones = { pivot: 41, blacks: 0, whites: 0, shoulder: 0, toe: 0, vibrance: 0, curves };
  expect(isToned(tones)).toBe(false);
  expect(isToned({ ...tones, toe: 10 })).toBe(true);
  expect(isCurved(curves)).toBe(false);
  expect(isCurved({ ...curves, red: { points: [...shownPoints(straight)] } })).toBe(true);
  const one = { red: 1, green: 1, blue: 1 };
  const list = { slope: one, power: one, offset: { red: 0, green: 0, blue: 0 }, saturation: 1 };
  expect(isListed(list)).toBe(false);
  expect(isListed({ ...list, offset: { red: 0.1, green: 0, blue: 0 } })).toBe(true);
});
