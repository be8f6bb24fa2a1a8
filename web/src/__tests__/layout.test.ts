// @vitest-environment jsdom
import { describe, expect, it, vi } from "vitest";
import type { Placed, Production } from "../api/client";
import { Ruler, SHEET, barsOf, partsFor, stavesOf, usualBarsPerLine } from "../rooms/score/layout";
import { bandOf } from "../rooms/score/band";
import { barBeat } from "../parts/time";
import { film } from "./film";
import { SoundInParts, soundParts } from "../rooms/score/soundParts";
import { partAt } from "../rooms/score/usePrepared";

describe("staves", () => {
  it("cover the film once, line after line", () => {
    for (const bars of [4, 8, 16]) {
      const made = film();
      const staves = stavesOf(made, 24, bars);
      let at = 0;
      for (const stave of staves) {
        expect(stave.start).toBe(at);
        expect(stave.bars.length).toBeLessThanOrEqual(bars);
        at = stave.end;
      }
      expect(at).toBe(made.length);
    }
  });

  it("begin with the lead-in, later ones with the last two beats again", () => {
    const [first, second] = stavesOf(film(), 24, 8);
    expect(first?.before).toBe(0);
    expect(first?.edges[0]).toBe(12);
    expect(second?.start).toBe(12 + 8 * 48);
    expect((second?.start ?? 0) - (second?.before ?? 0)).toBe(24);
  });

  it("number bars by the song, from its first downbeat", () => {
    const { bars } = barsOf(film(), 24);
    expect(bars.slice(0, 3)).toEqual([
      { frame: 12, label: "1" },
      { frame: 60, label: "2" },
      { frame: 108, label: "3" },
    ]);
  });

  it("go on at the last tempo past the song's end", () => {
    const long = film();
    const short = {
      ...long.clock,
      beats: long.clock.beats.slice(0, 20),
      frames: long.clock.frames.slice(0, 20),
    };
    const { bars } = barsOf({ ...long, clock: short }, 24);
    expect(bars.map((b) => b.frame)).toEqual(
      barsOf(long, 24)
        .bars.map((b) => b.frame)
        .slice(0, bars.length),
    );
    expect(bars.length).toBeGreaterThan(20);
    for (const frame of [0, 100, 227, 228, 269, 400]) {
      expect(barBeat(short, frame)).toBe(barBeat(long.clock, frame));
    }
  });

  it("count seconds where there is no music", () => {
    const silent = film(4);
    const clock = { ...silent.clock, song: null, beats: [], frames: [] };
    const { bars, ticks } = barsOf({ ...silent, clock }, 24);
    expect(bars[1]).toEqual({ frame: 60, label: "2.5 s" });
    expect(ticks.filter((t) => t.strong)[3]?.frame).toBe(72);
  });
});

describe("a ruler", () => {
  it("finds the frame again at every position", () => {
    for (const stave of stavesOf(film(), 24, 8)) {
      const ruler = new Ruler(stave, 96);
      for (let frame = stave.start; frame < stave.end; frame++) {
        expect(ruler.frame(ruler.x(frame))).toBeCloseTo(frame, 6);
      }
    }
  });

  it("gives every bar the same width and goes on past the last", () => {
    const stave = stavesOf(film(), 24, 8)[0];
    if (!stave) throw new Error("no stave");
    const ruler = new Ruler(stave, 96);
    expect(ruler.x(12)).toBeCloseTo(SHEET.first);
    expect(ruler.x(60)).toBeCloseTo(SHEET.first + 96);
    expect(ruler.x(12 + 8 * 48)).toBeCloseTo(SHEET.first + 8 * 96);
    expect(ruler.frame(SHEET.first + 9 * 96)).toBeCloseTo(12 + 9 * 48);
    expect(ruler.x(0)).toBe(SHEET.lead);
  });
});

describe("the sheet's measures", () => {
  it("keeps the whole film in sight up to three minutes", () => {
    for (const bars of [6, 24, 40, 70]) {
      const lines = Math.ceil(bars / usualBarsPerLine(bars));
      const parts = partsFor(680 / lines);
      expect(parts.height * lines).toBeLessThanOrEqual(690);
      expect(parts.pictureEnd).toBeGreaterThan(parts.picture + 20);
    }
  });
});

