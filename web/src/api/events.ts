import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useNotice } from "../parts/notice";
import type { Film, History, Pulse } from "./client";
import { connect } from "./connection";
import { keys } from "./queries";
import { readAnew } from "./readAnew";

/** What is heard of a production: what goes on, and whether the server answers at all. */
export interface Heard {
  pulse: Pulse | null;
  reached: boolean;
}

/** Listens to what goes on in a production and reads again what has changed. */
export function usePulse(id: number): Heard {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const [heard, setHeard] = useState<Heard>({ pulse: null, reached: true });
  useEffect(() => {
    let last: Pulse | null = null;
    let away = false;
    const connection = connect((told) => {
      if (told.kind === "reach") {
        // What failed while the server was away, and what was not told, is read again.
        if (away && told.reached) void client.invalidateQueries();
        away = !told.reached;
        setHeard((h) => ({ ...h, reached: told.reached }));
        return;
      }
      if (told.production !== id) return;
      readAgain(client, id, last, told.pulse, tell);
      last = told.pulse;
      setHeard({ pulse: told.pulse, reached: true });
    });
    connection.listen(id);
    return () => connection.close();
  }, [id, client, tell]);
  return heard;
}

function readAgain(
  client: QueryClient,
  id: number,
  before: Pulse | null,
  now: Pulse,
  tell: (text: string) => void,
) {
  const again = (...all: readonly (readonly unknown[])[]) =>
    all.forEach((queryKey) => void readAnew(client, queryKey));
  if (!before || before.material !== now.material) {
    again(keys.material(id), keys.songs(id), keys.film(id), keys.history(id));
  }
  if (now.work.some((w) => w.kind === "SONG")) again(keys.songs(id));
  const asking = now.work.some((w) => w.kind === "ASKED");
  if (!before || before.requests !== now.requests || asking) again(keys.requests(id));
  if (!before || before.requests !== now.requests) again(keys.ledger(id), keys.services);
  const rendering = now.work.some((w) => w.kind === "MASTER");
  if (!before || before.masters !== now.masters || rendering) again(keys.masters(id));
  const film = client.getQueryData<Film>(keys.film(id));
  if (film && now.revision > film.revision && client.isMutating() === 0) {
    void tellWhoChanged(client, id, tell);
  }
}

/**
 * Shows a film that did not change here as it is now. What somebody did elsewhere is a step of the
 * history and is told; what follows by itself, such as a first song that was brought in, is not.
 */
export async function tellWhoChanged(
  client: QueryClient,
  id: number,
  tell: (text: string) => void,
): Promise<void> {
  const steps = () => client.getQueryData<History>(keys.history(id));
  const before = steps()?.undo?.step;
  await Promise.all([readAnew(client, keys.film(id)), readAnew(client, keys.history(id))]);
  const { undo, redo } = steps() ?? {};
  if (redo && redo.step === before) {
    tell(`“${redo.label}” was taken back outside this window; this is how the film stands now.`);
  } else if (undo && undo.step !== before) {
    tell(`“${undo.label}” was done outside this window; this is how the film stands now.`);
  }
}
