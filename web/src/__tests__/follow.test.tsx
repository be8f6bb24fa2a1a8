// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Film, Placed } from "../api/client";
import { FollowRow } from "../rooms/follow/FollowRow";
import { PlacePicker } from "../rooms/follow/PlacePicker";
import { placeUnder } from "../rooms/follow/placeUnder";
import { takeBox } from "../rooms/score/takeBox";
import { film } from "./film";
import { page } from "./server";

afterEach(cleanup);

const SIDES = { width: 1920, height: 1080 };

const shot = (of: Partial<Placed>): Placed =>
  ({
    ...film(1).shots[0],
    takeId: 7,
    start: 0,
    end: 100,
    picture: { width: 1000, height: 1000 },
    path: null,
    framing: "FILL",
    ...of,
  }) as Placed;

const shots = (...all: Placed[]) => ({ shots: all, overlays: [] }) as unknown as Film;

describe("what of a take is seen at a place of the picture", () => {
  it("is found the way back from where the take lies", () => {
    const near = { at: 0, size: 2500, right: -1200, down: 700, turn: 3000 };
    const path = { points: [near, { ...near, at: 1000 }], easing: "EVEN" as const, fills: null };
    const one = shot({ id: "s", path });
    const seen = placeUnder(shots(one), 40, SIDES, { x: 0.3, y: 0.8 });
    expect(seen?.shot).toBe("s");
    // Out again, by the place's way from the middle of the take, turned as the take lies.
    const box = takeBox(shots(one), one, 40, SIDES);
    const turn = (box.turn * Math.PI) / 180;
    const right = ((seen?.x ?? 0) - 0.5) * box.width;
    const down = ((seen?.y ?? 0) - 0.5) * box.height;
    expect(box.x + right * Math.cos(turn) - down * Math.sin(turn)).toBeCloseTo(0.3 * 1920);
    expect(box.y + right * Math.sin(turn) + down * Math.cos(turn)).toBeCloseTo(0.8 * 1080);
  });

  it("is none in a gap, beside the picture of a take, and after the film", () => {
    expect(placeUnder(shots(shot({ takeId: 0 })), 5, SIDES, { x: 0.5, y: 0.5 })).toBeNull();
    const fitted = shots(shot({ framing: "FIT" }));
    expect(placeUnder(fitted, 5, SIDES, { x: 0.1, y: 0.5 })).toBeNull();
    expect(placeUnder(fitted, 5, SIDES, { x: 0.5, y: 0.5 })).toMatchObject({ x: 0.5, y: 0.5 });
    expect(placeUnder(fitted, 100, SIDES, { x: 0.5, y: 0.5 })).toBeNull();
  });
});

describe("a place to follow", () => {
  it("is pointed at by keys alone", () => {
    const onPick = vi.fn();
    const onGiveUp = vi.fn();
    render(page(<PlacePicker onPick={onPick} onGiveUp={onGiveUp} />));
    const surface = screen.getByRole("application");
    expect(document.activeElement).toBe(surface);
    fireEvent.keyDown(surface, { key: "ArrowRight", shiftKey: true });
    fireEvent.keyDown(surface, { key: "ArrowUp" });
    fireEvent.keyDown(surface, { key: "Enter" });
    const [at] = onPick.mock.calls[0] as [{ x: number; y: number }];
    expect(at.x).toBeCloseTo(0.55);
    expect(at.y).toBeCloseTo(0.49);
    fireEvent.keyDown(surface, { key: "Escape" });
    expect(onGiveUp).toHaveBeenCalledOnce();
  });

  it("says in which shot it is, and how far it is known there", () => {
    const seen = shots(shot({ id: "s", label: "030" }));
    const row = (whole: boolean, of = "s") => (
      <FollowRow
        film={seen}
        fps={24}
        follows={{ shot: of, start: 0, end: 49, whole }}
        does="goes with"
        stays="stays in its place"
        busy={false}
        onPick={() => undefined}
        onStay={() => undefined}
      />
    );
    const { rerender } = render(page(row(true)));
    expect(screen.getByText("goes with a place in 030")).toBeTruthy();
    rerender(page(row(false)));
    expect(screen.getByText(", known to 00:02:00")).toBeTruthy();
    rerender(page(row(false, "")));
    expect(screen.getByText("that the film does not show", { exact: false })).toBeTruthy();
  });
});
