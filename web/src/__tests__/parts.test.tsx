// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { ApiProblem, sentenceOf } from "../api/client";
import { inOrder } from "../api/arrivals";
import { NumberField } from "../parts/NumberField";
import { barBeat, beatAt, clockTime, nearestBeat, timecode } from "../parts/time";
import { fileSize, plural, shapeName } from "../parts/words";
import { highest, outlinePath } from "../rooms/cues/peaks";
import { film } from "./film";

afterEach(cleanup);

describe("time in words", () => {
  it("writes timecode, bars and minutes", () => {
    expect(timecode(1409, 24)).toBe("00:58:17");
    expect(timecode(0, 24)).toBe("00:00:00");
    expect(timecode(1798, 29.97)).toBe("00:59:28");
    expect(clockTime(67.113)).toBe("1:07.1");
    expect(clockTime(59.96)).toBe("1:00.0");
  });

  it("finds bars and beats", () => {
    const { clock } = film();
    expect(barBeat(clock, 0)).toBe("0.4");
    expect(barBeat(clock, 12)).toBe("1.1");
    expect(barBeat(clock, 71)).toBe("2.1");
    expect(barBeat(clock, 72)).toBe("2.2");
    expect(beatAt(clock, -1)).toBe(-1);
    expect(beatAt(clock, 1e9)).toBe(239);
    expect(nearestBeat(clock, 17)).toBe(1);
    expect(nearestBeat(clock, 19)).toBe(2);
    expect(nearestBeat({ ...clock, frames: [] }, 19)).toBe(-1);
  });
});

describe("words", () => {
  it("names counts, shapes and sizes", () => {
    expect(plural(1, "shot")).toBe("1 shot");
    expect(plural(3, "shot")).toBe("3 shots");
    expect(shapeName(1920, 1080)).toBe("16:9");
    expect(shapeName(1080, 1350)).toBe("4:5");
    expect(shapeName(1000, 300)).toBe("1000×300");
    expect(fileSize(15_957_140)).toBe("16.0 MB");
    expect(fileSize(1200)).toBe("2 kB");
  });

  it("pass the server's sentence on", () => {
    expect(sentenceOf(422, { detail: "The film is empty." })).toBe("The film is empty.");
    expect(sentenceOf(500, "<html>")).toContain("500");
    expect(sentenceOf(0, "")).toContain("./start");
    expect(new ApiProblem(409, "late").isConflict).toBe(true);
  });

  it("puts files in the order people count", () => {
    const names = ["10.mp4", "9.mp4", ".notes", "shot 2.mp4"];
    expect(inOrder(names.map((n) => new File([], n))).map((f) => f.name)).toEqual([
      "9.mp4",
      "10.mp4",
      "shot 2.mp4",
    ]);
  });
});

describe("a waveform", () => {
  it("keeps the highest value of a stretch", () => {
    const values = new Uint8Array([0, 51, 255, 102]);
    expect(highest(values, 2, 0, 1)).toBeCloseTo(0.2);
    expect(highest(values, 2, 0.5, 1.5)).toBe(1);
    expect(highest(values, 2, 9, 10)).toBe(0);
    expect(outlinePath(values, 2, 0, 4, (x) => x / 2, 10, 10, 0)).toMatch(/^M0 .*Z$/);
  });
});

describe("a number field", () => {
  const field = () => screen.getByRole<HTMLInputElement>("textbox");
  it("sets what is typed, in either decimal sign, once", () => {
    const change = vi.fn();
    render(<NumberField label="starts at" unit="s" digits={2} value={1.5} onChange={change} />);
    expect(field().value).toBe("1.50");
    field().focus();
    fireEvent.change(field(), { target: { value: "2,25" } });
    fireEvent.keyDown(field(), { key: "Enter" });
    expect(change).toHaveBeenCalledExactlyOnceWith(2.25);
  });

  it("leaves nonsense and unchanged values alone", () => {
    const change = vi.fn();
    render(<NumberField label="fades over" unit="f" digits={0} value={48} onChange={change} />);
    for (const typed of ["soon", "", "48"]) {
      fireEvent.change(field(), { target: { value: typed } });
      fireEvent.blur(field());
    }
    expect(change).not.toHaveBeenCalled();
    expect(field().value).toBe("48");
  });
});