describe("an HLS playlist", () => {
  const list = "#EXTM3U\n#EXT-X-VERSION:7\n#EXTINF:2.000000,\n0-a.ts\n#EXTINF:1.500000,\n1-b.ts\n";

  it("tells the file that holds a second", () => {
    expect([0, 1.99, 2, 3.4, 3.5].map((at) => partAt(list, at))).toEqual([
      "0-a.ts",
      "0-a.ts",
      "1-b.ts",
      "1-b.ts",
      null,
    ]);
  });
});

describe("a sound file in parts", () => {
  it("is told by its playlist", () => {
    const list =
      '#EXTM3U\n#EXT-X-MAP:URI="head.mp4"\n' +
      "#EXTINF:2.005333,\nsound-0.m4s\n#EXTINF:1.5,\nsound-1.m4s\n#EXT-X-ENDLIST\n";
    expect(soundParts(list)).toEqual({
      head: "head.mp4",
      parts: [
        { start: 0, end: 2.005333, file: "sound-0.m4s" },
        { start: 2.005333, end: 3.505333, file: "sound-1.m4s" },
      ],
    });
  });
});

describe("sound in parts", () => {
  it("is asked for again when a part could not be had", async () => {
    const list = '#EXTM3U\n#EXT-X-MAP:URI="head.mp4"\n#EXTINF:2,\nsound-0.m4s\n#EXT-X-ENDLIST\n';
    let broken = true;
    const fetch = vi.fn((path: string) =>
      Promise.resolve(
        path.endsWith("m3u8")
          ? new Response(list)
          : new Response("sound", { status: broken ? 503 : 200 }),
      ),
    );
    vi.stubGlobal("fetch", fetch);
    const sound = {} as AudioBuffer;
    const context = { decodeAudioData: () => Promise.resolve(sound) };
    const parts = new SoundInParts("/film/", context as unknown as BaseAudioContext);
    await expect(parts.at(1)).rejects.toThrow("head.mp4: 503");
    broken = false;
    expect(await parts.at(1)).toEqual({ start: 0, sound });
    const asked = fetch.mock.calls.length;
    await parts.at(1.5);
    expect(fetch.mock.calls.length).toBe(asked);
    expect(await parts.at(2)).toBeNull();
    vi.unstubAllGlobals();
  });
});

describe("the pictures of a stave", () => {
  const production = { id: 3, width: 1920, height: 1080 } as Production;
  const parts = partsFor(227);
  const drawn = (shots: Placed[], barWidth = 96, isLost: (s: Placed) => boolean = () => false) => {
    const [stave] = stavesOf(film(), 24, 8);
    if (!stave) throw new Error("no stave");
    return bandOf(shots, isLost, new Ruler(stave, barWidth), parts, production, film());
  };
  const first = film().shots.slice(0, 2);

  it("are as many frames of each shot as fit, from the first used to the last", () => {
    const { cells, hairs, from, to } = drawn(first);
    expect(cells.map((c) => c.width)).toEqual([243.2, 192]);
    expect([from, to]).toEqual([70, 121.2 + 4 * 96]);
    expect(hairs).toEqual([]);
    const wide = drawn(first, 240);
    const frames = wide.cells.map((c) => Number(/frames.(\d+)/.exec(c.src)?.[1]));
    expect(frames).toEqual([10, 117, 10, 105]);
    expect(wide.hairs).toHaveLength(2);
  });

  it("leave out what is too narrow, and are black where there is none", () => {
    expect(drawn(first, 6).cells).toHaveLength(1);
    const gap = drawn([{ ...first[0], takeId: 0 } as Placed, first[1] as Placed]);
    expect(gap.blacks).toEqual([{ x: 70, width: 243.2 }]);
    expect(gap.cells).toHaveLength(1);
    expect(drawn(first, 96, () => true).cells).toHaveLength(0);
  });
});
