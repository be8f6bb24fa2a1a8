// @vitest-environment jsdom
import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { describe, expect, it, vi } from "vitest";
import type { History } from "../api/client";
import { tellWhoChanged } from "../api/events";
import { keys } from "../api/queries";

const step = (id: number, label: string) => ({ step: id, label, theirs: false });
const history = (undo?: History["undo"], redo?: History["redo"]) => ({ undo, redo }) as History;

/** What is said when the history was one thing and is another. */
async function said(before: History, after: History) {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(keys.history(3), before);
  new QueryObserver(client, {
    queryKey: keys.history(3),
    queryFn: () => Promise.resolve(after),
  }).subscribe(() => undefined);
  const tell = vi.fn<(text: string) => void>();
  await tellWhoChanged(client, 3, tell);
  return tell.mock.calls.map(([text]) => text);
}

describe("a film that changed outside this window", () => {
  it("says what was done to it", async () => {
    expect(await said(history(step(4, "split")), history(step(5, "move a cut")))).toEqual([
      "“move a cut” was done outside this window; this is how the film stands now.",
    ]);
  });

  it("says what was taken back", async () => {
    const now = history(step(3, "feel"), step(4, "split"));
    expect(await said(history(step(4, "split")), now)).toEqual([
      "“split” was taken back outside this window; this is how the film stands now.",
    ]);
  });

  it("says nothing where nobody did anything, as when a first song was brought in", async () => {
    expect(await said(history(), history())).toEqual([]);
    expect(await said(history(step(4, "split")), history(step(4, "split")))).toEqual([]);
  });
});
