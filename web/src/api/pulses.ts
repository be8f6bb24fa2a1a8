import type { Pulse } from "./client";

/** What is told of the server: what goes on in a production, or whether it answers. */
export type Told =
  { kind: "pulse"; production: number; pulse: Pulse } | { kind: "reach"; reached: boolean };

/** What a tab asks of the connection that all tabs share. */
export type Wanted = { production: number } | "bye";

/**
 * One stream of server-sent events for all that anybody wants to know. It is opened anew when a
 * production is added, and by itself when the server comes back.
 */
export class Stream {
  private source: EventSource | null = null;
  private readonly told = new Map<number, Pulse>();
  private productions: readonly number[] = [];
  private reached = true;

  constructor(
    private readonly tell: (told: Told) => void,
    private readonly open: (url: string) => EventSource = (url) => new EventSource(url),
  ) {}

  /** What is known already of a production, and whether the server answers. */
  known(production: number): Told[] {
    const pulse = this.told.get(production);
    const reach: Told = { kind: "reach", reached: this.reached };
    return pulse ? [reach, { kind: "pulse", production, pulse }] : [reach];
  }

  /** Listens to these productions from now on. */
  listen(productions: Iterable<number>) {
    const wanted = [...new Set(productions)].sort((a, b) => a - b);
    if (wanted.join() === this.productions.join()) return;
    this.productions = wanted;
    this.source?.close();
    this.source = null;
    for (const id of this.told.keys()) if (!wanted.includes(id)) this.told.delete(id);
    if (wanted.length === 0) return;
    const source = this.open(`/api/events?productions=${wanted.join(",")}`);
    source.addEventListener("pulse", (event: MessageEvent<string>) => {
      const { production, pulse } = JSON.parse(event.data) as { production: number; pulse: Pulse };
      this.told.set(production, pulse);
      this.tell({ kind: "pulse", production, pulse });
    });
    source.onopen = () => this.reach(true);
    source.onerror = () => this.reach(false);
    this.source = source;
  }

  private reach(reached: boolean) {
    if (reached === this.reached) return;
    this.reached = reached;
    this.tell({ kind: "reach", reached });
  }
}
