import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { describe, expect, it } from "vitest";
import { readAnew } from "../api/readAnew";

/** A server that keeps one value and answers when it is told to, with the value as it was asked. */
function slowServer(value: string) {
  const waiting: (() => void)[] = [];
  return {
    set: (to: string) => (value = to),
    ask: () => {
      const seen = value;
      return new Promise<string>((answer) => waiting.push(() => answer(seen)));
    },
    answer: () => waiting.shift()?.(),
    asked: () => waiting.length,
  };
}

const settled = () => new Promise((done) => setTimeout(done));

describe("what is read anew", () => {
  const watch = (server: ReturnType<typeof slowServer>) => {
    const client = new QueryClient({ defaultOptions: { queries: { staleTime: 30_000 } } });
    const seen = new QueryObserver<string>(client, { queryKey: ["a", 1], queryFn: server.ask });
    seen.subscribe(() => undefined);
    return { client, seen };
  };

  it("is of now, though its first reading began before the change", async () => {
    const server = slowServer("before");
    const { client, seen } = watch(server);
    server.set("after");
    const done = readAnew(client, ["a"]);
    server.answer();
    await settled();
    server.answer();
    await done;
    expect(seen.getCurrentResult().data).toBe("after");
  });

  it("is asked for once where it was read before", async () => {
    const server = slowServer("before");
    const { client, seen } = watch(server);
    server.answer();
    await settled();
    server.set("after");
    const done = readAnew(client, ["a"]);
    expect(server.asked()).toBe(1);
    server.answer();
    await done;
    expect(server.asked()).toBe(0);
    expect(seen.getCurrentResult().data).toBe("after");
  });
});
