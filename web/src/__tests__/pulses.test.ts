// @vitest-environment jsdom
import { describe, expect, it } from "vitest";
import { Stream, type Told } from "../api/pulses";

/** A stream of events that a test feeds. */
class Source {
  onopen: (() => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  private listener: (event: { data: string }) => void = () => undefined;

  constructor(readonly url: string) {}

  addEventListener(_: string, listener: (event: { data: string }) => void) {
    this.listener = listener;
  }

  close() {
    this.closed = true;
  }

  say(production: number, revision: number) {
    this.listener({ data: JSON.stringify({ production, pulse: { revision, work: [] } }) });
  }
}

function opened() {
  const sources: Source[] = [];
  const told: Told[] = [];
  const stream = new Stream(
    (t) => told.push(t),
    (url) => {
      const source = new Source(url);
      sources.push(source);
      return source as unknown as EventSource;
    },
  );
  const last = () => {
    const source = sources.at(-1);
    if (!source) throw new Error("nothing was opened");
    return source;
  };
  return { stream, told, sources, last };
}

describe("the one connection", () => {
  it("is for all productions together, however many tabs show them", () => {
    const { stream, sources, last } = opened();
    stream.listen([3, 1, 3, 3, 1]);
    expect(last().url).toBe("/api/events?productions=1,3");
    stream.listen([1, 3]);
    expect(sources).toHaveLength(1);
    stream.listen([1, 3, 2]);
    expect(sources).toHaveLength(2);
    expect(sources[0]?.closed).toBe(true);
    stream.listen([]);
    expect(last().closed).toBe(true);
  });

  it("tells a tab that comes later what is known", () => {
    const { stream, told, last } = opened();
    stream.listen([1]);
    last().say(1, 7);
    expect(told).toMatchObject([{ kind: "pulse", production: 1, pulse: { revision: 7 } }]);
    expect(stream.known(1)).toMatchObject([{ kind: "reach" }, { production: 1 }]);
    expect(stream.known(2)).toHaveLength(1);
  });

  it("says once that the server is gone, and once that it is back", () => {
    const { stream, told, last } = opened();
    stream.listen([1]);
    last().onerror?.();
    last().onerror?.();
    last().onopen?.();
    expect(told).toEqual([
      { kind: "reach", reached: false },
      { kind: "reach", reached: true },
    ]);
  });
});
