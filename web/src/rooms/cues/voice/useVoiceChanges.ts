import { under, type VoiceLine } from "../../../api/client";
import { useChange } from "../../../api/queries";

export interface Manner {
  voice: string;
  wordsPerMinute: number;
  manner: "EVEN" | "GRAVE" | "BRIGHT" | "URGENT";
}

/** What a person can settle of the voice. Each gives a promise that is kept when it is done. */
export function useVoiceChanges(production: number) {
  const { mutateAsync } = useChange<{ method: string; path: string; body?: unknown }>(
    production,
    ({ method, path, body }) => ({ method, path: `${under(production)}/voice/${path}`, body }),
  );
  const line = (n: number, what: string) => `lines/${n}/${what}`;
  return {
    narrate: (n: number, how: Manner) =>
      mutateAsync({ method: "POST", path: line(n, "narrate"), body: how }),
    bring: (n: number, file: Blob, name: string, recorded: boolean) =>
      mutateAsync({
        method: "POST",
        path: `${line(n, "readings")}?name=${encodeURIComponent(name)}&recorded=${recorded}`,
        body: file,
      }),
    part: (file: File) =>
      mutateAsync({
        method: "POST",
        path: `recording?name=${encodeURIComponent(file.name)}`,
        body: file,
      }),
    pick: (n: number, reading: number) =>
      mutateAsync({ method: "PUT", path: line(n, "pick"), body: { reading } }),
    tighten: (n: number, seconds: number | null) =>
      mutateAsync({ method: "PUT", path: line(n, "longest"), body: { seconds } }),
    start: (n: number, kind: VoiceLine["startKind"], value: number | null) =>
      mutateAsync({ method: "PUT", path: line(n, "start"), body: { kind, value } }),
    remove: (reading: number) => mutateAsync({ method: "DELETE", path: `readings/${reading}` }),
  };
}

export type VoiceChanges = ReturnType<typeof useVoiceChanges>;
