// @vitest-environment jsdom
import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { useDraftSoon } from "../parts/useDraftSoon";

describe("a draft that keys change", () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  const hook = () => {
    const send = vi.fn();
    const drop = vi.fn();
    const { result, rerender } = renderHook(
      ({ of }: { of: object }) => useDraftSoon(of, send, drop),
      { initialProps: { of: {} } },
    );
    drop.mockClear();
    return { result, send, drop, arrives: () => rerender({ of: {} }) };
  };

  it("is sent once, a moment after the last press", () => {
    const { result, send } = hook();
    act(() => result.current.ask());
    act(() => void vi.advanceTimersByTime(300));
    act(() => result.current.ask());
    act(() => void vi.advanceTimersByTime(300));
    expect(send).not.toHaveBeenCalled();
    act(() => void vi.advanceTimersByTime(200));
    expect(send).toHaveBeenCalledTimes(1);
  });

  it("is not dropped by what arrives while presses are still to be sent", () => {
    const { result, drop, arrives } = hook();
    act(() => result.current.ask());
    arrives();
    expect(drop).not.toHaveBeenCalled();
    act(() => void vi.advanceTimersByTime(500));
    arrives();
    expect(drop).toHaveBeenCalledTimes(1);
  });

  it("is sent at once before something else, and not once more", () => {
    const { result, send } = hook();
    act(() => result.current.ask());
    act(() => result.current.now());
    expect(send).toHaveBeenCalledTimes(1);
    act(() => void vi.advanceTimersByTime(500));
    act(() => result.current.now());
    expect(send).toHaveBeenCalledTimes(1);
  });
});
