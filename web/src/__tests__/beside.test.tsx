// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import type { Film, Production } from "../api/client";
import { Beside, besideOf } from "../rooms/words/Beside";
import { useRoom } from "../store";
import { page } from "./server";

afterEach(() => {
  cleanup();
  useRoom.getState().set({ shape: null });
});

const WIDE = { name: "16:9", width: 1920, height: 1080 };
const UPRIGHT = { name: "9:16", width: 1080, height: 1920 };
const SQUARE = { name: "1:1", width: 1080, height: 1080 };
const FILM = { revision: 3, length: 96, shapes: [WIDE, UPRIGHT, SQUARE] } as unknown as Film;

describe("the picture in another shape", () => {
  it("is an upright one beside a wide one, and the other way round", () => {
    expect(besideOf(FILM, WIDE)).toBe(UPRIGHT);
    expect(besideOf(FILM, UPRIGHT)).toBe(WIDE);
    expect(besideOf(FILM, SQUARE)).toBe(WIDE);
    expect(besideOf({ shapes: [WIDE] }, WIDE)).toBeUndefined();
  });

  it("changes places with the one that is worked on", () => {
    const beside = (shape: typeof WIDE) =>
      page(
        <Beside
          production={{ id: 1 } as Production}
          film={FILM}
          shape={shape}
          title={undefined}
          draft={null}
        />,
      );
    const { rerender } = render(beside(UPRIGHT));
    fireEvent.click(screen.getByRole("button", { name: "In 9:16" }));
    expect(useRoom.getState().shape).toBe("9:16");
    // The film's own shape is said by none.
    rerender(beside(WIDE));
    fireEvent.click(screen.getByRole("button", { name: "In 16:9" }));
    expect(useRoom.getState().shape).toBeNull();
  });
});
