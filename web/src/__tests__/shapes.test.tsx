// @vitest-environment jsdom
import { ThemeProvider } from "@mui/material/styles";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { inShape, type Focus, type Framing, type Placed } from "../api/client";
import { ShapesPanel } from "../rooms/score/ShapesPanel";
import {
  focusAt,
  focusOf,
  focusThrough,
  focusWithout,
  framedIn,
  nextShape,
  sidesOf,
  timeIn,
  watched,
} from "../rooms/score/shapes";
import type { ScoreActions } from "../rooms/score/useScoreActions";
import { useRoom } from "../store";
import { theme } from "../theme";
import { film } from "./film";
import { production } from "./server";

const made = film(4);
const tall = { name: "9:16", width: 1080, height: 1920 };

function shot(over: Partial<Placed> = {}): Placed {
  const [first] = made.shots;
  if (!first) throw new Error("no shot");
  return { ...first, ...over };
}

afterEach(() => {
  cleanup();
  useRoom.setState({ shape: null, place: null, also: [] });
});

describe("the shapes of a film", () => {
  it("are watched one after the other, the film’s own again at the end", () => {
    expect(nextShape(made, null)).toBe("9:16");
    expect(nextShape(made, "9:16")).toBe("1:1");
    expect(nextShape(made, "1:1")).toBeNull();
    expect(inShape(12, null)).toBe("12");
    expect(inShape(12, "9:16")).toBe("12@9x16");
  });

  it("have a size, those that are typed too", () => {
    expect(watched(made, production, null)).toMatchObject({ width: 1920, height: 1080 });
    expect(watched(made, production, "9:16")).toEqual(tall);
    const short = Math.min(production.width, production.height);
    expect(watched(made, production, "2:1")).toEqual({
      name: "2:1",
      width: 2 * short,
      height: short,
    });
    expect(sidesOf("2:0")).toBeNull();
    expect(sidesOf("wide")).toBeNull();
  });

  it("say how a shot is framed in them", () => {
    const upright = (fit: Framing, said: Framing | null = null) => [{ shape: "9:16", said, fit }];
    const focus = focusAt(0.3, 0.5, null);
    expect(framedIn(shot({ shapes: upright("FILL") }), "9:16")).toBe("its middle");
    expect(framedIn(shot({ focus, shapes: upright("FILL") }), "9:16")).toBe("about its focus");
    expect(framedIn(shot({ focus, shapes: upright("SOFT") }), "9:16")).toMatch(/too narrow/);
    expect(framedIn(shot({ focus, shapes: upright("FIT", "FIT") }), "9:16")).toBe("with bars");
  });
});

describe("a focus", () => {
  it("goes evenly from place to place over its shot", () => {
    const focus: Focus = {
      points: [
        { at: 0, x: 200, y: 500 },
        { at: 1000, x: 800, y: 400 },
      ],
      across: 0,
      down: 0,
    };
    const moving = shot({ focus, start: 100, end: 200 });
    expect(focusOf(moving, 100)).toEqual({ x: 0.2, y: 0.5 });
    expect(focusOf(moving, 150).x).toBeCloseTo(0.5);
    expect(focusOf(moving, 900)).toEqual({ x: 0.8, y: 0.4 });
    expect(focusOf(shot(), 0)).toEqual({ x: 0.5, y: 0.5 });
  });

  it("is led through places at their times", () => {
    const begun = focusThrough(0.2, 0.5, 400, null);
    expect(begun.points.map((p) => p.at)).toEqual([0, 400]);
    const led = focusThrough(0.8, 0.4, 1000, begun);
    expect(led.points).toEqual([
      { at: 0, x: 200, y: 500 },
      { at: 400, x: 200, y: 500 },
      { at: 1000, x: 800, y: 400 },
    ]);
    expect(focusThrough(0.3, 0.5, 405, led).points[1]).toEqual({ at: 405, x: 300, y: 500 });
    expect(focusThrough(0.1, 0.1, 0, led).points.map((p) => p.x)).toEqual([100, 200, 800]);
    expect(focusWithout(0, led)?.points.map((p) => p.at)).toEqual([0, 1000]);
    expect(focusWithout(600, led)).toBeNull();
    expect(timeIn({ start: 100, end: 200 }, 125)).toBe(250);
  });

  it("is set at the playhead where it moves", () => {
    const setFocus = vi.fn();
    useRoom.setState({ place: 0, frame: 12 });
    const still = focusAt(0.5, 0.5, null);
    render(
      <ThemeProvider theme={theme}>
        <ShapesPanel
          production={production}
          film={made}
          shot={shot({ focus: still, start: 0, end: 24 })}
          actions={{ setFocus } as unknown as ScoreActions}
        />
      </ThemeProvider>,
    );
    fireEvent.click(screen.getByText("at the playhead"));
    fireEvent.keyDown(screen.getByRole("slider"), { key: "ArrowLeft" });
    expect(setFocus).toHaveBeenLastCalledWith(focusThrough(0.48, 0.5, 500, still));
  });

  it("is set by keys, and stays inside the take", () => {
    const setFocus = vi.fn();
    const setShapeFraming = vi.fn();
    useRoom.setState({ place: 0, shape: "9:16" });
    render(
      <ThemeProvider theme={theme}>
        <ShapesPanel
          production={production}
          film={made}
          shot={shot({ focus: focusAt(0.99, 0.5, null) })}
          actions={{ setFocus, setShapeFraming } as unknown as ScoreActions}
        />
      </ThemeProvider>,
    );
    fireEvent.keyDown(screen.getByRole("slider"), { key: "ArrowRight" });
    expect(setFocus).toHaveBeenLastCalledWith(focusAt(1, 0.5, null));
    fireEvent.click(screen.getByText("soft"));
    expect(setShapeFraming).toHaveBeenLastCalledWith("9:16", "SOFT");
    fireEvent.click(screen.getByText("by its focus"));
    fireEvent.click(screen.getByLabelText("16:9, as cut"));
    expect(useRoom.getState().shape).toBeNull();
  });
});
