// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Asked, Service, Shot, Song } from "../api/client";
import { NoticeLine } from "../parts/notice";
import { BandPanel } from "../rooms/cues/BandPanel";
import { SongChoice } from "../rooms/cues/SongChoice";
import { AskPanel } from "../rooms/takes/AskPanel";
import { MadeBy } from "../rooms/takes/MadeBy";
import { TakePanel } from "../rooms/takes/TakePanel";
import { Server, page, production, take } from "./server";

let server: Server;
beforeEach(() => {
  server = new Server();
  vi.stubGlobal(
    "Image",
    class {
      src = "";
      style = { cssText: "" };
      decode = () => Promise.resolve();
    },
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const service = (kind: "STILL" | "CLIP", over: Partial<Service> = {}): Service => ({
  id: kind === "STILL" ? 1 : 2,
  left: 90,
  failsEvery: 0,
  profile: {
    name: kind === "STILL" ? "Kestle Still" : "Kestle Motion",
    kind,
    inputs: ["EXCLUSION", "SEED", "MOVE", ...(kind === "CLIP" ? (["PICTURE"] as const) : [])],
    longestPrompt: 500,
    shapes: ["16:9"],
    lengths: kind === "CLIP" ? [4, 6] : [],
    rate: 24,
    height: 720,
    credits: 2,
    allowance: 100,
    period: "DAY",
    atOnce: 2,
    waitSeconds: 10,
    marks: "UNSAID",
  },
  ...over,
});

const shot = (over: Partial<Shot> = {}): Shot => ({
  id: 100,
  label: "010",
  scene: "",
  number: "10",
  title: "The jetty",
  pick: null,
  storyShot: 1,
  held: false,
  asked: "PUSH_IN",
  wantedSeconds: 3,
  who: [],
  takes: [],
  ...over,
});

const REQUESTS = "/api/productions/3/requests";
const ESTIMATE = { credits: 6, left: 90, period: "DAY", seconds: 20 };

describe("asking for takes", () => {
  const panel = (shots: readonly Shot[], current: Shot | null = null) =>
    render(
      page(
        <>
          <AskPanel production={production} shots={shots} current={current} />
          <NoticeLine />
        </>,
      ),
    );

  beforeEach(() => {
    server
      .on("GET /api/services", [service("STILL"), service("CLIP")])
      .on(`GET ${REQUESTS}`, [])
      .on(`POST ${REQUESTS}/estimate`, ESTIMATE)
      .on(`POST ${REQUESTS}`, { count: 1, message: "" });
  });

  it("says the price the server reckons before anything is asked", async () => {
    panel([shot()]);
    expect((await screen.findByText(/6 credits of 90 left today/)).textContent).toContain(
      "1 shot, 6 credits of 90 left today; about 20 s.",
    );
    fireEvent.click(screen.getByText("Ask Kestle Motion for 1 take"));
    await waitFor(() =>
      expect(server.sent(`POST ${REQUESTS}`)).toEqual({
        service: "Kestle Motion",
        shots: [100],
        picture: null,
        pictures: 3,
        seed: 0,
      }),
    );
  });

  it("asks a service of stills for as many as are wanted, one to six", async () => {
    panel([shot()]);
    fireEvent.mouseDown(await screen.findByRole("combobox", { name: "Service" }));
    fireEvent.click(await screen.findByText(/Kestle Still: stills/));
    const many = await screen.findByLabelText("stills of each, of 6");
    for (const [typed, asked] of [
      ["5", 5],
      ["40", 6],
      ["0", 1],
    ] as const) {
      fireEvent.change(many, { target: { value: typed } });
      fireEvent.blur(many);
      await waitFor(() =>
        expect(server.sent(`POST ${REQUESTS}/estimate`)).toMatchObject({ pictures: asked }),
      );
    }
  });

  it("tells what was not sent, and why", async () => {
    server.on(`POST ${REQUESTS}`, { count: 0, message: "No allowance left today." });
    panel([shot()]);
    fireEvent.click(await screen.findByText("Ask Kestle Motion for 1 take"));
    expect(await screen.findByText("0 requests sent. No allowance left today.")).toBeTruthy();
  });

  it("says that all shots have a take, and what to do without a story", async () => {
    panel([shot({ takes: [take()] })]);
    expect(await screen.findByText("Every shot of the story has a take.")).toBeTruthy();
    cleanup();
    panel([shot({ storyShot: null })]);
    expect(await screen.findByText(/write its shots down first/)).toBeTruthy();
  });

  it("cancels what waits and asks again for what failed", async () => {
    const request = (over: Partial<Asked>): Asked => ({
      id: 5,
      shot: 100,
      label: "010",
      service: "Kestle Motion",
      kind: "MAKE",
      prompt: "a jetty",
      seed: 1,
      seconds: 4,
      move: "STILL",
      cost: 8,
      state: "QUEUED",
      message: null,
      before: 2,
      secondsLeft: 31,
      waited: 4,
      ...over,
    });
    server
      .on(`GET ${REQUESTS}`, [
        request({}),
        request({ id: 6, label: "020", state: "FAILED", message: "It gave up half-way." }),
      ])
      .on(`POST ${REQUESTS}/5/cancel`)
      .on(`POST ${REQUESTS}/6/again`, { count: 1, message: "" });
    panel([shot()]);
    expect(await screen.findByText("2 before it, about 31 s")).toBeTruthy();
    expect(screen.getByText("It gave up half-way.")).toBeTruthy();
    fireEvent.click(screen.getByText("Cancel"));
    fireEvent.click(screen.getByText("Ask again"));
    await waitFor(() => {
      expect(server.count(`POST ${REQUESTS}/5/cancel`)).toBe(1);
      expect(server.count(`POST ${REQUESTS}/6/again`)).toBe(1);
    });
  });
});

describe("a take that a service made", () => {
  it("says what longer and larger cost, as the server reckons it", async () => {
    server
      .on("GET /api/services", [service("CLIP")])
      .on(`POST ${REQUESTS}/extend/estimate`, { ...ESTIMATE, credits: 4 })
      .on(`POST ${REQUESTS}/enlarge/estimate`, { ...ESTIMATE, credits: 11 })
      .on(`POST ${REQUESTS}/extend`, { count: 1, message: "" });
    render(
      page(
        <MadeBy production={production} take={take({ service: "Kestle Motion", seconds: 5 })} />,
      ),
    );
    expect(await screen.findByText("Enlarge to 2560×1440, 11 credits")).toBeTruthy();
    fireEvent.click(await screen.findByText("Extend to 7.0 s, 4 credits"));
    await waitFor(() =>
      expect(server.sent(`POST ${REQUESTS}/extend`)).toEqual({ take: 200, seconds: 2 }),
    );
  });
});

describe("a take that was not taken", () => {
  it("says why and can be tried again", async () => {
    server.on("POST /api/productions/3/takes/200/again");
    const refused = take({ state: "REFUSED", reason: "The disk is full. Make room." });
    render(
      page(
        <TakePanel
          production={production}
          shot={shot({ takes: [refused] })}
          take={refused}
          shots={[]}
          judge={{ reject: vi.fn(), toggleFault: vi.fn(), note: vi.fn() }}
          onPick={vi.fn()}
        />,
      ),
    );
    expect(screen.getByRole("alert").textContent).toContain("The disk is full.");
    fireEvent.click(screen.getByText("Try it again"));
    await waitFor(() => expect(server.count("POST /api/productions/3/takes/200/again")).toBe(1));
  });
});

describe("the house band", () => {
  it("plays as many songs as are asked for, four at most", async () => {
    server.on("POST /api/productions/3/band");
    const close = vi.fn();
    render(page(<BandPanel production={production} onClose={close} />));
    const songs = screen.getByLabelText("songs,");
    fireEvent.change(songs, { target: { value: "9" } });
    fireEvent.blur(songs);
    fireEvent.click(screen.getByText("Ask the house band"));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(server.sent("POST /api/productions/3/band")).toEqual({
      style: "drums",
      mood: "WARM",
      bpm: 96,
      seconds: 48,
      voice: false,
      songs: 4,
    });
  });
});

describe("a song that was given up", () => {
  it("says why and can be listened to again", async () => {
    server.on("POST /api/productions/3/songs/4/again");
    const song = {
      id: 4,
      title: "Slow bellows",
      chosen: true,
      state: "REFUSED",
      reason: "There was not enough memory for it.",
      seconds: 3600,
      listened: 0,
      loudness: null,
      bpm: 0,
      beatsPerBar: 4,
      firstDownbeat: 0,
      confidence: 0,
      other: null,
      beats: [],
      sureness: [],
      sections: [],
      moments: [],
      sung: [],
      pace: [],
      ownPace: [],
    } satisfies Song;
    render(page(<SongChoice song={song} production={production} shown={false} onShow={vi.fn()} />));
    expect(screen.getByText(/not enough memory/)).toBeTruthy();
    fireEvent.click(screen.getByText("Listen again"));
    await waitFor(() => expect(server.count("POST /api/productions/3/songs/4/again")).toBe(1));
  });
});
