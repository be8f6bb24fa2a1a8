import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useNotice } from "../parts/notice";
import { under, type Film, type Pulse } from "./client";
import { keys } from "./queries";

/** Listens to a production's server-sent events and reads again what they say has changed. */
export function usePulse(id: number): Pulse | null {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const [pulse, setPulse] = useState<Pulse | null>(null);
  useEffect(() => {
    let last: Pulse | null = null;
    const source = new EventSource(`${under(id)}/events`);
    source.addEventListener("pulse", (event: MessageEvent<string>) => {
      const now = JSON.parse(event.data) as Pulse;
      const before = last;
      last = now;
      setPulse(now);
      if (!before || before.material !== now.material) {
        void client.invalidateQueries({ queryKey: keys.material(id) });
        void client.invalidateQueries({ queryKey: keys.songs(id) });
        void client.invalidateQueries({ queryKey: keys.film(id) });
      }
      const asking = now.work.some((w) => w.kind === "ASKED");
      if (!before || before.requests !== now.requests || asking) {
        void client.invalidateQueries({ queryKey: keys.requests(id) });
      }
      if (!before || before.requests !== now.requests) {
        void client.invalidateQueries({ queryKey: keys.ledger(id) });
        void client.invalidateQueries({ queryKey: keys.services });
      }
      const rendering = now.work.some((w) => w.kind === "MASTER");
      if (!before || before.masters !== now.masters || rendering) {
        void client.invalidateQueries({ queryKey: keys.masters(id) });
      }
      const film = client.getQueryData<Film>(keys.film(id));
      if (film && now.revision > film.revision && client.isMutating() === 0) {
        tell("The film was changed in another window; this is how it stands now.");
        void client.invalidateQueries({ queryKey: keys.film(id) });
      }
    });
    return () => source.close();
  }, [id, client, tell]);
  return pulse;
}
