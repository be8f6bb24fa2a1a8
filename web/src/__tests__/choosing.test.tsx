// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { LedgerPage, Proposal, Version } from "../api/client";
import { NoticeLine } from "../parts/notice";
import { Proposals } from "../rooms/score/Proposals";
import { Versions } from "../rooms/score/Versions";
import { Ledger } from "../rooms/takes/Ledger";
import { film } from "./film";
import { Server, page, production } from "./server";

let server: Server;
beforeEach(() => {
  server = new Server();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const FILM = "/api/productions/3/film";

describe("the ways to cut a film", () => {
  const proposal = (pace: Proposal["pace"], over: Partial<Proposal> = {}): Proposal => ({
    pace,
    like: null,
    length: 1200,
    shots: [
      { shotId: 1, label: "010", takeId: 11, in: 0, start: 0, end: 480 },
      { shotId: 2, label: "020", takeId: 12, in: 0, start: 480, end: 1200 },
    ],
    downbeats: 1,
    beats: 0,
    words: 0,
    insideWords: 0,
    leftOut: [],
    moved: 2,
    cost: 1.2,
    bound: 1.2,
    terms: {},
    ...over,
  });
  const take = vi.fn();
  const open = () =>
    render(
      page(<Proposals production={production} film={film(12)} onTake={take} onClose={vi.fn()} />),
    );

  beforeEach(() => {
    take.mockClear();
    server
      .on("GET /api/productions/3/songs", [])
      .on(`GET ${FILM}/proposals`, [
        proposal("CALM"),
        proposal("BRISK", { leftOut: ["030"], insideWords: 2, cost: 2.16 }),
      ]);
  });

  it("tell what each is like and what it leaves out", async () => {
    open();
    const brisk = within(await screen.findByRole("region", { name: "brisk" }));
    expect(brisk.getByText("50.0 s")).toBeTruthy();
    expect(brisk.getByText("1 cuts: 1 on downbeats, 0 on beats")).toBeTruthy();
    expect(brisk.getByText("shots 20.0 to 30.0 s")).toBeTruthy();
    expect(brisk.getByText("2 shots would move")).toBeTruthy();
    expect(brisk.getByText("2 cuts inside words")).toBeTruthy();
    expect(brisk.getByText("no room for 030")).toBeTruthy();
    fireEvent.click(brisk.getByText("Take the brisk cut"));
    expect(take).toHaveBeenCalledWith(false, false, "BRISK");
  });

  it("say how far they may be from the best where the order is free", async () => {
    open();
    await screen.findByRole("region", { name: "calm" });
    fireEvent.click(screen.getByText("in any order"));
    expect(await screen.findByText("the best there can be")).toBeTruthy();
    expect(screen.getByText("at most 2.0 misjudged shots from the best")).toBeTruthy();
    expect(server.asked.at(-1)?.query).toContain("pool=true");
  });

  it("say why there are none", async () => {
    server.on(`GET ${FILM}/proposals`, { detail: "There are no beats to cut to yet." }, 422);
    open();
    expect(await screen.findByText("There are no beats to cut to yet.")).toBeTruthy();
  });
});

describe("versions of a film", () => {
  const version = (over: Partial<Version> = {}): Version => ({
    id: 5,
    name: "calm",
    madeAt: "2026-01-01T10:00:00Z",
    length: 1200,
    shots: 12,
    differences: ["020 begins 4 f later", "the end fades over 12 f"],
    ...over,
  });
  const close = vi.fn();
  const open = (versions: Version[]) => {
    server.on(`GET ${FILM}/versions`, versions);
    render(
      page(
        <>
          <Versions production={production} film={film(12)} onClose={close} />
          <NoticeLine />
        </>,
      ),
    );
  };

  it("are named, gone back to on the film as it is, and removed", async () => {
    server
      .on(`POST ${FILM}/versions`, version(), 201)
      .on(`POST ${FILM}/versions/5/back`, film(12))
      .on(`DELETE ${FILM}/versions/5`);
    open([version()]);
    expect(await screen.findByText(/020 begins 4 f later; the end fades/)).toBeTruthy();
    const name = screen.getByLabelText("Name of this version");
    fireEvent.change(name, { target: { value: "brisk" } });
    fireEvent.submit(name);
    await waitFor(() => expect(server.sent(`POST ${FILM}/versions`)).toEqual({ name: "brisk" }));
    fireEvent.click(screen.getByText("Go back to it"));
    await waitFor(() =>
      expect(server.sent(`POST ${FILM}/versions/5/back`)).toEqual({ revision: 7 }),
    );
    await waitFor(() => expect(close).toHaveBeenCalled());
    fireEvent.click(screen.getByText("Remove"));
    await waitFor(() => expect(server.count(`DELETE ${FILM}/versions/5`)).toBe(1));
  });

  it("like the film now cannot be gone back to", async () => {
    open([version({ differences: [] })]);
    expect(await screen.findByText("as the film is now")).toBeTruthy();
    expect(screen.getByText<HTMLButtonElement>("Go back to it").disabled).toBe(true);
    expect(screen.queryByText("Watch both")).toBeNull();
  });

  it("of a name that is taken are told", async () => {
    server.on(`POST ${FILM}/versions`, { detail: "There is a version 'calm'." }, 422);
    open([]);
    expect(await screen.findByText("No version has a name yet.")).toBeTruthy();
    fireEvent.submit(screen.getByLabelText("Name of this version"));
    expect(await screen.findByText("There is a version 'calm'.")).toBeTruthy();
  });
});

describe("the ledger", () => {
  const ledger: LedgerPage = {
    services: [
      {
        service: "Kestle Motion",
        spent: 40,
        left: 60,
        period: "DAY",
        buys: 7,
        waitedSeconds: 90,
        takes: 5,
        used: 2,
        usedSeconds: 7.5,
        success: 0.8,
      },
    ],
    spent: 40,
    costPerUsedSecond: 5.33,
    takesPerUsedShot: -1,
    awaited: [{ shot: 4, label: "040", seen: "a bell under water" }],
    retakes: [{ shot: 5, label: "050", reason: "take 1: face", prompt: "a door" }],
  };

  it("tells costs, what is awaited and what to ask for again", async () => {
    server.on("GET /api/productions/3/requests/ledger", ledger);
    const copied: string[] = [];
    vi.stubGlobal("navigator", {
      clipboard: { writeText: (text: string) => Promise.resolve(void copied.push(text)) },
    });
    render(page(<Ledger production={production} />));
    expect(await screen.findByText(/5 takes, 2 in the film \(7.5 s\); 80 % came/)).toBeTruthy();
    expect(screen.getByText("5.3")).toBeTruthy();
    expect(screen.getByText("–")).toBeTruthy();
    expect(screen.getByText(/a bell under water/)).toBeTruthy();
    fireEvent.click(screen.getByText("Copy the list"));
    await waitFor(() => expect(copied).toEqual(["050: take 1: face\na door"]));
  });

  it("says why it cannot be read", async () => {
    server.on("GET /api/productions/3/requests/ledger", { detail: "Too busy." }, 503);
    render(page(<Ledger production={production} />));
    expect(await screen.findByText("Too busy.")).toBeTruthy();
  });
});
