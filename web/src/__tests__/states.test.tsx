// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { NotYet } from "../parts/NotYet";
import { TopBar } from "../parts/TopBar";
import { RoomBoundary } from "../parts/Trouble";
import { MasterRoom } from "../rooms/master/MasterRoom";
import { Shelf } from "../rooms/shelf/Shelf";
import { Route, Routes, Outlet } from "react-router";
import { film } from "./film";
import { output } from "./output";
import { Server, page, production } from "./server";

let server: Server;
beforeEach(() => {
  server = new Server();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("a room that is not here", () => {
  it("says nothing at first, then that it is being read", () => {
    vi.useFakeTimers();
    try {
      render(page(<NotYet what="The film" of={[]} />));
      expect(screen.queryByRole("status")).toBeNull();
    } finally {
      vi.useRealTimers();
    }
  });

  it("says that it is being read when that takes long", async () => {
    render(page(<NotYet what="The film" of={[{ error: null, refetch: vi.fn() }]} />));
    expect((await screen.findByRole("status")).textContent).toContain("The film is being read");
  });

  it("says why it could not be read, and tries again", () => {
    const refetch = vi.fn();
    render(
      page(<NotYet what="The film" of={[{ error: new Error("the disk is full"), refetch }]} />),
    );
    expect(screen.getByText("The film could not be read.")).toBeTruthy();
    expect(screen.getByText("the disk is full")).toBeTruthy();
    fireEvent.click(screen.getByText("Try again"));
    expect(refetch).toHaveBeenCalledTimes(1);
  });

  it("does not take the others along when it fails", () => {
    const quiet = vi.spyOn(console, "error").mockImplementation(() => undefined);
    const Broken = (): never => {
      throw new Error("no such beat");
    };
    const { rerender } = render(
      page(
        <RoomBoundary name="/score">
          <Broken />
        </RoomBoundary>,
      ),
    );
    expect(screen.getByText("This room could not be drawn.")).toBeTruthy();
    expect(screen.getByText(/no such beat/)).toBeTruthy();
    rerender(page(<RoomBoundary name="/takes">the takes</RoomBoundary>));
    expect(screen.getByText("the takes")).toBeTruthy();
    quiet.mockRestore();
  });
});

describe("the top bar", () => {
  const bar = (reached: boolean) =>
    render(page(<TopBar production={production} heard={{ pulse: null, reached }} />));

  it("says saved only while the server answers", () => {
    bar(true);
    expect(screen.getByText(/saved/)).toBeTruthy();
    cleanup();
    bar(false);
    expect(screen.queryByText(/saved/)).toBeNull();
    expect(screen.getByRole("alert").textContent).toContain("does not answer");
  });

  it("says what goes on, before what is saved", () => {
    const work = [{ kind: "CLIPS" as const, what: "Preparing 3 clips", done: 0.42 }];
    const pulse = { revision: 1, material: 1, masters: 1, requests: 1, work };
    render(page(<TopBar production={production} heard={{ pulse, reached: true }} />));
    expect(screen.getByText(/Preparing 3 clips/).textContent).toContain("42 %");
  });

  it("tells in each room's step where it stands", async () => {
    server
      .on("GET /api/productions/3/film", film(12))
      .on("GET /api/productions/3/masters", [])
      .on("GET /api/productions/3/songs", [])
      .on("GET /api/productions/3/material", {
        shots: [],
        missing: [],
        doubled: [],
        refusals: [],
      });
    bar(true);
    expect(await screen.findByText("no clips yet")).toBeTruthy();
    expect(await screen.findByText("no music yet")).toBeTruthy();
    expect(await screen.findByText("not made yet")).toBeTruthy();
    expect(await screen.findByText(/12 shots/)).toBeTruthy();
  });
});

describe("the list of masters", () => {
  const room = () =>
    render(
      page(
        <Routes>
          <Route element={<Outlet context={production} />}>
            <Route path="*" element={<MasterRoom />} />
          </Route>
        </Routes>,
      ),
    );

  const finding = (over: object) => ({
    key: "k1",
    check: "MARKS",
    verdict: "MUST",
    shot: "080",
    item: "s1",
    frame: 12,
    said: "corner mark seen for 3.4 s",
    room: "TAKES",
    mends: [{ label: "Frame it out, 6 % closer", cost: "11 % of the picture is lost" }],
    ...over,
  });
  const leaving = () =>
    server
      .on("GET /api/productions/3/film", film(12))
      .on("GET /api/productions/3/masters", [])
      .on("GET /api/productions/3/outputs", [output()])
      .on("GET /api/productions/3/film/thumbnails", [])
      .on("GET /api/productions/3/film/checks", {
        revision: 7,
        findings: [finding({}), finding({ key: "k2", verdict: "FINE", said: "no clicks" })],
        done: 1,
        of: 1,
      })
      .on("GET /api/productions/3/release", {
        sheet: {
          title: "Night Post",
          description: "",
          chapters: true,
          tags: ["winter"],
          generated: true,
          thumbnail: null,
          rights: {},
        },
        mostTitle: 100,
        mostDescription: 5000,
        chapters: "0:00 The valley",
        chapterFault: "1 chapter is too few; three are asked for",
        disclosure: "All pictures are generated.",
        hints: [],
        suggested: [],
        assets: [{ key: "song:1", kind: "song", name: "Slow bellows", note: "", rights: "" }],
      });

  it("is not empty but unreadable when it cannot be read", async () => {
    leaving().on("GET /api/productions/3/outputs", { detail: "The database is gone." }, 500);
    room();
    expect(await screen.findByText("The database is gone.")).toBeTruthy();
    server.on("GET /api/productions/3/outputs", [output()]);
    fireEvent.click(screen.getByText("Try again"));
    expect(await screen.findByText("What will come out")).toBeTruthy();
  });

  it("renders what is ticked, and puts a finding right", async () => {
    leaving()
      .on("POST /api/productions/3/outputs/render", [], 201)
      .on("POST /api/productions/3/film/checks/mend", { revision: 8 });
    room();
    fireEvent.click(await screen.findByText("Render what is ticked"));
    await waitFor(() =>
      expect(server.sent("POST /api/productions/3/outputs/render")).not.toBeUndefined(),
    );
    // Each of the three groups tells it here; in one group each finding is told once.
    fireEvent.click((await screen.findAllByText("Frame it out, 6 % closer"))[0] as HTMLElement);
    await waitFor(() =>
      expect(server.sent("POST /api/productions/3/film/checks/mend")).toMatchObject({
        group: "FILM",
        key: "k1",
        way: 0,
      }),
    );
  });

  it("keeps what is changed of an output", async () => {
    leaving().on("PUT /api/productions/3/outputs/4", output());
    room();
    fireEvent.click(await screen.findByLabelText("Night Post, change it"));
    fireEvent.click(await screen.findByText("9:16"));
    await waitFor(() =>
      expect(server.sent("PUT /api/productions/3/outputs/4")).toEqual({
        ...output().said,
        shape: "9:16",
      }),
    );
  });

  it("keeps what is written on the sheet", async () => {
    leaving().on("PUT /api/productions/3/release", {});
    room();
    const rights = await screen.findByLabelText("rights of Slow bellows");
    fireEvent.change(rights, { target: { value: "own" } });
    fireEvent.blur(rights);
    await waitFor(() =>
      expect(server.sent("PUT /api/productions/3/release")).toMatchObject({
        rights: { "song:1": "own" },
      }),
    );
  });
});

describe("the shelf", () => {
  it("says why it cannot be read", async () => {
    server.on("GET /api/productions", { detail: "Too many connections." }, 500);
    render(page(<Shelf />));
    expect(await screen.findByText("Too many connections.")).toBeTruthy();
  });

  it("shows what no production uses, with its size, and clears it", async () => {
    server
      .on("GET /api/productions", [])
      .on("GET /api/storage", { bytes: 3_400_000, days: 7 })
      .on("GET /api/machine", { fenced: true })
      .on("POST /api/storage/clear");
    render(page(<Shelf />));
    expect((await screen.findByText(/are of no production/)).textContent).toContain("3.4 MB");
    server.on("GET /api/storage", { bytes: 0, days: 7 });
    fireEvent.click(screen.getByText("Clear them now"));
    await waitFor(() => expect(screen.queryByText(/are of no production/)).toBeNull());
    expect(server.count("POST /api/storage/clear")).toBe(1);
  });

  it("warns where files are not read in a fence", async () => {
    server
      .on("GET /api/productions", [])
      .on("GET /api/storage", { bytes: 0, days: 7 })
      .on("GET /api/machine", { fenced: false });
    render(page(<Shelf />));
    expect(await screen.findByText(/not read in a fence/)).toBeTruthy();
  });

  it("asks for the demo only when it is empty, and tells when there is none", async () => {
    server
      .on("GET /api/productions", [])
      .on("POST /api/demo", { detail: "The demo's files are not beside the application." }, 422);
    render(page(<Shelf />));
    fireEvent.click(await screen.findByText("Put the demo on it"));
    expect(await screen.findByText(/not beside the application/)).toBeTruthy();
  });

  it("makes a production of what is chosen", async () => {
    server
      .on("GET /api/productions", [])
      .on("POST /api/productions", { ...production, id: 9 }, 201);
    render(page(<Shelf />));
    fireEvent.click(await screen.findByText("Make a production"));
    const title = await screen.findByLabelText("Title");
    fireEvent.change(title, { target: { value: "Water road" } });
    fireEvent.submit(title);
    await waitFor(() =>
      expect(server.sent("POST /api/productions")).toEqual({
        title: "Water road",
        width: 1920,
        height: 1080,
        rate: "24",
        targetSeconds: 60,
      }),
    );
  });
});
