// @vitest-environment jsdom
import { ThemeProvider } from "@mui/material/styles";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Production, Service, Story, StoryShot } from "../api/client";
import { keys } from "../api/queries";
import { BoardTab } from "../rooms/story/BoardTab";
import { PromptsTab } from "../rooms/story/PromptsTab";
import { ScriptTab } from "../rooms/story/ScriptTab";
import { SheetsTab } from "../rooms/story/SheetsTab";
import { ShotsTab } from "../rooms/story/ShotsTab";
import { SoundsTab } from "../rooms/story/SoundsTab";
import { TimeLine } from "../rooms/story/TimeLine";
import { theme } from "../theme";

const production: Production = {
  id: 3,
  title: "Night Post",
  width: 1920,
  height: 1080,
  rate: "24",
  framesPerSecond: 24,
  targetSeconds: 20,
  changedAt: "2026-01-01T00:00:00Z",
};

const shot = (id: number, over: Partial<StoryShot> = {}): StoryShot => ({
  id,
  number: `0${id}0`,
  seen: `Sight ${id}`,
  who: [],
  where: "",
  action: "",
  move: "STILL",
  strength: 2,
  seconds: 3,
  mood: "",
  sounds: [],
  lettering: "",
  line: 0,
  ...over,
});

const story = (over: Partial<Story> = {}): Story => ({
  revision: 4,
  brief: { form: "TRAILER", subject: "", audience: "", tone: "", seconds: 20, structure: "" },
  request: "Write it.",
  text: "Narrator: One bell.",
  format: "PLAIN",
  delivery: { wordsPerMinute: 90, gap: 1 },
  usual: [{ name: "trailer with gaps", slow: 65, fast: 90 }],
  elements: [{ kind: "NARRATION", speaker: "Narrator", text: "One bell.", line: 1 }],
  lines: [
    {
      number: 1,
      speaker: "Narrator",
      narration: true,
      text: "One bell.",
      sourceLine: 1,
      words: 2,
      seconds: 1.3,
    },
  ],
  words: 2,
  spokenSeconds: 1.3,
  targetSeconds: 20,
  cuts: [],
  shots: [shot(1, { who: ["Maren"], line: 1 }), shot(2), shot(3)],
  rows: [1, 2, 3],
  shotSeconds: 9,
  sheets: {
    people: [],
    places: [],
    look: { lens: "", film: "", light: "", grade: "", tone: "", shape: "" },
    exclusions: [],
  },
  lexicon: { bell: { name: "bell", search: "bell single" } },
  sounds: [{ shot: 1, name: "bell", search: "bell single" }],
  givenOut: [],
  ...over,
});

const service = {
  id: 1,
  failsEvery: 0,
  left: 100,
  profile: {
    name: "Vane",
    kind: "CLIP",
    longestPrompt: 300,
    shapes: ["16:9"],
    lengths: [5],
    rate: 24,
  },
} as unknown as Service;

const prompt = (id: number) => ({
  shot: id,
  number: `0${id}0`,
  seen: "",
  text: `Prompt ${id}`,
  exclusion: "",
  dropped: id === 2 ? [{ name: "mood", text: "hushed" }] : [],
  named: id === 2 ? [{ name: "Tam", sheet: false }] : [],
  flags: id === 1 ? ["Maren has no sheet"] : [],
  givenOut: false,
});

let client: QueryClient;
const change = vi.fn();
const inside = (children: ReactNode) => (
  <QueryClientProvider client={client}>
    <ThemeProvider theme={theme}>
      <MemoryRouter>{children}</MemoryRouter>
    </ThemeProvider>
  </QueryClientProvider>
);

beforeEach(() => {
  client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity, retry: false } } });
  client.setQueryData(keys.services, [service]);
  client.setQueryData(
    [...keys.production(3), "story", "prompts", "Vane", 4],
    [1, 2, 3].map(prompt),
  );
  client.setQueryData(keys.material(3), { shots: [], missing: [], doubled: [], refusals: [] });
  change.mockReset().mockResolvedValue(story());
  Element.prototype.scrollIntoView = vi.fn();
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe("prompts", () => {
  it("copies with one key, ticks the shot and goes to the next", async () => {
    const writeText = vi.fn().mockResolvedValue(undefined);
    vi.stubGlobal("navigator", { clipboard: { writeText } });
    render(inside(<PromptsTab production={production} story={story()} change={change} />));
    expect(screen.getByText("Maren has no sheet")).toBeTruthy();
    expect(screen.getByText("too long, left out: mood (hushed)")).toBeTruthy();
    await act(async () => {
      fireEvent.keyDown(window, { key: "c" });
      await Promise.resolve();
    });
    expect(writeText).toHaveBeenCalledWith("Prompt 1");
    expect(change).toHaveBeenCalledWith({
      method: "PUT",
      path: "given-out",
      values: { givenOut: [1] },
    });
    await act(async () => {
      fireEvent.keyDown(window, { key: "c" });
      await Promise.resolve();
    });
    expect(writeText).toHaveBeenLastCalledWith("Prompt 2");
    vi.unstubAllGlobals();
  });
});

