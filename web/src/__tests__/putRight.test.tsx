// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Facts } from "../api/client";
import { PutRight } from "../rooms/takes/PutRight";
import { Server, page, production, take } from "./server";

const PATH = "/api/productions/3/takes/200/repairs";

const facts = (over: Partial<Facts> = {}): Facts => ({
  rate: 24,
  realRate: 24,
  repeated: 0,
  frozen: [],
  black: [],
  flicker: [],
  jumps: [],
  warps: [],
  sharpness: 0.5,
  softest: 0,
  motion: [],
  travel: { right: 0, down: 0, zoom: 1, turn: 0 },
  move: "still",
  movePercent: 0,
  verdict: null,
  marks: [],
  usable: { from: 0, to: 4 },
  troubles: [],
  ...over,
});

describe("putting a take right", () => {
  let server: Server;
  beforeEach(() => {
    server = new Server();
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });
  const shown = (measured: Facts | null) =>
    render(page(<PutRight production={production} take={take()} facts={measured} />));

  it("offers what was found wrong, and what can always be done", async () => {
    server.on(`GET ${PATH}`, []).on(`POST ${PATH}`, {}, 201);
    shown(facts({ repeated: 3, jumps: [1.5], flicker: [{ from: 0, to: 1 }] }));
    expect(await screen.findByText("3 pictures shown again")).toBeTruthy();
    expect(screen.getByText("1 jump")).toBeTruthy();
    expect(screen.getByText("Soften")).toBeTruthy();
    fireEvent.click(screen.getByText("Make it even"));
    await waitFor(() =>
      expect(server.sent(`POST ${PATH}`)).toEqual({ kind: "LIGHT", boxes: null, strength: null }),
    );
  });

  it("cuts a jump out", async () => {
    server.on(`GET ${PATH}`, []).on(`POST ${PATH}`, {}, 201);
    shown(facts({ jumps: [1.5] }));
    fireEvent.click(await screen.findByText("Cut out"));
    await waitFor(() =>
      expect(server.sent(`POST ${PATH}`)).toEqual({ kind: "CUT", boxes: null, strength: null }),
    );
  });

  it("takes out as much noise as is chosen", async () => {
    server.on(`GET ${PATH}`, []).on(`POST ${PATH}`, {}, 201);
    shown(facts());
    fireEvent.mouseDown(
      within(
        (await screen.findByLabelText("By how much: Noise")).parentElement as HTMLElement,
      ).getByRole("combobox"),
    );
    fireEvent.click(screen.getByRole("option", { name: "twice as much" }));
    fireEvent.click(screen.getByText("Take it out"));
    await waitFor(() =>
      expect(server.sent(`POST ${PATH}`)).toEqual({ kind: "NOISE", boxes: null, strength: 200 }),
    );
  });

  it("offers nothing that is not there, and nothing before it is measured", async () => {
    server.on(`GET ${PATH}`, []);
    const { unmount } = shown(facts());
    expect(await screen.findByText("Take it out")).toBeTruthy();
    expect(screen.queryByText("Bridge")).toBeNull();
    expect(screen.queryByText("Make it even")).toBeNull();
    expect(screen.queryByText("Draw the motion")).toBeNull();
    unmount();
    shown(null);
    expect(screen.queryByText("Take it out")).toBeNull();
  });

  it("says how far it is, stops, and says what went wrong", async () => {
    const work = { id: 7, share: 0.42, failed: false, message: "" };
    server
      .on(`GET ${PATH}`, [{ kind: "NOISE", work }])
      .on("DELETE /api/productions/3/repairs/7", {}, 204);
    const { unmount } = shown(facts());
    expect(await screen.findByText("Taking noise out, 42 %")).toBeTruthy();
    expect(screen.queryByText("Soften")).toBeNull();
    fireEvent.click(screen.getByText("Stop"));
    await waitFor(() =>
      expect(server.sent("DELETE /api/productions/3/repairs/7")).not.toBeUndefined(),
    );
    unmount();
    server.on(`GET ${PATH}`, [
      { kind: "NOISE", work: { ...work, failed: true, message: "It has 5000 frames." } },
    ]);
    shown(facts());
    expect(await screen.findByText("It has 5000 frames.")).toBeTruthy();
    expect(screen.getByText("Soften")).toBeTruthy();
  });
});
