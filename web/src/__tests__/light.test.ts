import { describe, expect, it } from "vitest";
import type { Light } from "../api/client";
import { apart, lightLine, remains } from "../rooms/look/light";

const grey = (stops: number): Light => ({ red: stops, green: stops, blue: stops });

describe("the light through a shot", () => {
  it("lies as far apart as the colour that changes most", () => {
    expect(apart([grey(-10), grey(25), { red: 0, green: 0, blue: -30 }])).toBe(55);
    expect(apart([])).toBe(0);
  });

  it("is less by the percent it is levelled", () => {
    expect(remains(40, 75)).toBe(10);
    expect(remains(40, 100)).toBe(0);
  });

  it("is drawn higher where it is lighter, and flat where it is levelled", () => {
    const points = (strength: number) =>
      lightLine([grey(-50), grey(0), grey(50)], strength, 300, 40)
        .split(" ")
        .map((p) => p.split(",").map(Number));
    expect(points(0)).toEqual([
      [50, 38],
      [150, 20],
      [250, 2],
    ]);
    expect(points(100).every(([, y]) => y === 20)).toBe(true);
    // Little change is not blown up to the whole height.
    expect(lightLine([grey(5)], 0, 300, 40)).toBe("150.0,16.4");
  });
});
