// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { actOf, nameOf, useKeySheet, useKeys } from "../parts/keys";
import { renderHook } from "@testing-library/react";
import { scoreKeys } from "../rooms/score/scoreKeys";
import type { ScoreActions } from "../rooms/score/useScoreActions";
import { tileSize } from "../rooms/takes/tile";
import { useRoom } from "../store";
import { film } from "./film";

const press = (key: string, held: KeyboardEventInit = {}) =>
  new KeyboardEvent("keydown", { key, cancelable: true, bubbles: true, ...held });

describe("names of keys", () => {
  it("tell what was held, but for signs that tell it themselves", () => {
    expect(nameOf(press("b"))).toBe("B");
    expect(nameOf(press("B", { shiftKey: true }))).toBe("Shift+B");
    expect(nameOf(press("(", { shiftKey: true }))).toBe("(");
    expect(nameOf(press(" ", { shiftKey: true }))).toBe("Shift+Space");
    expect(nameOf(press("ArrowLeft", { shiftKey: true }))).toBe("Shift+ArrowLeft");
    expect(nameOf(press("z", { metaKey: true, shiftKey: true }))).toBe("Ctrl+Shift+Z");
    expect(nameOf(press("Delete", { altKey: true }))).toBe("Alt+Delete");
  });
});

describe("the keys of the score", () => {
  const actions = new Proxy({} as Record<string, ReturnType<typeof vi.fn>>, {
    get: (kept, name: string) => (kept[name] ??= vi.fn()),
  }) as unknown as ScoreActions & Record<string, ReturnType<typeof vi.fn>>;
  const table = scoreKeys({ film: film(), fps: 24, rulers: [], actions });
  const rows = table.flatMap((g) => g.keys);

  beforeEach(() => useRoom.setState({ place: 2, also: [], laid: null, frame: 0, end: "in" }));

  it("name no key twice, and show each row's key", () => {
    const names = rows.flatMap((r) => Object.keys(r.acts ?? {}));
    expect(names).toHaveLength(new Set(names).size);
    for (const row of rows) {
      const letters = Object.keys(row.acts ?? {}).filter((n) => /^[A-Z]$/.test(n));
      for (const letter of letters) expect(row.shown).toContain(letter);
    }
  });

  it("take a shot out three ways", () => {
    actOf(table, "Delete")?.(press("Delete"));
    expect(actions["remove"]).toHaveBeenCalledWith(2);
    actOf(table, "U")?.(press("u"));
    expect(actions["takeOut"]).toHaveBeenLastCalledWith(false);
    actOf(table, "Alt+Delete")?.(press("Delete"));
    expect(actions["takeOut"]).toHaveBeenLastCalledWith(true);
    expect(actOf(table, "Shift+Delete")).toBeUndefined();
  });

  it("act on a shot only where one is selected", () => {
    useRoom.setState({ place: null });
    expect(actOf(table, "T")?.(press("t"))).toBe(false);
    expect(actions["nextTake"]).not.toHaveBeenCalled();
  });

  it("move the playhead, or the material while it is slipped", () => {
    actOf(table, "Shift+ArrowRight")?.(press("ArrowRight"));
    expect(useRoom.getState().frame).toBe(10);
    useRoom.setState({ slipping: true });
    actOf(table, "ArrowLeft")?.(press("ArrowLeft"));
    expect(actions["slipBy"]).toHaveBeenCalledWith(2, -1);
    useRoom.setState({ slipping: false });
  });
});

describe("keys on the page", () => {
  afterEach(() => useKeySheet.getState().setLetters(true));

  it("act while their room is open, but not in fields", () => {
    const act = vi.fn();
    const group = [{ name: "Room", keys: [{ shown: "B", says: "beat", acts: { B: act } }] }];
    const { unmount } = renderHook(() => useKeys(group));
    expect(useKeySheet.getState().tables.flat()).toEqual(group);
    document.body.dispatchEvent(press("b"));
    const field = document.body.appendChild(document.createElement("input"));
    field.dispatchEvent(press("b"));
    expect(act).toHaveBeenCalledTimes(1);
    unmount();
    document.body.dispatchEvent(press("b"));
    expect(act).toHaveBeenCalledTimes(1);
    expect(useKeySheet.getState().tables).toEqual([]);
  });

  it("of a single sign can be switched off; others stay", () => {
    const [sign, other] = [vi.fn(), vi.fn()];
    const keys = [{ shown: "", says: "", acts: { B: sign, ".": sign, Home: other, Space: other } }];
    renderHook(() => useKeys([{ name: "Room", keys }]));
    useKeySheet.getState().setLetters(false);
    for (const key of ["b", ".", "Home", " "]) document.body.dispatchEvent(press(key));
    expect(sign).not.toHaveBeenCalled();
    expect(other).toHaveBeenCalledTimes(2);
  });
});

describe("tiles of takes", () => {
  it("stand in the film's shape", () => {
    expect(tileSize({ width: 1920, height: 1080 }, false, 856)).toEqual({ width: 128, height: 72 });
    expect(tileSize({ width: 1080, height: 1920 }, false, 856)).toEqual({ width: 88, height: 156 });
    expect(tileSize({ width: 1080, height: 1080 }, true, 856)).toEqual({ width: 78, height: 78 });
  });
});
