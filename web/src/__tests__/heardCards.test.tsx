// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Production, SoundManner, Words } from "../api/client";
import { AsideFields } from "../rooms/mix/AsideFields";
import { FadeField } from "../rooms/mix/FadeField";
import { SoundFilters } from "../rooms/mix/SoundFilters";
import { SoundTexts } from "../rooms/words/SoundTexts";
import type { WordsActions } from "../rooms/words/useWordsActions";

afterEach(cleanup);

const type = (field: HTMLElement, text: string) => {
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
};

describe("the filters of a sound", () => {
  const how = {
    equaliser: {
      bands: [
        { kind: "LOW_CUT", hertz: 90, gain: 0, q: Math.SQRT1_2 },
        { kind: "BELL", hertz: 1000, gain: 3, q: Math.SQRT1_2 },
      ],
    },
  } as SoundManner;

  it("are added, set by numbers and taken out, each beside the others", () => {
    const change = vi.fn();
    render(<SoundFilters how={how} onChange={change} />);
    fireEvent.click(screen.getByText("high shelf"));
    expect(change.mock.lastCall?.[0]).toHaveLength(3);
    expect(change.mock.lastCall?.[0][2]).toMatchObject({ kind: "HIGH_SHELF", hertz: 5000 });
    const bell = within(screen.getByRole("group", { name: "bell 2" }));
    type(bell.getByLabelText("bell, dB"), "-4.5");
    expect(change.mock.lastCall?.[0][1]).toMatchObject({ hertz: 1000, gain: -4.5 });
    fireEvent.click(screen.getByLabelText("Take the bell out"));
    expect(change.mock.lastCall?.[0]).toEqual([how.equaliser.bands[0]]);
    type(screen.getByLabelText("Low cut, Hz"), "0");
    expect(change.mock.lastCall?.[0]).toEqual([how.equaliser.bands[1]]);
  });

  it("are six at most", () => {
    const bands = Array.from({ length: 6 }, () => how.equaliser.bands[1]);
    render(<SoundFilters how={{ equaliser: { bands } } as SoundManner} onChange={vi.fn()} />);
    expect(screen.queryByText("high shelf")).toBeNull();
  });
});

describe("music that steps aside for a sound", () => {
  it("is asked for by how far, and no longer by nothing", () => {
    const ask = vi.fn();
    const { rerender } = render(<AsideFields asked={null} onAsk={ask} />);
    expect(screen.queryByLabelText("for, ms")).toBeNull();
    type(screen.getByLabelText("by, dB"), "6");
    expect(ask.mock.lastCall?.[0]).toEqual({ by: 6, held: 400 });
    rerender(<AsideFields asked={{ by: 6, held: 400 }} onAsk={ask} />);
    type(screen.getByLabelText("for, ms"), "900");
    expect(ask.mock.lastCall?.[0]).toEqual({ by: 6, held: 900 });
    type(screen.getByLabelText("by, dB"), "0");
    expect(ask.mock.lastCall?.[0]).toBeNull();
  });
});

describe("a fade", () => {
  it("has a shape once it has a length, equal power at first", () => {
    const change = vi.fn();
    render(<FadeField label="Fade in" fade={{ shape: "LINEAR", samples: 0 }} onChange={change} />);
    expect(screen.queryByLabelText("Fade in: its shape")).toBeNull();
    type(screen.getByLabelText("Fade in, s"), "0.5");
    expect(change.mock.lastCall?.[0]).toEqual({ shape: "EQUAL_POWER", samples: 24_000 });
  });
});

describe("sounds in captions", () => {
  const words = {
    captions: {
      sounds: [
        { sound: "a", name: "knock", frame: 48, text: "[knock]", crowded: true },
        { sound: "b", name: "rain", frame: 96, text: "", crowded: false },
      ],
    },
  } as unknown as Words;
  const production = { id: 3, framesPerSecond: 24 } as Production;

  it("are told one by one or all at once, and those without room say so", () => {
    const sounds = vi.fn();
    const actions = { sounds } as unknown as WordsActions;
    render(<SoundTexts production={production} words={words} language="en" actions={actions} />);
    expect(screen.getByText("no room: knock")).toBeTruthy();
    expect(screen.getByText("0:04.0")).toBeTruthy();
    fireEvent.click(screen.getByText("Tell all"));
    expect(sounds.mock.lastCall).toEqual(["en", { a: "[knock]", b: "[rain]" }]);
    type(screen.getByLabelText("What is said of rain"), "[rain on a roof]");
    expect(sounds.mock.lastCall).toEqual(["en", { b: "[rain on a roof]" }]);
    fireEvent.click(screen.getByText("None"));
    expect(sounds.mock.lastCall).toEqual(["en", { a: "", b: "" }]);
  });
});
