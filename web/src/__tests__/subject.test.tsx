// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { SubjectDialog, type Use } from "../subject/SubjectDialog";
import {
  drawnTo,
  isDrawn,
  saysWhere,
  strokesOn,
  withStroke,
  withStrokes,
  type DrawnStroke,
} from "../subject/strokes";
import { Server, page, production, take } from "./server";

const box: DrawnStroke = {
  kind: "AROUND",
  points: [
    { x: 100, y: 100 },
    { x: 500, y: 900 },
  ],
};
const over: DrawnStroke = { kind: "IN", points: [{ x: 300, y: 300 }] };

describe("strokes", () => {
  it("are kept by picture, in order, and a box takes the place of another", () => {
    const once = withStroke(withStroke([], 12, over), 3, box);
    expect(once.map((g) => g.frame)).toEqual([3, 12]);
    const other = { ...box, points: [...over.points, { x: 900, y: 950 }] };
    expect(strokesOn(withStroke(withStroke(once, 3, over), 3, other), 3)).toEqual([other, over]);
    expect(withStrokes(once, 3, [])).toEqual([{ frame: 12, strokes: [over] }]);
  });

  it("follow the hand, a box from corner to corner", () => {
    expect(drawnTo(over, { x: 301, y: 302 })).toBe(over);
    expect(drawnTo(over, { x: 320, y: 300 }).points).toHaveLength(2);
    expect(drawnTo(box, { x: 700, y: 800 }).points).toEqual([box.points[0], { x: 700, y: 800 }]);
    expect(isDrawn({ ...box, points: [{ x: 1, y: 1 }] })).toBe(false);
    expect(isDrawn(box)).toBe(true);
    expect(saysWhere([{ ...over, kind: "OUT" }])).toBe(false);
  });
});

describe("cutting a subject out", () => {
  const PATH = "/api/productions/3/takes/200/subject";
  let server: Server;
  beforeEach(() => {
    server = new Server();
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });
  const opened = (...uses: Use[]) => {
    render(
      page(
        <SubjectDialog
          production={production}
          name="020, take 2"
          take={take()}
          at={40}
          uses={uses}
          onClose={vi.fn()}
        />,
      ),
    );
  };
  const draw = (from: [number, number], to: [number, number]) => {
    const sheet = screen.getByTestId("strokes");
    sheet.setPointerCapture = vi.fn();
    sheet.getBoundingClientRect = () => new DOMRect(0, 0, 800, 450);
    fireEvent.pointerDown(sheet, { clientX: from[0], clientY: from[1], pointerId: 1 });
    fireEvent.pointerMove(sheet, { clientX: to[0], clientY: to[1], pointerId: 1 });
    fireEvent.pointerUp(sheet, { pointerId: 1 });
  };

  it("shows what is found before it is followed, and sends what was drawn", async () => {
    server
      .on(`GET ${PATH}`, { cut: null, guides: [], work: null })
      .on(`POST ${PATH}/outline`, { picture: "data:image/jpeg;base64,AAAA" })
      .on(`POST ${PATH}`, {}, 201);
    opened();
    expect(await screen.findByText(/^Draw a box about it/)).toBeTruthy();
    expect(screen.queryByText("Cut it out")).toBeNull();
    draw([80, 45], [400, 405]);
    expect(await screen.findByTestId("shade")).toBeTruthy();
    fireEvent.keyDown(screen.getByTestId("strokes"), { key: "i" });
    draw([240, 135], [320, 135]);
    fireEvent.click(screen.getByText("Cut it out"));
    await waitFor(() =>
      expect(server.sent(`POST ${PATH}`)).toEqual({
        guides: [
          {
            frame: 40,
            strokes: [
              box,
              {
                kind: "IN",
                points: [
                  { x: 300, y: 300 },
                  { x: 400, y: 300 },
                ],
              },
            ],
          },
        ],
      }),
    );
  });

  it("is drawn by keys, too", async () => {
    server
      .on(`GET ${PATH}`, { cut: null, guides: [], work: null })
      .on(`POST ${PATH}/outline`, { picture: "data:image/jpeg;base64,AAAA" });
    opened();
    await screen.findByText(/^Draw a box about it/);
    const sheet = screen.getByTestId("strokes");
    const keys = (...all: string[]) => all.forEach((key) => fireEvent.keyDown(sheet, { key }));
    keys("Enter", "ArrowRight", "ArrowRight", "ArrowDown", "Enter");
    keys("i", "ArrowLeft", "Enter");
    await waitFor(() =>
      expect(server.sent(`POST ${PATH}/outline`)).toEqual({
        frame: 40,
        strokes: [
          {
            kind: "AROUND",
            points: [
              { x: 500, y: 500 },
              { x: 540, y: 520 },
            ],
          },
          { kind: "IN", points: [{ x: 520, y: 520 }] },
        ],
      }),
    );
  });

  it("tells how far it is, and can be stopped", async () => {
    server
      .on(`GET ${PATH}`, {
        cut: null,
        guides: [],
        work: { id: 1, share: 0.42, failed: false, message: "" },
      })
      .on(`DELETE ${PATH}`);
    opened();
    expect(await screen.findByText(/42 %/)).toBeTruthy();
    fireEvent.click(screen.getByText("Stop"));
    await waitFor(() => expect(server.count(`DELETE ${PATH}`)).toBe(1));
  });

  it("is used where it was asked for, once nothing is drawn that it does not know", async () => {
    const act = vi.fn();
    server
      .on(`GET ${PATH}`, { cut: "ab12", guides: [{ frame: 40, strokes: [box] }], work: null })
      .on(`POST ${PATH}/outline`, { picture: "data:image/jpeg;base64,AAAA" });
    opened({ name: "Lay it over the cut", says: "", act });
    await screen.findByText("Lay it over the cut");
    fireEvent.click(screen.getByText("not it"));
    draw([400, 400], [440, 400]);
    expect(screen.queryByText("Lay it over the cut")).toBeNull();
    fireEvent.click(screen.getByText("Take back"));
    expect(screen.getByText("Cut it out anew")).toBeTruthy();
  });
});
