// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Material } from "../api/client";
import { keys } from "../api/queries";
import { PictureInLetters } from "../rooms/words/PictureInLetters";

const take = (id: number, more: object) => ({
  id,
  number: id,
  state: "READY",
  rejected: false,
  ...more,
});

const material = {
  doubled: [],
  missing: [],
  refusals: [],
  shots: [
    { id: 1, label: "010", title: "The pier", takes: [take(1, {}), take(2, { rejected: true })] },
    { id: 2, label: "020", title: "", takes: [take(3, {}), take(4, { state: "PREPARING" })] },
  ],
} as unknown as Material;

function shown(picture: string | null) {
  const chosen = vi.fn();
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(keys.material(7), material);
  render(
    <QueryClientProvider client={client}>
      <PictureInLetters production={7} picture={picture} onChoose={chosen} />
    </QueryClientProvider>,
  );
  return chosen;
}

function opened() {
  fireEvent.mouseDown(screen.getByRole("combobox"));
  return within(screen.getByRole("listbox"));
}

describe("the picture in a title's letters", () => {
  afterEach(cleanup);

  it("is one of the takes that are ready and not put aside, or none", () => {
    const chosen = shown(null);
    expect(screen.getByRole("combobox").textContent).toBe("no picture");
    const list = opened();
    expect(list.getAllByRole("option").map((o) => o.textContent)).toEqual([
      "no picture",
      "010 The pier, take 1",
      "020, take 3",
    ]);
    fireEvent.click(list.getByText("020, take 3"));
    expect(chosen).toHaveBeenCalledWith("3");
  });

  it("is taken out again", () => {
    const chosen = shown("3");
    fireEvent.click(opened().getByText("no picture"));
    expect(chosen).toHaveBeenCalledWith(null);
  });

  it("says when its take is gone", () => {
    shown("9");
    expect(screen.getByRole("combobox").textContent).toBe("a take that is not there");
  });
});
