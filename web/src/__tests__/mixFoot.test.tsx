// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { LaidSound, Mix } from "../api/client";
import { MixFoot } from "../rooms/mix/MixFoot";
import type { MixActions } from "../rooms/mix/useMixActions";
import { page } from "./server";

afterEach(cleanup);

const bed = (id: string, name: string, kind = "BED", place: LaidSound["place"] = null) =>
  ({ id, name, kind, place, says: "a cut that is gone" }) as LaidSound;

const HEARD = { start: 0, landing: 0, end: 48_000 };

/** The foot under a mix that is sound but for what is said. */
function shown(said: Partial<Mix>) {
  const actions = { throughPlace: vi.fn(), bend: vi.fn(), rule: vi.fn() };
  const onChoose = vi.fn();
  const mix = { laid: [], lines: [], astray: [], rule: { over: 10 }, ...said } as unknown as Mix;
  render(
    page(
      <MixFoot
        mix={mix}
        heard={undefined}
        actions={actions as unknown as MixActions}
        onChoose={onChoose}
      />,
    ),
  );
  return { ...actions, onChoose };
}

describe("what is wrong with a mix, under it", () => {
  it("is a place’s ambience that is not heard in all of it, laid there by one act", () => {
    const water = { name: "water", place: "the valley", sound: 7, item: "s3" };
    const { throughPlace } = shown({ laid: [bed("b", "water", "BED", HEARD)], astray: [water] });
    expect(screen.getByText(/water is not heard through all of the valley/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "lay it through all of it" }));
    expect(throughPlace).toHaveBeenCalledWith(7, "s3");
  });

  it("is shown where it lies if the shelf has it no more", () => {
    const gone = { name: "water", place: "the valley", sound: null, item: "s3" };
    const { throughPlace, onChoose } = shown({
      laid: [bed("b", "water", "BED", HEARD)],
      astray: [gone],
    });
    fireEvent.click(screen.getByRole("button", { name: "show it" }));
    expect(throughPlace).not.toHaveBeenCalled();
    expect(onChoose).toHaveBeenCalledWith("b");
  });

  it("is a sound tied to what is gone, and a line under music that was bent over the rule", () => {
    const low = { id: "l", number: 4, start: 0, end: 1, byRule: -12, gain: -6, byHand: true };
    const { bend, onChoose } = shown({ laid: [bed("x", "knock", "HIT")], lines: [low] });
    expect(screen.getByText("1 hit, 0 beds")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "show it" }));
    expect(onChoose).toHaveBeenCalledWith("x");
    expect(screen.getByText(/line 4: music 6.0 dB over the rule/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "by the rule" }));
    expect(bend).toHaveBeenCalledWith("l", null);
  });
});
