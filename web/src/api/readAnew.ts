import type { QueryClient } from "@tanstack/react-query";

/**
 * Reads again what is kept under a key, so that what is shown is of now. A query that is being read
 * for the first time is not begun again by the library: its answer may be from before the change,
 * and would stand. It is waited for, and read once more.
 */
export async function readAnew(client: QueryClient, queryKey: readonly unknown[]): Promise<void> {
  const before = client
    .getQueryCache()
    .findAll({ queryKey, fetchStatus: "fetching", predicate: (q) => q.state.data === undefined });
  await client.invalidateQueries({ queryKey });
  await Promise.all(
    before.map((q) => client.invalidateQueries({ queryKey: q.queryKey, exact: true })),
  );
}
