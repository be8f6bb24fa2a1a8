// @vitest-environment jsdom
import { act, renderHook } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Lettering, Title } from "../api/client";
import { useTitleDrafts, type Draft } from "../rooms/words/useTitleDrafts";

const lettering = (size: number, colour: number) => ({ size, colour }) as unknown as Lettering;
const title = (id: string, letters: Lettering) =>
  ({ id, lettering: letters, layer: 4 }) as unknown as Title;

describe("changes of a title made before those before them are answered", () => {
  const hook = () => {
    const answers: ((revision: number | null) => void)[] = [];
    const sent: Draft[] = [];
    const change = (_: string, to: Draft) => {
      sent.push(to);
      return new Promise<number | null>((answer) => answers.push(answer));
    };
    const { result, rerender } = renderHook(
      ({ of, seen }: { of: Title; seen: number }) => useTitleDrafts(of, seen, change),
      { initialProps: { of: title("a", lettering(100, 1)), seen: 5 } },
    );
    return {
      result,
      sent,
      shows: (of: Title, seen: number) => rerender({ of, seen }),
      answer: async (at: number, revision: number | null) => {
        answers[at]?.(revision);
        await act(() => Promise.resolve());
      },
    };
  };

  it("are made of the title as it will be", async () => {
    const { result, sent, answer, shows } = hook();
    act(() => result.current.keep({ lettering: lettering(200, 1) }));
    expect(result.current.title?.lettering).toEqual(lettering(200, 1));
    act(() => result.current.keep({ layer: 2 }));
    expect(result.current.title).toMatchObject({ lettering: lettering(200, 1), layer: 2 });
    expect(sent).toEqual([{ lettering: lettering(200, 1) }, { layer: 2 }]);
    await answer(0, 6);
    await answer(1, 7);
    // The titles read are still those of before: nothing falls back.
    expect(result.current.title).toMatchObject({ lettering: lettering(200, 1), layer: 2 });
    shows(title("a", lettering(200, 1)), 6);
    expect(result.current.draft).toEqual({ layer: 2 });
    shows(title("a", lettering(200, 3)), 7);
    // What is read then counts, whoever changed it.
    expect(result.current.title?.lettering).toEqual(lettering(200, 3));
    expect(result.current.draft).toBeNull();
  });

  it("all count where two are made at once, and before an answer is drawn", async () => {
    const { result, answer, shows } = hook();
    act(() => {
      result.current.keep({ lettering: lettering(200, 1) });
      result.current.keep({ layer: 2 });
    });
    expect(result.current.title).toMatchObject({ lettering: lettering(200, 1), layer: 2 });
    const { keep } = result.current;
    await answer(0, 6);
    act(() => keep({ layer: 3 }));
    await answer(1, 7);
    await answer(2, 8);
    shows(title("a", lettering(200, 1)), 8);
    expect(result.current.draft).toBeNull();
  });

  it("are forgotten where they are refused, and those after them stay", async () => {
    const { result, answer } = hook();
    act(() => result.current.keep({ lettering: lettering(200, 1) }));
    act(() => result.current.keep({ layer: 2 }));
    await answer(0, null);
    expect(result.current.title).toMatchObject({ lettering: lettering(100, 1), layer: 2 });
  });

  it("do not reach another title, and are there when one comes back to theirs", () => {
    const { result, shows } = hook();
    act(() => result.current.keep({ layer: 2 }));
    shows(title("b", lettering(50, 1)), 5);
    expect(result.current.title?.layer).toBe(4);
    expect(result.current.draft).toBeNull();
    shows(title("a", lettering(100, 1)), 5);
    expect(result.current.title?.layer).toBe(2);
  });

  it("keep what is only tried out of the title, and give it up", () => {
    const { result } = hook();
    const giveUp = result.current.giveUp;
    act(() => result.current.keep({ layer: 2 }));
    act(() => result.current.attempt({ lettering: lettering(300, 1) }));
    expect(result.current.draft).toEqual({ layer: 2, lettering: lettering(300, 1) });
    expect(result.current.title?.lettering).toEqual(lettering(100, 1));
    act(() => result.current.giveUp());
    expect(result.current.draft).toEqual({ layer: 2 });
    expect(result.current.giveUp).toBe(giveUp);
  });
});
