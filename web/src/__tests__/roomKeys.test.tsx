// @vitest-environment jsdom
import { cleanup, fireEvent, renderHook } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Mix, Title, TitleSight, Words } from "../api/client";
import { useMixKeys } from "../rooms/mix/useMixKeys";
import type { MixActions } from "../rooms/mix/useMixActions";
import { useWordsKeys } from "../rooms/words/useWordsKeys";
import type { WordsActions } from "../rooms/words/useWordsActions";
import { useRoom } from "../store";
import { film as filmOf } from "./film";

afterEach(cleanup);

const film = filmOf(6);
const FPS = 24;

const press = (key: string, held: { ctrlKey?: boolean; shiftKey?: boolean } = {}) =>
  fireEvent.keyDown(document.body, { key, ...held });

describe("the keys of Mix", () => {
  const at = (frame: number) => ({ start: 0, landing: frame * 2_000, end: frame * 2_000 + 1 });
  const laid = [
    { id: "bell", place: at(30) },
    { id: "lost", place: null },
    { id: "knock", place: at(60) },
  ] as Mix["laid"];

  function room(chosen: readonly string[]) {
    const actions = { nudge: vi.fn(), step: vi.fn(), out: vi.fn() };
    const choose = vi.fn();
    const levels = vi.fn();
    renderHook(() =>
      useMixKeys({
        film,
        mix: { laid } as Mix,
        fps: FPS,
        chosen,
        choose,
        hearThere: vi.fn(),
        hearAlone: vi.fn(),
        levels,
        actions: actions as unknown as MixActions,
      }),
    );
    return { ...actions, choose, levels };
  }

  it("go from one sound that is heard to the next, and to its moment", () => {
    const { choose } = room(["bell"]);
    press("ArrowDown");
    expect(choose).toHaveBeenLastCalledWith("knock", false);
    expect(useRoom.getState().frame).toBe(60);
    press("ArrowUp");
    expect(choose).toHaveBeenCalledTimes(1);
    press("a", { ctrlKey: true });
    expect(choose.mock.calls.slice(1)).toEqual([
      ["bell", false],
      ["lost", true],
      ["knock", true],
    ]);
    press("Escape");
    expect(choose).toHaveBeenLastCalledWith(null, false);
  });

  it("move what is chosen by a sample, a millisecond, a frame and a beat", () => {
    const { nudge } = room(["bell", "knock"]);
    for (const key of ["<", "+", "[", "}"]) press(key);
    const beat = Math.round((48_000 * 60) / film.clock.bpm);
    expect(nudge.mock.calls.map(([, samples]) => samples as number)).toEqual([
      -1,
      48,
      -2_000,
      beat,
    ]);
    expect(nudge).toHaveBeenLastCalledWith(["bell", "knock"], beat);
  });

  it("land it on the next moment and take it out, if one is chosen that is heard", () => {
    const { step, out, levels } = room(["bell"]);
    press(".");
    expect(step).toHaveBeenLastCalledWith(laid[0], 1);
    press("Delete");
    expect(out).toHaveBeenCalledWith(["bell"]);
    press("l");
    expect(levels).toHaveBeenCalledOnce();
    cleanup();
    const none = room(["lost"]);
    press(",");
    expect(none.step).not.toHaveBeenCalled();
    cleanup();
    const nothing = room([]);
    press("Delete");
    press("[");
    expect(nothing.out).not.toHaveBeenCalled();
    expect(nothing.nudge).not.toHaveBeenCalled();
  });
});

describe("the keys of Words", () => {
  const title = (id: string, landing: number | null) =>
    ({
      id,
      words: { text: id },
      place: landing === null ? null : { start: landing - 5, landing, end: landing + 50 },
      stays: 2,
      needs: 1,
      missing: [],
    }) as unknown as Title;
  const titles = [title("main", 40), title("card", 90), title("lost", null)];
  const captions = [{ faults: [] }, { faults: ["TOO_QUICK"], perSecond: 24 }, { faults: [] }];
  const words = { titles, captions: { captions } } as unknown as Words;
  const weak = {
    least: 2,
    needed: 3,
    outside: 0,
    over: [],
    covers: false,
    crowds: false,
  } as unknown as TitleSight;

  function room(chosen: Title | undefined, caption: number | null) {
    const actions = { step: vi.fn(), land: vi.fn(), out: vi.fn() };
    const said = { choose: vi.fn(), lookAt: vi.fn(), write: vi.fn(), add: vi.fn() };
    renderHook(() =>
      useWordsKeys({
        film,
        words,
        sights: new Map([["card", weak]]),
        title: chosen,
        caption,
        ...said,
        actions: actions as unknown as WordsActions,
      }),
    );
    return { ...actions, ...said };
  }

  it("go through titles and captions, and stop at their ends", () => {
    const { choose, lookAt } = room(titles[0], 2);
    press("t");
    expect(choose).toHaveBeenLastCalledWith("card");
    press("T", { shiftKey: true });
    expect(choose).toHaveBeenCalledTimes(1);
    press("ArrowUp");
    expect(lookAt).toHaveBeenLastCalledWith(1);
    press("ArrowDown");
    expect(lookAt).toHaveBeenCalledTimes(1);
  });

  it("land the chosen title elsewhere, and take it out", () => {
    const { step, land, out } = room(titles[0], null);
    press(",");
    expect(step).toHaveBeenLastCalledWith(titles[0], -1);
    press("]");
    expect(land.mock.calls[0]?.[1]).toMatchObject({ tie: "free", frame: 41 });
    press("Delete");
    expect(out).toHaveBeenCalledWith(["main"]);
    cleanup();
    const lost = room(titles[2], null);
    press("]");
    press(".");
    expect(lost.land).not.toHaveBeenCalled();
    expect(lost.step).not.toHaveBeenCalled();
  });

  it("go from problem to problem: titles that cannot be read, captions against their rules", () => {
    const first = room(undefined, null);
    press("p");
    expect(first.choose).toHaveBeenLastCalledWith("card");
    cleanup();
    const second = room(titles[1], null);
    press("p");
    expect(second.choose).toHaveBeenLastCalledWith("lost");
    cleanup();
    const third = room(titles[2], null);
    press("p");
    expect(third.lookAt).toHaveBeenLastCalledWith(1);
  });
});
