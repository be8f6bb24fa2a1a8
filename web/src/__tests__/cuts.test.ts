import { describe, expect, it } from "vitest";
import { aimCut, aimShot, partAt } from "../rooms/score/aim";
import { inLimits, limitsOf, nudged, onBeat, stepped, tied } from "../rooms/score/cuts";
import { lyricsOf } from "../rooms/score/lyrics";
import { wordName } from "../rooms/score/words";
import { Ruler, partsFor, placeStaves, stavesOf } from "../rooms/score/layout";
import { meansOf } from "../rooms/score/means";
import { editFor, jointFor, limitsFor } from "../rooms/score/manner";
import { stillest } from "../rooms/score/stillest";
import type { Film, HeardWord, Overlay, Song } from "../api/client";
import { film } from "./film";

const freed = (joint: number, frame: number): Film => {
  const made = film();
  return {
    ...made,
    joints: made.joints.map((j, i) => {
      if (i === joint) return { ...j, tie: "FREE", beat: -1, frame };
      if (i !== joint - 1 || !j.reach) return j;
      return { ...j, reach: { ...j.reach, trim: { ...j.reach.trim, most: frame - 1 } } };
    }),
  };
};

const joint = (made: Film, at: number) => {
  const its = made.joints[at];
  if (!its) throw new Error("no joint");
  return its;
};

const placed = (made: Film, at: number) => {
  const its = made.shots[at];
  if (!its) throw new Error("no shot");
  return its;
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
    expect(stepped(film(), 2, 1)).toEqual({ joint: 2, ...onBeat(18) });
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
    expect(nudged(film(), 2, -3)).toEqual({ joint: 2, ...onBeat(17, -3) });
    expect(nudged(freed(2, 200), 2, 4)).toMatchObject({
      joint: 2,
      beat: null,
      word: null,
      frame: 204,
    });
  });

  it("ties to the nearest beat or downbeat, or frees", () => {
    expect(tied(freed(2, 209), 2, "beat")).toMatchObject({ beat: 17 });
    expect(tied(freed(2, 229), 2, "beat")).toMatchObject({ beat: 19 });
    expect(tied(freed(2, 220), 2, "downbeat")).toMatchObject({ beat: 17 });
    expect(tied(film(), 2, "free")).toMatchObject({ beat: null, frame: 204 });
    expect(tied(freed(2, 209), 2, "free")).toBeNull();
  });
});

describe("ways to move a cut", () => {
  it("keep to what there is around the cut", () => {
    const made = film();
    // Shots of 96 frames from 108 on, their takes used from frame 10 of 130.
    expect(limitsFor(made, 2, "trim", "end")).toEqual({ least: 109, most: 299 });
    expect(limitsFor(made, 2, "roll", "end")).toEqual({ least: 194, most: 299 });
    expect(limitsFor(made, 2, "ripple", "end")).toEqual({ least: 109, most: Infinity });
    expect(limitsFor(made, 2, "ripple", "start")).toEqual({ least: 194, most: 299 });
    expect(limitsFor(made, 2, "slide", "start")).toEqual({ least: 194, most: 299 });
  });

  it("take hold of the right joint and make their edits", () => {
    const made = film();
    const to = onBeat(18);
    expect(jointFor(made, 3, "slide", "end")).toBe(2);
    expect(jointFor(made, 0, "slide", "start")).toBeNull();
    expect(jointFor(made, 0, "ripple", "start")).toBe(0);
    expect(jointFor(made, 12, "roll", "end")).toBeNull();
    expect(editFor({ joint: 2, ...to }, "ripple", "end")).toEqual({
      name: "ripple",
      values: { place: 1, start: false, to },
    });
    expect(editFor({ joint: 2, ...to }, "ripple", "start")).toEqual({
      name: "ripple",
      values: { place: 2, start: true, to },
    });
    expect(editFor({ joint: 2, ...to }, "slide", "start").values).toEqual({ place: 2, to });
  });
});

describe("what is seen and heard beside the cut", () => {
  it("tells the longest stretch with nothing new", () => {
    const made = film();
    expect(stillest(made)).toEqual({ from: 0, to: 108 });
    const overlay = { start: { ...joint(made, 1), frame: 40 }, end: joint(made, 1) } as Overlay;
    expect(stillest({ ...made, overlays: [{ ...overlay, shot: placed(made, 3) }] })).toEqual({
      from: 108,
      to: 204,
    });
  });

  it("opens the stave under the playhead where all are folded", () => {
    const need = { rows: 2, sounds: false };
    const places = placeStaves(660, 2, need, Array(5).fill(need));
    expect(places.map((p) => p.parts.height)).toEqual([123, 123, 193, 123, 123]);
    expect(places.map((p) => p.top)).toEqual([0, 123, 246, 439, 562]);
    const unfolded = placeStaves(660, 2, need, Array(3).fill(need));
    expect(new Set(unfolded.map((p) => p.parts.height))).toEqual(new Set([220]));
  });

  it("gives folded staves rows only for what they hold", () => {
    const silent = { rows: 0, sounds: false };
    const spoken = { rows: 2, sounds: true };
    const places = placeStaves(660, 0, spoken, [spoken, spoken, silent, silent, silent]);
    const [whole, bars, quiet] = places.map((p) => p.parts);
    expect(whole?.lyricRows).toBe(2);
    expect((whole?.pictureEnd ?? 0) - (whole?.picture ?? 0)).toBeGreaterThanOrEqual(60);
    expect(bars?.lyricRows).toBe(0);
    expect(bars?.voice).not.toBeNull();
    expect(bars?.height).toBeGreaterThan(quiet?.height ?? 0);
    expect([quiet?.voice, quiet?.sound]).toEqual([null, null]);
    for (const { parts } of places) expect(parts.bottom).toBeLessThanOrEqual(parts.height);
  });
});

