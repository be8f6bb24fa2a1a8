import { ThemeProvider } from "@mui/material/styles";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { vi } from "vitest";
import type { Production, Take } from "../api/client";
import { theme } from "../theme";

/** A server of a test: what it answers by "METHOD path", and what it was asked. */
export class Server {
  readonly asked: { call: string; query: string; body: unknown }[] = [];
  private readonly answers = new Map<string, { status: number; body: unknown }>();

  constructor() {
    vi.stubGlobal(
      "fetch",
      vi.fn(async (asked: Request | string, init?: RequestInit) => {
        const { pathname, search } = new URL(
          typeof asked === "string" ? asked : asked.url,
          "http://server",
        );
        const call = `${typeof asked === "string" ? (init?.method ?? "GET") : asked.method} ${pathname}`;
        // What is not a request of its own carries a file.
        const text = typeof asked === "string" ? "" : await asked.text();
        this.asked.push({ call, query: search, body: text === "" ? null : JSON.parse(text) });
        const { status, body } = this.answers.get(call) ?? { status: 404, body: {} };
        return new Response(status === 204 ? null : JSON.stringify(body), { status });
      }),
    );
  }

  /** From now on a call is answered so; nothing for an answer without a body. */
  on(call: string, body?: unknown, status = body === undefined ? 204 : 200): this {
    this.answers.set(call, { status, body });
    return this;
  }

  /** What a call was sent, the last time it was made. */
  sent(call: string): unknown {
    return this.asked.findLast((a) => a.call === call)?.body;
  }

  count(call: string): number {
    return this.asked.filter((a) => a.call === call).length;
  }
}

/** Puts a part of the page where it can ask a server. */
export function page(
  children: ReactNode,
  client = new QueryClient({ defaultOptions: { queries: { retry: false } } }),
  at = "/",
) {
  return (
    <QueryClientProvider client={client}>
      <ThemeProvider theme={theme}>
        <MemoryRouter initialEntries={[at]}>{children}</MemoryRouter>
      </ThemeProvider>
    </QueryClientProvider>
  );
}

export const production: Production = {
  id: 3,
  title: "Night Post",
  width: 1920,
  height: 1080,
  rate: "24",
  framesPerSecond: 24,
  targetSeconds: 48,
  changedAt: "2026-01-01T00:00:00Z",
};

export const take = (over: Partial<Take> = {}): Take => ({
  id: 200,
  number: 1,
  media: "ab".repeat(32),
  fileName: "shot_010_take1.mp4",
  state: "READY",
  reason: null,
  frames: 130,
  framesDone: 130,
  seconds: 5.42,
  rate: "24",
  variableRate: false,
  otherRate: false,
  width: 1280,
  height: 720,
  rotation: 0,
  wide: null,
  sound: false,
  still: false,
  framing: "FILL",
  loss: 0,
  service: "",
  prompt: "",
  cost: 0,
  rejected: false,
  faults: [],
  note: "",
  measuring: 0,
  facts: null,
  ...over,
});
