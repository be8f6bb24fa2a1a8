import { beforeEach, describe, expect, it } from "vitest";
import { headOf, headPath, isSolid } from "../rooms/score/heads";
import { Ruler, partsFor, stavesOf } from "../rooms/score/layout";
import { cutMark, lineThrough } from "../rooms/score/marks";
import {
  goTo,
  loopRound,
  nextProblem,
  otherBeat,
  otherWord,
  playCut,
  playTwoBars,
  sameColumn,
  select,
  selectLaid,
  setRange,
  shuttle,
} from "../rooms/score/playing";
import { jointsOn, problemsOf, shotsOn } from "../rooms/score/staves";
import { useRoom } from "../store";
import type { Film, Joint, Overlay } from "../api/client";
import { film } from "./film";

const FPS = 24;

const room = () => useRoom.getState();

beforeEach(() => {
  useRoom.setState(useRoom.getInitialState(), true);
});

const withJoint = (at: number, over: Partial<Joint>): Film => {
  const made = film();
  return { ...made, joints: made.joints.map((j, i) => (i === at ? { ...j, ...over } : j)) };
};

const rulers = (made: Film, bars = 4) =>
  stavesOf(made, FPS, bars).map((stave) => new Ruler(stave, 96));

describe("what lies over the cut", () => {
  const over = (id: string, layer: number, start: number, end: number) =>
    ({ layer, shot: { id, start, end } }) as Overlay;
  const made: Film = {
    ...film(),
    overlays: [over("low", 1, 10, 40), over("high", 2, 20, 30), over("late", 1, 60, 70)],
  };

  it("is selected at the playhead, upper layers first", () => {
    useRoom.setState({ frame: 25, place: 1 });
    selectLaid(made);
    expect(room().laid).toBe("high");
    expect(room().place).toBeNull();
    selectLaid(made);
    expect(room().laid).toBe("low");
    selectLaid(made);
    expect(room().laid).toBe("high");
  });

  it("is gone to where nothing lies at the playhead", () => {
    useRoom.setState({ frame: 45 });
    selectLaid(made);
    expect(room()).toMatchObject({ frame: 60, laid: "late" });
    useRoom.setState({ frame: 90, laid: null });
    selectLaid(made);
    expect(room()).toMatchObject({ frame: 10, laid: "low" });
    useRoom.setState({ frame: 90, laid: null });
    selectLaid(film());
    expect(room().laid).toBeNull();
  });
});

describe("the playhead", () => {
  it("stays within the film", () => {
    const made = film();
    goTo(made, -5);
    expect(room().frame).toBe(0);
    goTo(made, 1e9);
    expect(room().frame).toBe(made.length - 1);
    goTo(made, 12.6);
    expect(room().frame).toBe(13);
  });

  it("goes to the next beat and the one before", () => {
    const made = film();
    expect(otherBeat(made, 12, 1)).toBe(24);
    expect(otherBeat(made, 13, 1)).toBe(24);
    expect(otherBeat(made, 13, -1)).toBe(12);
    expect(otherBeat(made, 12, -1)).toBe(0);
    expect(otherBeat(made, 0, -1)).toBe(0);
    expect(otherBeat(made, 239 * 12, 1)).toBe(239 * 12);
  });

  it("goes from word to word by their starts", () => {
    const word = (number: number, startFrame: number) => ({
      word: number,
      text: "bell",
      startFrame,
      endFrame: startFrame + 8,
    });
    const line = { line: "1", words: [word(0, 30), word(1, 50)] };
    const made = film(12, { voice: [line as unknown as Film["voice"][number]] });
    expect(otherWord(made, 0, 1)).toBe(30);
    expect(otherWord(made, 30, 1)).toBe(50);
    expect(otherWord(made, 55, -1)).toBe(50);
    expect(otherWord(made, 50, -1)).toBe(30);
    expect(otherWord(made, 50, 1)).toBe(50);
  });

  it("goes to the same place on the stave below and back", () => {
    const made = film();
    const all = rulers(made);
    const second = all[1]?.stave.start ?? 0;
    const there = sameColumn(all, 60, 1);
    expect(there).toBeGreaterThanOrEqual(second);
    expect(Math.abs(sameColumn(all, there, -1) - 60)).toBeLessThanOrEqual(1);
    expect(sameColumn(all, 60, -1)).toBe(60);
    const last = made.length - 1;
    expect(sameColumn(all, last, 1)).toBe(last);
  });
});

describe("playing", () => {
  it("shuttles faster with each press and stops before it turns round", () => {
    shuttle(1);
    expect(room()).toMatchObject({ playing: true, speed: 1 });
    shuttle(1);
    shuttle(1);
    shuttle(1);
    shuttle(1);
    expect(room().speed).toBe(8);
    shuttle(-1);
    expect(room()).toMatchObject({ playing: false, speed: 1 });
    shuttle(-1);
    expect(room()).toMatchObject({ playing: true, speed: -1 });
    shuttle(-1);
    expect(room().speed).toBe(-2);
  });

  it("loops round the cut of the selected shot, and stops when asked again", () => {
    const made = film();
    select(made, 3);
    const cut = made.joints[3]?.frame ?? 0;
    loopRound(made, FPS);
    expect(room().loop).toEqual({ from: cut - 36, to: cut + 36 });
    expect(room()).toMatchObject({ playing: true, frame: cut - 36 });
    loopRound(made, FPS);
    expect(room()).toMatchObject({ playing: false, loop: null });
  });

  it("loops the chosen stretch before anything else", () => {
    const made = film();
    setRange(made, 90, 30);
    select(made, 3);
    loopRound(made, FPS);
    expect(room().loop).toEqual({ from: 30, to: 90 });
  });

  it("plays into a cut and stops on it, or from it on", () => {
    const made = film();
    goTo(made, 300);
    // Nothing is selected: the nearest cut of 108, 204, 300, 396.
    playCut(made, FPS, false);
    expect(room()).toMatchObject({ playing: true, frame: 264, until: 300 });
    playCut(made, FPS, true);
    expect(room()).toMatchObject({ frame: 300, until: 336 });
  });

  it("plays two bars from the one under the playhead", () => {
    const made = film();
    goTo(made, 120);
    playTwoBars(made);
    // Bars of four beats of 12 frames begin at 12, 60, 108, 156, 204.
    expect(room()).toMatchObject({ playing: true, frame: 108, until: 204 });
  });
});

