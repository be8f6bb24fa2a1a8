// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Zone } from "../api/client";
import { SafeAreaFields } from "../rooms/words/SafeAreaFields";
import { page } from "./server";

afterEach(cleanup);

const UPRIGHT = { left: 50, top: 50, right: 120, bottom: 180, zones: [] as Zone[] };

function shown(usual: boolean, zones: Zone[] = []) {
  const onSet = vi.fn();
  render(page(<SafeAreaFields shape="9:16" safe={{ ...UPRIGHT, zones, usual }} onSet={onSet} />));
  fireEvent.click(screen.getByRole("button", { name: "kept free" }));
  return onSet;
}

function type(field: string, text: string) {
  const input = screen.getByLabelText(field);
  fireEvent.change(input, { target: { value: text } });
  fireEvent.blur(input);
}

describe("what is kept free of words in a shape", () => {
  it("is typed in percent, one side at a time", () => {
    const onSet = shown(true);
    type("bottom, %", "22.5");
    expect(onSet).toHaveBeenLastCalledWith({ ...UPRIGHT, bottom: 225 });
    type("left, %", "55");
    expect(onSet).toHaveBeenLastCalledWith({ ...UPRIGHT, left: 400 });
    expect(screen.queryByRole("button", { name: "As usual" })).toBeNull();
  });

  it("is a part of the picture too, whose edges stay apart and inside", () => {
    const onSet = shown(true);
    fireEvent.click(screen.getByRole("button", { name: "Keep a part free" }));
    const buttons = { left: 860, top: 450, right: 1000, bottom: 800 };
    expect(onSet).toHaveBeenLastCalledWith({ ...UPRIGHT, zones: [buttons] });
    cleanup();
    const onChange = shown(false, [buttons, { left: 0, top: 0, right: 200, bottom: 100 }]);
    type("left edge of part 1, %", "99.5");
    const second = { left: 0, top: 0, right: 200, bottom: 100 };
    expect(onChange).toHaveBeenLastCalledWith({
      ...UPRIGHT,
      zones: [{ ...buttons, left: 980 }, second],
    });
    type("bottom edge of part 2, %", "120");
    expect(onChange).toHaveBeenLastCalledWith({
      ...UPRIGHT,
      zones: [buttons, { ...second, bottom: 1000 }],
    });
    fireEvent.click(screen.getByRole("button", { name: "Take part 1 out" }));
    expect(onChange).toHaveBeenLastCalledWith({ ...UPRIGHT, zones: [second] });
  });

  it("goes back to what is usual", () => {
    const onSet = shown(false);
    fireEvent.click(screen.getByRole("button", { name: "As usual" }));
    expect(onSet).toHaveBeenCalledWith(null);
  });
});
