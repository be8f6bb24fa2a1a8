// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { GreySlider } from "../rooms/look/GreySlider";

describe("a slider of the Look room", () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  const shown = () => {
    const onMove = vi.fn();
    const onSet = vi.fn();
    render(
      <GreySlider label="Warmth" value={0} least={-100} most={100} onMove={onMove} onSet={onSet} />,
    );
    return { slider: screen.getByRole("slider", { name: "Warmth" }), onMove, onSet };
  };

  it("makes one change of presses that follow each other", () => {
    const { slider, onMove, onSet } = shown();
    fireEvent.keyDown(slider, { key: "ArrowRight" });
    fireEvent.keyDown(slider, { key: "ArrowRight" });
    fireEvent.keyDown(slider, { key: "ArrowRight" });
    expect(onMove.mock.calls.map(([to]) => to as number)).toEqual([1, 2, 3]);
    expect(onSet).not.toHaveBeenCalled();
    act(() => void vi.advanceTimersByTime(500));
    expect(onSet.mock.calls).toEqual([[3]]);
  });

  it("has made it when one goes elsewhere", () => {
    const { slider, onSet } = shown();
    fireEvent.keyDown(slider, { key: "ArrowLeft" });
    fireEvent.blur(slider);
    expect(onSet.mock.calls).toEqual([[-1]]);
    act(() => void vi.advanceTimersByTime(500));
    expect(onSet).toHaveBeenCalledTimes(1);
  });
});