describe("the script", () => {
  it("is kept a moment after typing, once", () => {
    vi.useFakeTimers();
    render(inside(<ScriptTab production={production} story={story()} change={change} />));
    const area = screen.getByLabelText("Script");
    fireEvent.change(area, { target: { value: "Narrator: One." } });
    fireEvent.change(area, { target: { value: "Narrator: One bell more." } });
    expect(change).not.toHaveBeenCalled();
    act(() => vi.advanceTimersByTime(500));
    expect(change).toHaveBeenCalledTimes(1);
    expect(change.mock.calls[0]?.[0]).toMatchObject({
      path: "script",
      values: { text: "Narrator: One bell more.", format: "PLAIN" },
    });
  });

  it("offers what to cut when it is too long", () => {
    const long = story({
      spokenSeconds: 24,
      cuts: [{ line: 1, text: "bell", left: "One.", seconds: 4, loss: 1 }],
    });
    render(inside(<ScriptTab production={production} story={long} change={change} />));
    const cuts = screen.getByTestId("cuts");
    expect(cuts.textContent).toContain("4.0 s too long");
    fireEvent.click(within(cuts).getByRole("button"));
    expect(change).toHaveBeenCalledWith({
      method: "POST",
      path: "cut",
      values: { line: 1, text: "bell" },
    });
  });

  it("shows on one ruler whether it fits", () => {
    render(inside(<TimeLine story={story({ spokenSeconds: 24 })} />));
    expect(screen.getByTestId("spoken").textContent).toBe("spoken 24.0 s of 20 s");
  });
});

describe("shots", () => {
  it("are changed several at once", () => {
    render(inside(<ShotsTab production={production} story={story()} change={change} />));
    fireEvent.click(screen.getByLabelText("Shot 010"));
    fireEvent.click(screen.getByLabelText("Shot 030"), { shiftKey: true });
    expect(screen.getByText("3 shots at once")).toBeTruthy();
    const seen = screen.getByLabelText<HTMLInputElement>("What is seen");
    expect(seen.value).toBe("");
    expect(seen.placeholder).toBe("several");
    const mood = screen.getByLabelText("Mood");
    fireEvent.change(mood, { target: { value: "hushed" } });
    fireEvent.blur(mood);
    expect(change).toHaveBeenCalledWith(
      expect.objectContaining({
        method: "POST",
        path: "shots/change",
        values: {
          ids: [1, 2, 3],
          fields: expect.objectContaining({ mood: "hushed", seen: null }) as object,
        },
      }),
    );
  });

  it("are split, joined and removed one by one", () => {
    render(inside(<ShotsTab production={production} story={story()} change={change} />));
    fireEvent.click(screen.getByLabelText("Shot 030"));
    expect(screen.queryByText("Join with next")).toBeNull();
    fireEvent.click(screen.getByText("Split"));
    expect(change).toHaveBeenLastCalledWith({
      method: "POST",
      path: "shots/split",
      values: { id: 3 },
    });
    fireEvent.click(screen.getByText("Remove"));
    expect(change).toHaveBeenLastCalledWith({
      method: "POST",
      path: "shots/remove",
      values: { ids: [3] },
    });
  });
});

describe("sheets, sounds and board", () => {
  it("offers a sheet for whoever is in the shots without one", () => {
    render(inside(<SheetsTab production={production} story={story()} change={change} />));
    fireEvent.click(screen.getByText("Add Maren, who is in the shots"));
    expect(change.mock.calls[0]?.[0]).toMatchObject({
      path: "sheets",
      values: { sheets: { people: [{ name: "Maren" }] } },
    });
  });

  it("tells how far each sound has come in Mix", () => {
    const wanted = [
      { shot: "010", item: null, name: "bell", search: "bell single", state: "FOUND", laid: null },
    ];
    client.setQueryData(keys.film(3), { revision: 4 });
    client.setQueryData(keys.mix(3, 4), { wanted });
    render(inside(<SoundsTab production={production} story={story()} change={change} />));
    expect(screen.getByText("0 wanted, 1 found, 0 placed")).toBeTruthy();
    expect(screen.getByText("on the shelf")).toBeTruthy();
    expect(screen.getByText("its shot is not in the cut")).toBeTruthy();
  });

  it("holds a place for every shot without a take", () => {
    render(inside(<BoardTab production={production} story={story()} change={change} />));
    expect(screen.getAllByText("no take yet")).toHaveLength(3);
    expect(screen.getByText(/3 without a take/)).toBeTruthy();
  });
});
