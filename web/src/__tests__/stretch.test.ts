import { describe, expect, it } from "vitest";
import type { Film, Treatment } from "../api/client";
import { stretchOf } from "../rooms/look/stretch";
import { film } from "./film";

const haze: Treatment = { kind: "HAZE", values: [], bypassed: false, table: null };

/** What treats a film from one of its cuts to another. */
function laid(of: Film, from: number, to: number, takeId: number): Film["overlays"][number] {
  const [start, end, shot] = [of.joints[from], of.joints[to], of.shots[0]];
  if (!start || !end || !shot) throw new Error("no such cut");
  return {
    start,
    end,
    layer: 1,
    mixing: "NORMAL",
    lie: { points: [], easing: "EVEN" } as unknown as Film["overlays"][number]["lie"],
    shot: { ...shot, id: `over ${from}`, takeId, treatments: [haze] },
  };
}

describe("the stretch that shots make", () => {
  it("goes from the first one's cut to the last one's end, tied as those are", () => {
    const made = film(12);
    expect(stretchOf(made, ["104", "102"])).toMatchObject({
      start: { beat: 17, offset: 0 },
      end: { beat: 41, offset: 0 },
      item: null,
      treatments: [],
    });
    expect(stretchOf(made, ["100"])?.start).toMatchObject({ beat: null, frame: 0 });
    expect(stretchOf(made, ["of no cut"])).toBeNull();
  });

  it("knows what treats just that, and nothing that shows a take or reaches elsewhere", () => {
    const plain = film(12);
    const over = (...overlays: Film["overlays"]) => ({ ...plain, overlays });
    expect(stretchOf(over(laid(plain, 2, 5, 0)), ["102", "103", "104"])).toMatchObject({
      item: "over 2",
      treatments: [haze],
    });
    expect(stretchOf(over(laid(plain, 2, 5, 7)), ["102", "103", "104"])?.item).toBeNull();
    expect(stretchOf(over(laid(plain, 2, 6, 0)), ["102", "103", "104"])?.item).toBeNull();
  });

  it("is tied to words and free cuts too", () => {
    const made = film(3);
    const joints = made.joints.map((j, i) =>
      i === 1
        ? { ...j, tie: "WORD" as const, line: "4", word: 2, edge: "END" as const, offset: -1 }
        : i === 2
          ? { ...j, tie: "FREE" as const }
          : j,
    );
    expect(stretchOf({ ...made, joints }, ["101"])).toMatchObject({
      start: { beat: null, word: { line: "4", word: 2, edge: "END" }, offset: -1 },
      end: { beat: null, word: null, frame: joints[2]?.frame },
    });
  });
});
