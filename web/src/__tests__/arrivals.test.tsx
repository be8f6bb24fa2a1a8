// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { useArrivals } from "../api/arrivals";
import { noteOnTheirWay, takeUnarrived } from "../api/unarrived";
import { ArrivalsPanel } from "../rooms/takes/ArrivalsPanel";

beforeEach(() => localStorage.clear());
afterEach(cleanup);

describe("files that were on their way when the page was closed", () => {
  it("are kept for each production and told once", () => {
    noteOnTheirWay(3, ["a.mp4", "b.mp4"]);
    noteOnTheirWay(4, ["c.mp4"]);
    expect(takeUnarrived(3)).toEqual(["a.mp4", "b.mp4"]);
    expect(takeUnarrived(3)).toEqual([]);
    noteOnTheirWay(4, []);
    expect(takeUnarrived(4)).toEqual([]);
  });

  it("are listed when the production is opened again, until that is seen", () => {
    noteOnTheirWay(3, ["a.mp4"]);
    useArrivals.getState().look(3);
    render(<ArrivalsPanel />);
    expect(screen.getByText("a.mp4")).toBeTruthy();
    fireEvent.click(screen.getByText("Done"));
    expect(screen.queryByText("a.mp4")).toBeNull();
  });
});
