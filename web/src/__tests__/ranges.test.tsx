// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { ColourRange } from "../api/client";
import { MaskHandles } from "../rooms/score/MaskHandles";
import { RangePanel } from "../rooms/look/RangePanel";

const NOTHING = { exposure: 0, contrast: 0, warmth: 0, tint: 0, saturation: 0 };

const ELLIPSE = {
  kind: "ELLIPSE" as const,
  points: [
    { x: 250, y: 200 },
    { x: 750, y: 800 },
  ],
  softness: 20,
  outside: false,
};

const range = (over: Partial<ColourRange>): ColourRange => ({
  hue: 0,
  width: 180,
  weakest: 0,
  strongest: 400,
  darkest: 0,
  lightest: 100,
  softness: 0,
  where: { masks: [], of: "ALL" },
  basics: NOTHING,
  ...over,
});

describe("a shot's ranges", () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  const shown = (ranges: ColourRange[]) => {
    const on = {
      onOpen: vi.fn(),
      onPick: vi.fn(),
      onMask: vi.fn(),
      onMove: vi.fn(),
      onSet: vi.fn<(ranges: ColourRange[]) => void>(),
    };
    render(<RangePanel ranges={ranges} open={0} picking={false} {...on} />);
    return on;
  };
  const press = (name: string) => fireEvent.click(screen.getByRole("button", { name }));

  it("are called by what they mean", () => {
    shown([
      range({ where: { masks: [ELLIPSE], of: "ALL" } }),
      range({ where: { masks: [], of: "SUBJECT" } }),
      range({ hue: 240, width: 30 }),
      range({ lightest: 40 }),
    ]);
    const names = screen.getAllByRole("button").map((b) => b.textContent);
    expect(names.slice(0, 4)).toEqual(["ellipse", "subject", "skies", "darks"]);
    // There is no room for a fifth.
    expect(names).not.toContain("A part of it");
  });

  it("are of a part of the picture when that is asked for", () => {
    const { onMask, onSet } = shown([range({ where: { masks: [ELLIPSE], of: "ALL" } })]);
    press("A part of it");
    press("rectangle");
    expect(onMask.mock.calls).toEqual([
      [1, "ELLIPSE"],
      [0, "RECTANGLE"],
    ]);
    press("behind it");
    press("outside it");
    press("Take mask 1 away");
    expect(onSet.mock.calls.map(([to]) => to[0]?.where)).toEqual([
      { masks: [ELLIPSE], of: "BACKGROUND" },
      { masks: [{ ...ELLIPSE, outside: true }], of: "ALL" },
      { masks: [], of: "ALL" },
    ]);
  });

  it("have both ends moved by keys as one change", () => {
    const { onSet } = shown([range({})]);
    const from = screen.getByRole("slider", { name: "Brightness, from" });
    fireEvent.keyDown(from, { key: "ArrowRight" });
    fireEvent.keyDown(from, { key: "ArrowRight" });
    expect(onSet).not.toHaveBeenCalled();
    act(() => void vi.advanceTimersByTime(500));
    expect(onSet.mock.calls.map(([to]) => to[0]?.darkest)).toEqual([2]);
  });
});

describe("masks on a picture", () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  it("have their points moved by arrows, which are sent as one change", () => {
    const onMove = vi.fn();
    const onSet = vi.fn();
    const drop = vi.fn();
    render(
      <svg>
        <MaskHandles
          of={1}
          masks={[ELLIPSE]}
          box={{ x: 960, y: 540, width: 1920, height: 1080, turn: 0 }}
          unit={1}
          onMove={onMove}
          onSet={onSet}
          onDrop={drop}
        />
      </svg>,
    );
    const point = screen.getByRole("button", { name: /Point 2 of mask 1/ });
    fireEvent.keyDown(point, { key: "ArrowRight" });
    fireEvent.keyDown(point, { key: "ArrowDown", shiftKey: true });
    expect(onSet).not.toHaveBeenCalled();
    act(() => void vi.advanceTimersByTime(500));
    // Both are of the masks as they are given: here nobody shows what was moved.
    expect(onSet.mock.calls).toEqual([
      [[{ ...ELLIPSE, points: [ELLIPSE.points[0], { x: 750, y: 825 }] }]],
    ]);
    expect(onMove).toHaveBeenCalledTimes(2);
  });
});
