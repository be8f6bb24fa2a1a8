// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { SafeAreaFields } from "../rooms/words/SafeAreaFields";
import { page } from "./server";

afterEach(cleanup);

const UPRIGHT = { left: 50, top: 50, right: 120, bottom: 180 };

function shown(usual: boolean) {
  const onSet = vi.fn();
  render(page(<SafeAreaFields shape="9:16" safe={{ ...UPRIGHT, usual }} onSet={onSet} />));
  fireEvent.click(screen.getByRole("button", { name: usual ? "sides" : "own sides" }));
  return onSet;
}

function type(field: string, text: string) {
  const input = screen.getByLabelText(field);
  fireEvent.change(input, { target: { value: text } });
  fireEvent.blur(input);
}

describe("what is kept free of words at the sides of a shape", () => {
  it("is typed in percent, one side at a time", () => {
    const onSet = shown(true);
    type("bottom, %", "22.5");
    expect(onSet).toHaveBeenLastCalledWith({ ...UPRIGHT, bottom: 225 });
    type("left, %", "55");
    expect(onSet).toHaveBeenLastCalledWith({ ...UPRIGHT, left: 400 });
    expect(screen.queryByRole("button", { name: "As usual" })).toBeNull();
  });

  it("goes back to what is usual", () => {
    const onSet = shown(false);
    fireEvent.click(screen.getByRole("button", { name: "As usual" }));
    expect(onSet).toHaveBeenCalledWith(null);
  });
});
