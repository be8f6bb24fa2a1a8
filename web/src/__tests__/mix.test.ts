import { describe, expect, it } from "vitest";
import type { LaidSound } from "../api/client";
import { bendsOf, busGain, busY, isInBand, lineAt } from "../rooms/mix/busLine";
import { offersAt } from "../rooms/mix/turns";
import { marksOf } from "../rooms/mix/marks";
import {
  catches,
  freeAt,
  nearest,
  next,
  nextFor,
  onCut,
  sameTie,
  thereAt,
} from "../rooms/mix/moments";
import { lidGain, lidY, loudnessY, TARGET } from "../rooms/mix/parts";
import { Ruler, stavesOf } from "../rooms/score/layout";
import { film as filmOf } from "./film";

const FPS = 24;

const film = filmOf(6);

function sound(id: string, frame: number, name: string, kind = "HIT"): LaidSound {
  const landing = frame * 2000;
  return {
    id,
    name,
    kind,
    sound: 1,
    media: "",
    at: onCut(""),
    offset: 0,
    until: null,
    says: "",
    place: { start: landing, landing, end: landing + 48_000 },
    over: "",
    asked: null,
    follows: null,
    how: {} as LaidSound["how"],
  };
}

describe("moments that sounds land on", () => {
  it("are caught within reach, the nearest first", () => {
    const all = [
      { frame: 10, tie: onCut("a"), name: "a" },
      { frame: 14, tie: onCut("b"), name: "b" },
    ];
    expect(nearest(all, 13, 2)?.tie.item).toBe("b");
    expect(nearest(all, 30, 2)).toBeNull();
    expect(next(all, 10, 1)?.tie.item).toBe("b");
    expect(next(all, 10, -1)).toBeNull();
    expect(freeAt(-3).frame).toBe(0);
  });

  it("are the film's cuts, its end among them", () => {
    const cuts = catches(film, null).filter((c) => c.tie.tie === "cut");
    expect(cuts).toHaveLength(film.joints.length);
    expect(cuts.at(-1)?.tie.item).toBe("");
  });

  const landing = (kind: "sound" | "title", item: string, frame: number, on: string[] = []) => ({
    kind,
    item,
    name: item,
    frame,
    on,
  });
  const hung = {
    ...film,
    landings: [
      landing("title", "main", 200),
      landing("sound", "knock", 200, ["main"]),
      landing("sound", "bell", 203.5),
    ],
  };
  const ties = (of: string) =>
    catches(hung, of)
      .filter((c) => c.tie.tie === "title" || c.tie.tie === "sound")
      .map((c) => c.tie.item);

  it("are where titles and other sounds land, but nothing that hangs on itself", () => {
    expect(ties("bell")).toEqual(["main", "knock"]);
    expect(ties("knock")).toEqual(["main", "bell"]);
    expect(ties("main")).toEqual(["bell"]);
  });

  it("are stepped through from where something lands in the film as it is", () => {
    const at = nextFor(hung, "knock", 1);
    // The sound lands between two frames, and no beat is nearer.
    expect(at?.item).toBe("bell");
    expect(nextFor(hung, "gone", 1)).toBeNull();
  });

  it("are named, and told apart where several lie at one", () => {
    const there = thereAt(catches(hung, "bell"), 200);
    expect(there.map((c) => c.name)).toEqual(["the title “main”", "the sound knock"]);
    const [title] = there;
    expect(title && sameTie(title.tie, { ...title.tie, frame: null })).toBe(true);
    expect(title && sameTie(title.tie, freeAt(200))).toBe(false);
    expect(catches(film, null).map((c) => c.name)).toContain("the film’s end");
    const sections = [{ beat: film.clock.firstDownbeat, name: "full B" }];
    const named = { ...film, clock: { ...film.clock, sections } };
    expect(catches(named, null).map((c) => c.name)).toContain("bar 1, where full B begins");
  });
});

