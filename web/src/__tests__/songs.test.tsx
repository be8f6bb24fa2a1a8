// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Song } from "../api/client";
import { tempoOf } from "../parts/tempo";
import { barStarts, nearestBar } from "../rooms/cues/bars";
import { TwoSongsPanel } from "../rooms/cues/TwoSongsPanel";
import { page, production, Server } from "./server";

/** A song of 16 bars of 2 s after one beat, in two parts. */
const song = (id: number, title: string): Song => ({
  id,
  title,
  chosen: id === 1,
  state: "READY",
  reason: null,
  listened: 1,
  seconds: 34,
  loudness: -14,
  bpm: 120,
  beatsPerBar: 4,
  firstDownbeat: 1,
  confidence: 1,
  other: null,
  beats: Array.from({ length: 65 }, (_, i) => i / 2),
  sureness: [],
  sections: [
    { start: 0, end: 16.5, bars: 8, name: "opening", energy: 0.5 },
    { start: 16.5, end: 34, bars: 8, name: "full", energy: 1 },
  ],
  moments: [],
  sung: [],
  pace: [],
  ownPace: [],
});

describe("the bars of a song", () => {
  it("begin with its downbeats", () => {
    const starts = barStarts(song(1, "a"));
    expect(starts).toHaveLength(16);
    expect(starts.slice(0, 3)).toEqual([0.5, 2.5, 4.5]);
    expect(nearestBar(starts, 0)).toBe(1);
    expect(nearestBar(starts, 3.6)).toBe(3);
    expect(nearestBar(starts, 99)).toBe(16);
  });
});

describe("a tempo", () => {
  const beats = (...spans: [number, number][]) => {
    const out = [0];
    for (const [count, bpm] of spans)
      for (let i = 0; i < count; i++) out.push((out.at(-1) ?? 0) + 60 / bpm);
    return out;
  };

  it("is one number where a song keeps it, whatever its last beats do", () => {
    expect(tempoOf(beats([60, 92]), 92, 1)).toBe("92.0");
    expect(tempoOf(beats([30, 90], [30, 93]), 91.5, 1)).toBe("91.5");
    expect(tempoOf(beats([60, 92], [3, 50]), 92, 0)).toBe("92");
  });

  it("is two where it ends at another", () => {
    expect(tempoOf(beats([40, 92], [40, 104]), 98, 0)).toBe("92 to 104");
  });
});

describe("another song from a bar on", () => {
  const THEN = "/api/productions/3/songs/1/then/2";
  let server: Server;
  beforeEach(() => (server = new Server()));
  afterEach(cleanup);
  const answer = {
    at: 16.5,
    fade: 0.5,
    seconds: 50,
    bpm: 120,
    thenBpm: 96,
    louder: 3.25,
  };
  const open = (close = vi.fn()) => {
    server.on(`GET ${THEN}`, answer).on(`POST ${THEN}`);
    render(
      page(
        <TwoSongsPanel
          song={song(1, "Tide")}
          others={[song(2, "Gale")]}
          production={production}
          spot={{ current: { seconds: 0, playing: false } }}
          onClose={close}
        />,
      ),
    );
    return close;
  };

  it("begins where a part of the first ends, and says what comes of it", async () => {
    open();
    await screen.findByText(/the second begins at 0:16.5 after a cross-fade of one beat, 0.50 s/);
    screen.getByText(/120.0 BPM, then 96.0; 0:50.0 in all; the second is brought 3.3 dB up/);
    // 8 bars are heard: the ninth begins at 16.5 s, with the first part that begins after half.
    expect(server.asked[0]?.query).toBe("?bars=8&from=1");
  });

  it("moves by pressing a part and by number, and is taken as it was heard", async () => {
    const close = open();
    fireEvent.click(await screen.findByLabelText(/Gale, begin with this, at 0:16.5/));
    await waitFor(() => expect(server.asked.at(-1)?.query).toBe("?bars=8&from=9"));
    const bars = screen.getByLabelText(/Tide to the end of/);
    fireEvent.change(bars, { target: { value: "5" } });
    fireEvent.blur(bars);
    await waitFor(() => expect(server.asked.at(-1)?.query).toBe("?bars=5&from=9"));
    fireEvent.click(await screen.findByText("Take it"));
    await waitFor(() => expect(server.sent(`POST ${THEN}`)).toEqual({ bars: 5, from: 9 }));
    await waitFor(() => expect(close).toHaveBeenCalled());
  });

  it("says why two songs do not go together", async () => {
    open();
    server.on(`GET ${THEN}`, { detail: "The first song can be left after bar 1 to 15." }, 422);
    const bars = await screen.findByLabelText(/Tide to the end of/);
    fireEvent.change(bars, { target: { value: "40" } });
    fireEvent.blur(bars);
    expect(await screen.findByText(/can be left after bar 1 to 15/)).toBeTruthy();
    expect(screen.queryByText("Take it")).toBeNull();
  });
});
