// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, cleanup, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Output } from "../api/client";
import { useOutputActions, useOutputs } from "../api/masters";
import { useFilmEdit } from "../api/useFilmEdit";
import { output } from "./output";
import { Server } from "./server";

const LIST = "GET /api/productions/3/outputs";
const WRITE = "PUT /api/productions/3/outputs/4";

let server: Server;
beforeEach(() => {
  server = new Server();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("changes made one after the other", () => {
  /** The outputs of a production, and whatever was told of the first one's lines meanwhile. */
  const shown = async () => {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    const lines: (number | null | undefined)[] = [];
    client.getQueryCache().subscribe(({ type, query }) => {
      const now = (query.state.data as Output[] | undefined)?.[0]?.said.lines;
      if (type === "updated" && now !== lines.at(-1)) lines.push(now);
    });
    const wrapper = ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    );
    const { result } = renderHook(
      () => ({ outputs: useOutputs(3).data, change: useOutputActions(3).change.mutate }),
      { wrapper },
    );
    await waitFor(() => expect(result.current.outputs).toHaveLength(1));
    const write = (to: number) =>
      result.current.change({ id: 4, said: { ...output().said, lines: to } });
    return { lines, write };
  };

  it("stay shown while those before them are answered", async () => {
    server.on(LIST, [output()]).on(WRITE, output());
    const { lines, write } = await shown();
    act(() => {
      write(240);
      write(360);
    });
    await waitFor(() => expect(server.count(LIST)).toBe(2));
    expect(server.asked.map((a) => a.call)).toEqual([LIST, WRITE, WRITE, LIST]);
    expect(server.sent(WRITE)).toMatchObject({ lines: 360 });
    // The list tells of no lines all the while, and is believed when the last is answered.
    await waitFor(() => expect(lines).toEqual([null, 240, 360, null]));
  });

  it("are taken back where the server refuses them", async () => {
    server.on(LIST, [output()]).on(WRITE, { detail: "Nothing of that name." }, 422);
    const { lines, write } = await shown();
    act(() => write(240));
    await waitFor(() => expect(lines).toEqual([null, 240, null]));
  });

  it("go with the edits of the film that were made before them", async () => {
    const EDIT = "POST /api/productions/3/film/set-song";
    const RENDER = "POST /api/productions/3/outputs/4/render";
    server
      .on("GET /api/productions/3/film", { revision: 7, length: 0 })
      .on(EDIT, { revision: 8, length: 0 })
      .on(RENDER, {}, 201);
    const happened: string[] = [];
    const answering = fetch;
    vi.stubGlobal("fetch", async (request: Request) => {
      const call = `${request.method} ${new URL(request.url).pathname}`;
      happened.push(`sent ${call}`);
      if (call === EDIT) await new Promise((done) => setTimeout(done, 50));
      const answer = await answering(request);
      happened.push(`answered ${call}`);
      return answer;
    });
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    const wrapper = ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    );
    const { result } = renderHook(
      () => ({ edit: useFilmEdit(3), render: useOutputActions(3).render.mutate }),
      { wrapper },
    );
    act(() => {
      void result.current.edit({ name: "set-song", values: { startSeconds: 0, fade: 12 } });
      result.current.render(4);
    });
    await waitFor(() => expect(happened).toContain(`answered ${RENDER}`));
    expect(happened.indexOf(`sent ${RENDER}`)).toBeGreaterThan(
      happened.indexOf(`answered ${EDIT}`),
    );
  });
});