describe("marks on a stave", () => {
  const [stave] = stavesOf(film, FPS, 8);
  if (!stave) throw new Error("no stave");
  const ruler = new Ruler(stave, 96);

  it("that are near each other stand in two rows, and names do not run into the next", () => {
    const marks = marksOf(
      [
        sound("a", 20, "a knock on a very heavy wooden door"),
        sound("b", 24, "bell"),
        sound("c", 60, "latch"),
      ],
      film,
      ruler,
      FPS,
    );
    expect(marks.map((m) => m.sound.id)).toEqual(["a", "b", "c"]);
    expect(marks[0]?.y).not.toBe(marks[1]?.y);
    expect(marks[1]?.shape).toBe("bell");
    for (const mark of marks) {
      const after = marks.find((m) => m.y === mark.y && m.x > mark.x);
      if (after) expect(mark.x + 9 + mark.name.length * 6).toBeLessThanOrEqual(after.x);
    }
  });

  it("leave out what has no place and what lands elsewhere", () => {
    const lost = { ...sound("lost", 20, "lost"), place: null };
    expect(marksOf([lost, sound("late", 5000, "late")], film, ruler, FPS)).toHaveLength(0);
  });
});

describe("the lid", () => {
  it("lies where its gain is drawn", () => {
    for (const gain of [0, -3, -9, -20]) expect(lidGain(lidY(gain))).toBeCloseTo(gain, 1);
    expect(lidY(-6)).toBeGreaterThan(lidY(0));
  });
});

describe("loudness", () => {
  it("is drawn about its target, louder higher, and stays in its row", () => {
    expect(loudnessY(TARGET + 2)).toBeLessThan(loudnessY(TARGET));
    expect(loudnessY(20)).toBeGreaterThanOrEqual(190);
    expect(loudnessY(-90)).toBeLessThanOrEqual(218);
  });
});

describe("the line of a bus", () => {
  const point = (frame: number | null, gain: number) => ({
    at: onCut(""),
    gain,
    says: "",
    sample: frame === null ? null : frame * 2000,
  });

  it("is drawn where its gain is, and dragged back to it", () => {
    for (const bus of ["MUSIC", "VOICE", "SOUNDS", "CLIPS"] as const) {
      for (const gain of [12, 0, -6.5, -36]) {
        expect(busGain(bus, busY(bus, gain))).toBe(gain);
        expect(isInBand(bus, busY(bus, gain))).toBe(true);
      }
      // What is softer than its row can show lies on its edge.
      expect(busGain(bus, busY(bus, -60))).toBe(-36);
    }
  });

  it("goes evenly from point to point and stays as it is outside them", () => {
    const bends = bendsOf([point(40, -12), point(null, 3), point(20, 0)], FPS);
    expect(bends.map((b) => b.point)).toEqual([2, 0]);
    expect(lineAt(bends, 0)).toBe(0);
    expect(lineAt(bends, 30)).toBeCloseTo(-6);
    expect(lineAt(bends, 90)).toBe(-12);
    expect(lineAt([], 5)).toBe(0);
    expect(lineAt(bendsOf([point(20, -4)], FPS), 3)).toBe(-4);
  });
});

describe("what the music may do", () => {
  it("ends with the next bar, a beat or a bar before it", () => {
    const { frames, firstDownbeat, beatsPerBar } = film.clock;
    const bar = firstDownbeat + beatsPerBar * 2;
    const [stop, dull] = offersAt(film, (frames[bar] ?? 0) - 1, FPS);
    expect(stop?.says).toBe("stop for a beat before bar 3");
    expect(stop?.turn.from.beat).toBe(bar - 1);
    expect(dull?.turn.from.beat).toBe(bar - beatsPerBar);
    expect([stop?.turn.until.beat, dull?.turn.until.beat]).toEqual([bar, bar]);
  });

  it("is counted from the playhead where there are no beats", () => {
    const silent = { ...film, clock: { ...film.clock, frames: [] } };
    const [stop, dull] = offersAt(silent, 100, FPS);
    expect(stop?.turn.from.frame).toBe(88);
    expect(dull?.turn.from.frame).toBe(52);
    expect(offersAt(silent, 3, FPS)).toEqual([]);
  });
});