describe("cuts and words", () => {
  const word = (at: number, text: string, start: number, end: number) => ({
    word: at,
    text,
    start,
    end,
    startFrame: start,
    endFrame: end,
    stressed: text !== "The",
  });
  const spoken = film(12, {
    voice: [
      {
        line: "7",
        number: 1,
        start: 180,
        end: 260,
        words: [word(0, "The", 190, 196), word(1, "lantern,", 197, 222), word(2, "went", 230, 248)],
      },
    ],
  });

  it("ties to the nearest end of a word and steps on to others", () => {
    const tied3 = tied(spoken, 2, "word");
    expect(tied3).toMatchObject({ beat: null, word: { line: "7", word: 1, edge: "START" } });
    const onWord: Film = {
      ...spoken,
      joints: spoken.joints.map((j, i) =>
        i === 2 ? { ...j, tie: "WORD", line: "7", word: 1, edge: "START", frame: 197 } : j,
      ),
    };
    expect(stepped(onWord, 2, 1)).toMatchObject({ word: { word: 1, edge: "END" } });
    expect(stepped(onWord, 2, -1)).toMatchObject({ word: { word: 0, edge: "END" } });
    expect(nudged(onWord, 2, -3)).toMatchObject({ word: { word: 1, edge: "START" }, offset: -3 });
    expect(tied(onWord, 2, "free")).toMatchObject({ beat: null, frame: 197 });
  });

  it("names a word without its stops", () => {
    expect(wordName(spoken, { line: "7", word: 1, edge: "END" })).toBe("end of ‘lantern’");
  });

  const written = (words: HeardWord[], rows: number, width = 50) =>
    lyricsOf(
      [{ line: "1", number: 1, start: 0, end: 130, words }],
      { start: 0, end: 130 },
      (f) => 4 * f,
      () => width,
      rows,
    );
  const crowd = Array.from({ length: 14 }, (_, i) => word(i, "wonderful", i * 9, i * 9 + 8));

  it("writes no word over another", () => {
    for (const rows of [2, 3]) {
      const set = written(crowd, rows);
      expect(set).toHaveLength(14);
      for (const row of [0, 1, 2]) {
        const own = set.filter((w) => w.row === row);
        own.slice(1).forEach((w, i) => {
          const before = own[i];
          expect(w.x).toBeGreaterThanOrEqual((before?.x ?? 0) + (before?.width ?? 0));
        });
      }
    }
  });

  it("sets a line that is too quick for its places as text, to be read row by row", () => {
    const set = written(crowd, 3);
    const read = [...set].sort((a, b) => a.row - b.row || a.x - b.x);
    expect(read.map((w) => w.word.word)).toEqual(crowd.map((w) => w.word));
    expect(Math.max(...set.map((w) => w.row))).toBe(1);
    // It begins where it is spoken and is about as long.
    expect(Math.min(...set.map((w) => w.x))).toBe(0);
    expect(Math.max(...set.map((w) => w.x + w.width))).toBeLessThanOrEqual(4 * 126);
    // On two rows its words would stand far from where they are spoken.
    const furthest = Math.max(...written(crowd, 2).map((w) => Math.abs(w.x - w.from)));
    expect(furthest).toBeGreaterThan(12);
  });

  it("leaves the words of an unhurried line where they are spoken", () => {
    const slow = Array.from({ length: 5 }, (_, i) => word(i, "sea", i * 26, i * 26 + 10));
    written(slow, 3).forEach((w) => expect(w.x).toBeCloseTo(w.from));
  });
});

describe("lengths by section", () => {
  it("counts a shot where it begins", () => {
    const section = { name: "opening", energy: 1, bars: 4 };
    const song = {
      sections: [
        { ...section, start: 0, end: 8.5 },
        { ...section, name: "full", start: 8.5, end: 60 },
      ],
    } as Song;
    // Shots begin at frames 0, 108, 204, 300 ...: 8.5 s is frame 204, where the third one does.
    const means = meansOf(film(4), song, 24);
    expect(means.map((m) => m.shots)).toEqual([2, 2]);
    expect(means[0]?.mean).toBeCloseTo((108 + 96) / 2 / 24);
    expect(means[1]?.mean).toBeCloseTo(4);
    expect(meansOf(film(4), undefined, 24)).toEqual([]);
  });
});

describe("the mouse on the score", () => {
  const made = film();
  const stave = stavesOf(made, 24, 8)[0];
  if (!stave) throw new Error("no stave");
  const ruler = new Ruler(stave, 96);
  const parts = partsFor(227);

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
    expect(aimShot(made, 0, ruler, ruler.x(150))).toMatchObject({ kind: "shot", from: 0, to: 1 });
  });
});