describe("choosing", () => {
  it("selects a shot, its group, and all between two", () => {
    const made = film(6);
    const shots = made.shots.map((s, i) => ({ ...s, group: i === 1 || i === 4 ? 7 : 0 }));
    const grouped = { ...made, shots };
    select(grouped, 1);
    expect(room()).toMatchObject({ place: 1, also: [1, 4], end: "in" });
    expect(room().frame).toBe(shots[1]?.start);
    select(grouped, 3, true);
    expect(room()).toMatchObject({ place: 1, also: [1, 2, 3] });
    select(grouped, 0);
    expect(room()).toMatchObject({ place: 0, also: [], end: "out" });
    select(grouped, 99);
    expect(room().place).toBe(0);
  });

  it("leaves the playhead where it is inside the shot, and while it plays", () => {
    const made = film(6);
    goTo(made, 150);
    select(made, 1);
    expect(room().frame).toBe(150);
    room().set({ playing: true });
    select(made, 4);
    expect(room().frame).toBe(150);
  });

  it("an empty stretch is none", () => {
    const made = film();
    setRange(made, 40.2, 39.9);
    expect(room().range).toBeNull();
    setRange(made, -20, 1e9);
    expect(room().range).toEqual({ from: 0, to: made.length });
  });

  it("goes through the shots with problems and round again", () => {
    const problem = (place: number) =>
      ({
        kind: "FROZEN",
        place,
        frames: 3,
        text: "x",
        remedies: [],
      }) as unknown as Film["problems"][number];
    const made = film(8, { problems: [problem(2), problem(5), problem(5)] });
    nextProblem(made);
    expect(room().place).toBe(2);
    nextProblem(made);
    expect(room().place).toBe(5);
    nextProblem(made);
    expect(room().place).toBe(2);
    expect(problemsOf(made).get(5)).toHaveLength(2);
    expect(problemsOf(made)).toBe(problemsOf(made));
  });
});

describe("cuts on a stave", () => {
  it("have the head of the moment they are tied to", () => {
    const { clock } = film();
    const joint = (over: Partial<Joint>) => ({ ...(film().joints[2] as Joint), ...over });
    expect(headOf(joint({}), clock)).toBe("downbeat");
    expect(headOf(joint({ downbeat: false }), clock)).toBe("beat");
    expect(headOf(joint({ offset: 6 }), clock)).toBe("offbeat");
    expect(headOf(joint({ offset: 2 }), clock)).toBe("downbeat");
    expect(headOf(joint({ tie: "WORD" }), clock)).toBe("word");
    expect(headOf(joint({ tie: "FREE" }), clock)).toBe("free");
    expect(
      ["downbeat", "beat", "offbeat", "word", "free"].filter((k) => isSolid(k as "beat")),
    ).toEqual(["downbeat", "word"]);
  });

  it("are drawn around their point, larger when grown", () => {
    expect(headPath("downbeat", 100, 50)).toBe("M95.5 50a4.5 4.5 0 1 0 9 0a4.5 4.5 0 1 0 -9 0z");
    expect(headPath("word", 100, 50, 2)).toBe("M92.5 47h15v6h-15z");
    expect(headPath("free", 100, 50)).toContain("M95.8 46.8");
  });

  it("stand at their frame, their heads at the moment they were moved from", () => {
    const made = withJoint(2, { offset: -5, frame: 199 });
    const [ruler] = rulers(made, 8);
    if (!ruler) throw new Error("no stave");
    const parts = partsFor(227);
    const mark = cutMark(made, 2, ruler, parts);
    expect(mark?.x).toBeCloseTo(ruler.x(199));
    expect(mark?.headX).toBeCloseTo(ruler.x(204));
    expect(mark?.isOff).toBe(true);
    expect(cutMark(made, 99, ruler, parts)).toBeNull();
    const end = cutMark(made, made.shots.length, ruler, parts);
    expect(end && lineThrough(end, made, parts)).toBe("");
    expect(mark && lineThrough(mark, made, parts)).toContain(`V${parts.pictureEnd}`);
  });

  it("belong to one stave each, and every shot to those that show it", () => {
    const made = film();
    const all = rulers(made);
    const on = all.flatMap((r, i) => jointsOn(made, r.stave, i === all.length - 1));
    expect(on).toEqual(Array.from({ length: made.shots.length }, (_, i) => i + 1));
    const seen = new Set(all.flatMap((r) => shotsOn(made, r.stave).map((s) => s.place)));
    expect(seen.size).toBe(made.shots.length);
  });
});
