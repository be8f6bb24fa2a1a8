import { api, raw, type Fetched, type VoiceLine } from "../../../api/client";
import { useChange } from "../../../api/queries";

export interface Manner {
  voice: string;
  wordsPerMinute: number;
  manner: "EVEN" | "GRAVE" | "BRIGHT" | "URGENT";
}

const LINE = "/api/productions/{productionId}/voice/lines/{number}";

/** What a person can settle of the voice. Each gives a promise that is kept when it is done. */
export function useVoiceChanges(production: number) {
  // What is sent is worked out by whoever asks; this tells when it fails and reads again.
  const { mutateAsync } = useChange<() => Promise<Fetched>>(production, (send) => send());
  const line = (number: number) => ({ path: { productionId: production, number } });
  return {
    narrate: (n: number, how: Manner) =>
      mutateAsync(() => api.POST(`${LINE}/narrate`, { params: line(n), body: how })),
    bring: (n: number, file: Blob, name: string, recorded: boolean) =>
      mutateAsync(() =>
        api.POST(`${LINE}/readings`, {
          params: { ...line(n), query: { name, recorded } },
          ...raw(file),
        }),
      ),
    part: (file: File) =>
      mutateAsync(() =>
        api.POST("/api/productions/{productionId}/voice/recording", {
          params: { path: { productionId: production }, query: { name: file.name } },
          ...raw(file),
        }),
      ),
    pick: (n: number, reading: number) =>
      mutateAsync(() => api.PUT(`${LINE}/pick`, { params: line(n), body: { reading } })),
    tighten: (lines: readonly VoiceLine[], seconds: number | null) =>
      mutateAsync(() =>
        api.PUT("/api/productions/{productionId}/voice/longest-pause", {
          params: { path: { productionId: production } },
          body: { lines: lines.map((l) => l.number), seconds },
        }),
      ),
    start: (n: number, kind: VoiceLine["startKind"], value: number | null) =>
      mutateAsync(() => api.PUT(`${LINE}/start`, { params: line(n), body: { kind, value } })),
    remove: (reading: number) =>
      mutateAsync(() =>
        api.DELETE("/api/productions/{productionId}/voice/readings/{id}", {
          params: { path: { productionId: production, id: reading } },
        }),
      ),
  };
}

export type VoiceChanges = ReturnType<typeof useVoiceChanges>;
