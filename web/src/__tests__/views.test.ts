import { describe, expect, it } from "vitest";
import type { CameraPath, Production } from "../api/client";
import { WHOLE, kept, viewAt, windowOf, withPoint } from "../rooms/score/views";

const wide = { width: 1920, height: 1080 };
const film = { id: 3, ...wide } as Production;

const path = (easing: CameraPath["easing"] = "EVEN"): CameraPath => ({
  points: [WHOLE, { at: 1000, size: 2000, right: 0, down: 0, turn: 0 }],
  easing,
  fills: null,
});

describe("a view of a take", () => {
  it("is a window about a place of it", () => {
    expect(windowOf(WHOLE, wide, wide)).toEqual({ x: 960, y: 540, ...wide, turn: 0 });
    const view = { at: 0, size: 2000, right: 1000, down: -500, turn: 300 };
    const window = windowOf(view, wide, wide);
    expect(window).toEqual({ x: 1152, y: 486, width: 960, height: 540, turn: 3 });
    const tall = windowOf(WHOLE, { width: 1080, height: 1920 }, wide);
    expect([tall.width, tall.height]).toEqual([1080, 607.5]);
  });

  it("is kept inside the take", () => {
    expect(kept({ ...WHOLE, right: 900, down: -40 }, wide, wide)).toEqual(WHOLE);
    expect(kept({ ...WHOLE, size: 20 }, wide, wide).size).toBe(1000);
    const closer = kept({ ...WHOLE, size: 2000, right: 9000, down: -9000 }, wide, wide);
    expect([closer.right, closer.down]).toEqual([2500, -2500]);
    // Turned by a right angle it has to be as wide as the take is high.
    expect(kept({ ...WHOLE, turn: 9000 }, wide, wide).size).toBe(1778);
  });

  it("goes from the first to the last, its edges evenly", () => {
    expect(viewAt(path(), 0).size).toBeCloseTo(1000);
    expect(viewAt(path(), 0.5).size).toBeCloseTo(4000 / 3);
    expect(viewAt(path(), 1).size).toBeCloseTo(2000);
    expect(viewAt(path("SLOW_START"), 0.5).size).toBeLessThan(4000 / 3);
    expect(viewAt(path("SLOW_END"), 0.5).size).toBeGreaterThan(4000 / 3);
    expect(viewAt(path("SLOW_BOTH"), 0.5).size).toBeCloseTo(4000 / 3);
  });

  it("rests once it has arrived", () => {
    const early = withPoint(path(), 1, { at: 250 }, wide, film);
    expect(viewAt(early, 0.25).size).toBeCloseTo(2000);
    expect(viewAt(early, 0.8).size).toBeCloseTo(2000);
  });
});
