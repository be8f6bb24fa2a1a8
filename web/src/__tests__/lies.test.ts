import { describe, expect, it } from "vitest";
import type { Lie, Overlay } from "../api/client";
import { boxOf, coverOf, lieAt, moving, through, withLiePoint } from "../rooms/score/lies";
import { pointsOf, withSpot } from "../rooms/score/masks";

const film = { width: 1920, height: 1080 };
const here = { at: 0, opacity: 100, size: 500, x: 250, y: 500, turn: 0 };
const still: Lie = { points: [here], easing: "EVEN" };
const path: Lie = {
  points: [here, { at: 500, opacity: 0, size: 1000, x: 750, y: 500, turn: 9000 }],
  easing: "EVEN",
};

describe("what lies over the cut", () => {
  it("is where its lie says, in the film's pixels", () => {
    expect(boxOf(here, film, film)).toEqual({ x: 480, y: 540, width: 960, height: 540, turn: 0 });
    const fitted = { shot: { framing: "FIT", picture: { width: 1000, height: 1000 } } } as Overlay;
    expect(coverOf(fitted, film)).toEqual({ width: 1080, height: 1080 });
  });

  it("goes from place to place and rests after the last", () => {
    expect(lieAt(still, 0.7)).toEqual(here);
    expect(lieAt(path, 0.25)).toMatchObject({ opacity: 50, size: 750, x: 500, turn: 4500 });
    expect(lieAt(path, 0.9)).toMatchObject({ size: 1000, x: 750 });
    expect(lieAt({ ...path, easing: "SLOW_START" }, 0.25).x).toBe(375);
  });

  it("stays within its ranges", () => {
    expect(withLiePoint(still, 0, { size: 99_999, x: -9000 }).points[0]).toMatchObject({
      size: 8000,
      x: -2000,
    });
  });

  it("is set moving, and goes through where it is", () => {
    const moved = moving(still);
    expect(moved.points.map((p) => [p.at, p.x])).toEqual([
      [0, 250],
      [1000, 350],
    ]);
    const more = through(path, 0.25);
    expect(more.points.map((p) => p.at)).toEqual([0, 250, 500]);
    expect(more.points[1]).toMatchObject({ size: 750, x: 500 });
    // Where there is a place at that time already, it is that one that is set.
    expect(through(more, 0.25).points).toHaveLength(3);
  });
});

describe("masks", () => {
  const ellipse = {
    kind: "ELLIPSE" as const,
    points: [
      { x: 100, y: 200 },
      { x: 500, y: 800 },
    ],
    softness: 0,
    outside: false,
  };

  it("are drawn as what they are", () => {
    const round = pointsOf(ellipse);
    expect(Math.max(...round.map((p) => p.x))).toBe(500);
    expect(Math.min(...round.map((p) => p.y))).toBeCloseTo(200);
    expect(pointsOf({ ...ellipse, kind: "RECTANGLE" })).toHaveLength(4);
    expect(pointsOf({ ...ellipse, kind: "OUTLINE" })).toEqual(ellipse.points);
  });

  it("have their points moved, not too far", () => {
    const moved = withSpot([ellipse], 0, 1, { x: 5000.3, y: 12.6 });
    expect(moved[0]?.points[1]).toEqual({ x: 2000, y: 13 });
    expect(withSpot([ellipse], 3, 1, { x: 1, y: 1 })).toEqual([ellipse]);
  });
});
