// @vitest-environment jsdom
import { ThemeProvider } from "@mui/material/styles";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Film, Treatment, TreatmentKind } from "../api/client";
import { keys } from "../api/queries";
import { TreatmentPanel } from "../rooms/score/TreatmentPanel";
import {
  following,
  moved,
  placeOf,
  still,
  wordNear,
  type Parameter,
} from "../rooms/score/treatments";
import type { ScoreActions } from "../rooms/score/useScoreActions";
import { useRoom } from "../store";
import { theme } from "../theme";
import { film } from "./film";
import { production } from "./server";

const amount: Parameter = { name: "amount", least: 0, most: 100, usual: 40, unit: "PERCENT" };
const size: Parameter = { name: "size", least: 2, most: 150, usual: 30, unit: "HEIGHT" };
const usual = (kind: Treatment["kind"], values: number[]): Treatment => ({
  kind,
  values: values.map((value) => ({ value, follows: null })),
  bypassed: false,
  table: null,
});
const KINDS: TreatmentKind[] = [
  { kind: "GLOW", parameters: [amount, size], usual: usual("GLOW", [40, 30]) },
  { kind: "HAZE", parameters: [amount], usual: usual("HAZE", [30]) },
];

function panel(treatments: Treatment[], made: Film = film(12), items = ["101"]) {
  const setTreatments = vi.fn<ScoreActions["setTreatments"]>();
  const client = new QueryClient();
  client.setQueryData(keys.treatments, KINDS);
  render(
    <QueryClientProvider client={client}>
      <ThemeProvider theme={theme}>
        <TreatmentPanel
          production={production}
          film={made}
          items={items}
          treatments={treatments}
          frame={100}
          actions={{ setTreatments } as unknown as ScoreActions}
        />
      </ThemeProvider>
    </QueryClientProvider>,
  );
  /** What was asked for last: of what, and what is done to it then. */
  return () => {
    const call = setTreatments.mock.lastCall;
    return call && ([call[0], call[1](treatments)] as const);
  };
}

afterEach(() => {
  cleanup();
  useRoom.setState({ treated: null });
});

describe("what is done to a picture", () => {
  it("is chosen from pictures of the shot itself, one more after what is there", () => {
    const asked = panel([]);
    const tile = screen.getByLabelText("Add haze");
    expect(tile.querySelector("img")?.getAttribute("src")).toContain(
      "/frames/100/treatment.jpg?item=101&kind=HAZE",
    );
    fireEvent.click(tile);
    expect(asked()).toEqual([["101"], [usual("HAZE", [30])]]);
  });

  it("has values that are typed in the unit they are shown in", () => {
    const asked = panel([usual("GLOW", [40, 30])]);
    const field = screen.getByLabelText("size, %");
    expect((field as HTMLInputElement).value).toBe("3.0");
    fireEvent.change(field, { target: { value: "4.5" } });
    fireEvent.blur(field);
    expect(asked()?.[1][0]?.values[1]).toEqual({ value: 45, follows: null });
    fireEvent.change(field, { target: { value: "400" } });
    fireEvent.blur(field);
    expect(asked()?.[1][0]?.values[1]?.value).toBe(150);
  });

  it("is left out, taken out and put in another order", () => {
    const both = [usual("GLOW", [40, 30]), usual("HAZE", [30])];
    const asked = panel(both);
    fireEvent.click(screen.getByLabelText("haze is done"));
    expect(asked()?.[1].map((t) => t.bypassed)).toEqual([false, true]);
    fireEvent.keyDown(screen.getByLabelText("haze"), { key: "ArrowUp", altKey: true });
    expect(asked()?.[1].map((t) => t.kind)).toEqual(["HAZE", "GLOW"]);
    fireEvent.click(screen.getByText("Leave all out"));
    expect(asked()?.[1].every((t) => t.bypassed)).toBe(true);
    fireEvent.click(screen.getByLabelText("Take glow out"));
    expect(asked()?.[1].map((t) => t.kind)).toEqual(["HAZE"]);
  });

  it("is copied to other shots", () => {
    panel([usual("HAZE", [12])]);
    fireEvent.click(screen.getByText("Copy"));
    cleanup();
    const asked = panel([], film(12), ["102", "103"]);
    expect(screen.getByText("On 2 selected shots")).toBeTruthy();
    fireEvent.click(screen.getByText("Paste 1"));
    expect(asked()).toEqual([["102", "103"], [usual("HAZE", [12])]]);
  });

  it("says what is missing of what a value follows", () => {
    const driven = usual("HAZE", [30]);
    driven.values[0] = following({ value: 30, follows: null }, amount, "MARKERS");
    panel([driven]);
    expect(screen.getByText(/No marker is set yet/)).toBeTruthy();
  });
});

describe("a value that follows", () => {
  it("rests at nothing and reaches what was set, and is that when it stays again", () => {
    const driven = following({ value: 64, follows: null }, amount, "BEATS");
    expect(driven).toEqual({
      value: 0,
      follows: { source: "BEATS", line: null, word: null, to: 64, attack: 0, decay: 300 },
    });
    expect(still(driven)).toEqual({ value: 64, follows: null });
    expect(following(driven, amount, "WORDS").follows?.source).toBe("WORDS");
    expect(following({ value: 2, follows: null }, size, "LOW")).toMatchObject({
      value: 2,
      follows: { to: 30 },
    });
  });

  it("follows the word that is nearest to the playhead", () => {
    const word = (at: number, start: number) => ({ word: at, start }) as unknown as never;
    const line = (name: string, ...words: never[]) =>
      ({ line: name, words }) as unknown as Film["voice"][number];
    const voice = [line("3", word(0, 10), word(1, 22)), line("4"), line("5", word(0, 40))];
    expect(wordNear({ voice }, 25)).toEqual({ line: "3", word: 1 });
    expect(wordNear({ voice }, 90)).toEqual({ line: "5", word: 0 });
    expect(wordNear({ voice: [] }, 90)).toEqual({ line: null, word: null });
    const on = following({ value: 64, follows: null }, amount, "WORD", { line: "5", word: 0 });
    expect(on.follows).toMatchObject({ source: "WORD", line: "5", word: 0, to: 64 });
    expect(following(on, amount, "BEATS").follows).toMatchObject({ line: null, word: null });
  });

  it("is found again where edits on their way have put it", () => {
    const [glow, haze] = [usual("GLOW", [1, 2]), usual("HAZE", [3])];
    expect(placeOf([glow, haze], haze, 1)).toBe(1);
    expect(placeOf([haze], haze, 1)).toBe(0);
    expect(placeOf([glow], haze, 0)).toBe(-1);
    expect(placeOf([usual("GLOW", [9, 9])], glow, 0)).toBe(0);
  });

  it("moves within its list and not beyond", () => {
    expect(moved([1, 2, 3], 0, 1)).toEqual([2, 1, 3]);
    expect(moved([1, 2, 3], 0, -1)).toEqual([1, 2, 3]);
    expect(moved([1, 2, 3], 2, 1)).toEqual([1, 2, 3]);
  });
});
