import { describe, expect, it } from "vitest";
import type { Film, Placed } from "../api/client";
import { panOf } from "../rooms/mix/pan";
import { takeBox } from "../rooms/score/takeBox";
import { film } from "./film";

const FILM = { width: 1920, height: 1080 };

const shot = (of: Partial<Placed>): Placed =>
  ({
    ...film(1).shots[0],
    id: "s",
    start: 0,
    end: 100,
    picture: { width: 1000, height: 1000 },
    path: null,
    framing: "FILL",
    ...of,
  }) as Placed;

const box = (of: Partial<Placed>, frame = 50, film: Partial<Film> = {}) =>
  takeBox({ shots: [], overlays: [], ...film } as unknown as Film, shot(of), frame, FILM);

describe("where a take lies in the film's picture", () => {
  it("is beyond it where the take fills it, and within it where it is fitted", () => {
    expect(box({})).toEqual({ x: 960, y: 540, width: 1920, height: 1920, turn: 0 });
    expect(box({ framing: "FIT" })).toEqual({ x: 960, y: 540, width: 1080, height: 1080, turn: 0 });
  });

  it("moves against the camera", () => {
    const near = { at: 0, size: 2000, right: -1000, down: 0, turn: 0 };
    const still = { points: [near, { ...near, at: 1000 }], easing: "EVEN" as const, fills: null };
    // The window is 500 wide and its middle 100 left of the take's.
    expect(box({ path: still })).toEqual({
      x: 960 + 100 * (1920 / 500),
      y: 540,
      width: 3840,
      height: 3840,
      turn: -0,
    });
    const turned = { ...still, points: still.points.map((p) => ({ ...p, turn: 9000 })) };
    const on = box({ path: turned });
    expect(on.turn).toBe(-90);
    // What lay at the right of a camera that is turned clockwise by a quarter is above it.
    expect(on.x).toBeCloseTo(960);
    expect(on.y).toBeCloseTo(540 - 100 * (1920 / 500));
  });

  it("says how far to a side its focus is seen, for what is heard from there", () => {
    const focus = (x: number) => ({ points: [{ at: 0, x, y: 500 }], across: 0, down: 0 });
    const pan = (of: Partial<Placed>) =>
      panOf({ shots: [], overlays: [] } as unknown as Film, shot(of), 50, FILM);
    expect(pan({ focus: focus(500) })).toBe(0);
    expect(pan({ focus: focus(900) })).toBe(80);
    // A take that is fitted lies in the middle of a wide picture.
    expect(pan({ focus: focus(1000), framing: "FIT" })).toBe(56);
    // What the camera has left behind is at the edge.
    const near = { at: 0, size: 4000, right: -3000, down: 0, turn: 0 };
    const path = { points: [near, { ...near, at: 1000 }], easing: "EVEN" as const, fills: null };
    expect(pan({ focus: focus(900), path })).toBe(100);
  });

  it("goes with the layer it is laid on", () => {
    const lie = { at: 0, opacity: 100, size: 500, x: 250, y: 500, turn: 9000 };
    const over = { shot: shot({}), lie: { points: [lie], easing: "EVEN" } };
    expect(box({}, 50, { overlays: [over] } as unknown as Film)).toEqual({
      x: 480,
      y: 540,
      width: 960,
      height: 960,
      turn: 90,
    });
  });
});
