// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { LowButton } from "../parts/LowButton";

afterEach(cleanup);

describe("a low button", () => {
  it("says whether what it turns on is on, and nothing where it turns nothing on", () => {
    const onPress = vi.fn();
    render(
      <>
        <LowButton pressed onPress={onPress}>
          backwards: on
        </LowButton>
        <LowButton onPress={onPress}>free</LowButton>
      </>,
    );
    expect(screen.getByText("backwards: on").getAttribute("aria-pressed")).toBe("true");
    expect(screen.getByText("free").hasAttribute("aria-pressed")).toBe(false);
    fireEvent.click(screen.getByText("backwards: on"));
    expect(onPress).toHaveBeenCalledTimes(1);
  });
});
