import { describe, expect, it } from "vitest";
import { aimCut, aimShot, partAt } from "../rooms/score/aim";
import { inLimits, limitsOf, nudged, stepped, tied } from "../rooms/score/cuts";
import { Ruler, partsFor, stavesOf } from "../rooms/score/layout";
import type { Film } from "../api/client";
import { film } from "./film";

const freed = (joint: number, frame: number): Film => {
  const made = film();
  return {
    ...made,
    joints: made.joints.map((j, i) => (i === joint ? { ...j, tie: "FREE", beat: -1, frame } : j)),
  };
};

describe("moving a cut", () => {
  it("stays between its neighbours", () => {
    const made = film();
    expect(limitsOf(made, 2)).toEqual({ least: 109, most: 299 });
    expect(limitsOf(made, 12).most).toBe(Infinity);
    expect(inLimits(made, 2, 5)).toBe(109);
    expect(inLimits(made, 2, 5000)).toBe(299);
  });

  it("steps from beat to beat, from a free place to the beats around it", () => {
    expect(stepped(film(), 2, 1)).toEqual({ joint: 2, beat: 18, offset: 0, frame: 0 });
    expect(stepped(film(), 2, -1)).toMatchObject({ beat: 16 });
    expect(stepped(freed(2, 200), 2, 1)).toMatchObject({ beat: 17 });
    expect(stepped(freed(2, 200), 2, -1)).toMatchObject({ beat: 16 });
    expect(stepped(freed(2, 204), 2, -1)).toMatchObject({ beat: 16 });
  });

  it("does not step over a neighbour", () => {
    const crowded = freed(3, 206);
    expect(stepped(crowded, 2, 1)).toBeNull();
  });

  it("nudges a tied cut off its beat and a free one by frames", () => {
    expect(nudged(film(), 2, -3)).toEqual({ joint: 2, beat: 17, offset: -3, frame: 0 });
    expect(nudged(freed(2, 200), 2, 4)).toEqual({ joint: 2, beat: null, offset: 0, frame: 204 });
  });

  it("ties to the nearest beat or downbeat, or frees", () => {
    expect(tied(freed(2, 209), 2, "beat")).toMatchObject({ beat: 17 });
    expect(tied(freed(2, 229), 2, "beat")).toMatchObject({ beat: 19 });
    expect(tied(freed(2, 220), 2, "downbeat")).toMatchObject({ beat: 17 });
    expect(tied(film(), 2, "free")).toMatchObject({ beat: null, frame: 204 });
    expect(tied(freed(2, 209), 2, "free")).toBeNull();
  });
});

describe("the mouse on the score", () => {
  const made = film();
  const stave = stavesOf(made, 24, 8)[0];
  if (!stave) throw new Error("no stave");
  const ruler = new Ruler(stave, 96);
  const parts = partsFor(680, 3);

  it("meets time, cuts and shots where they are drawn", () => {
    expect(partAt(made, parts, ruler, 300, 35).kind).toBe("time");
    expect(partAt(made, parts, ruler, ruler.x(108), 63)).toMatchObject({ kind: "cut", joint: 1 });
    expect(partAt(made, parts, ruler, ruler.x(150), 100)).toMatchObject({ kind: "shot", place: 1 });
    expect(partAt(made, parts, ruler, 20, 100).kind).toBe("nothing");
  });

  it("ties near a beat and frees between beats", () => {
    const limits = limitsOf(made, 1);
    expect(aimCut(made, limits, 1, ruler, ruler.x(120) + 3)).toMatchObject({
      beat: 10,
      frame: 120,
    });
    expect(aimCut(made, limits, 1, ruler, ruler.x(126))).toMatchObject({ beat: -1, frame: 126 });
    expect(aimCut(made, limits, 1, ruler, 2000)).toMatchObject({ frame: limits.most });
  });

  it("drops a shot on the one under it", () => {
    expect(aimShot(made, 0, ruler, ruler.x(150))).toEqual({ kind: "shot", from: 0, to: 1 });
  });
});
