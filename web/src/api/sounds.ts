import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { answerTo, api, sendFile } from "./client";
import { keys } from "./queries";
import { readAnew } from "./readAnew";

/** A film's sounds at a revision; the last known stays until it is there. */
export const useMix = (id: number, revision: number | undefined) =>
  useQuery({
    queryKey: keys.mix(id, revision),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/film/mix", {
          params: { path: { productionId: id } },
        }),
      ),
    enabled: revision !== undefined,
    placeholderData: keepPreviousData,
  });

/** What is measured of the whole mix at a revision. */
export const useHeardMix = (id: number, revision: number | undefined) =>
  useQuery({
    queryKey: [...keys.mix(id, revision), "heard"],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/film/mix/heard", {
          params: { path: { productionId: id } },
        }),
      ),
    enabled: revision !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

/** A laid sound as it is heard in the film, with nothing else. */
export const aloneUrl = (id: number, revision: number, sound: string) =>
  `/api/productions/${id}/film/hear-sound.wav?${new URLSearchParams({ sound, at: String(revision) })}`;

/** A line by itself, with what is done to it or without, equally loud. */
export const lineUrl = (id: number, revision: number, line: string, cared: boolean) =>
  `/api/productions/${id}/film/hear-line.wav?${new URLSearchParams({
    line,
    cared: String(cared),
    at: String(revision),
  })}`;

export type SoundKind = "HIT" | "BED" | "RISER" | "MOVE";

/** What sounds are sought by. */
export interface SoundSearch {
  words: string;
  kind: SoundKind | null;
  like: number | null;
}

/** While the shelf is being made it is looked into again, in milliseconds. */
const MAKING = 2_000;

/** The sounds that fit. */
export const useSounds = (id: number, { words, kind, like }: SoundSearch) =>
  useQuery({
    queryKey: [...keys.sounds(id), words, kind, like],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/sounds", {
          params: {
            path: { productionId: id },
            query: {
              words,
              ...(kind === null ? {} : { kind }),
              ...(like === null ? {} : { like }),
            },
          },
        }),
      ),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state: { data } }) => (data && data.made < data.all ? MAKING : false),
  });

/** Where a sound's own file is. */
export const soundUrl = (production: number, sound: number) =>
  `/api/productions/${production}/sounds/${sound}/file`;

/** Has sounds made, and brings them in. */
export function useGetSounds(id: number) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const onSettled = () => readAnew(client, keys.sounds(id));
  const ask = useMutation({
    mutationFn: (words: string) =>
      answerTo(
        api.POST("/api/productions/{productionId}/sounds/ask", {
          params: { path: { productionId: id } },
          body: { words },
        }),
      ),
    onError: (error) => tell(error.message, "wrong"),
    onSettled,
  });
  const bringIn = useMutation({
    mutationFn: (file: File) => {
      const name = encodeURIComponent(file.webkitRelativePath || file.name);
      return sendFile(`/api/productions/${id}/sounds/files?name=${name}&source=brought%20in`, file);
    },
    onError: (error) => tell(error.message, "wrong"),
    onSettled,
  });
  return { ask, bringIn };
}
