import {
  keepPreviousData,
  useMutation,
  useQuery,
  useQueryClient,
  type QueryClient,
} from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { answerTo, api, type Fetched, type Song } from "./client";
import { readAnew } from "./readAnew";

export const keys = {
  shelf: ["shelf"] as const,
  production: (id: number) => ["production", id] as const,
  material: (id: number) => ["production", id, "material"] as const,
  proposals: (id: number) => ["production", id, "proposals"] as const,
  songs: (id: number) => ["production", id, "songs"] as const,
  peaks: (id: number, song: number) => ["production", id, "peaks", song] as const,
  look: (id: number, revision: number | undefined) => ["production", id, "look", revision] as const,
  mix: (id: number, revision: number | undefined) => ["production", id, "mix", revision] as const,
  wordsOf: (id: number) => ["production", id, "words"] as const,
  words: (id: number, revision: number | undefined) =>
    ["production", id, "words", revision] as const,
  sounds: (id: number) => ["production", id, "sounds"] as const,
  film: (id: number) => ["production", id, "film"] as const,
  history: (id: number) => ["production", id, "history"] as const,
  voice: (id: number) => ["production", id, "voice"] as const,
  requests: (id: number) => ["production", id, "requests"] as const,
  ledger: (id: number) => ["production", id, "ledger"] as const,
  services: ["services"] as const,
  masters: (id: number) => ["production", id, "masters"] as const,
  transitions: ["transitions"] as const,
  treatments: ["treatments"] as const,
  finishes: ["finishes"] as const,
  designs: ["title designs"] as const,
  ownFaces: ["title designs", "own faces"] as const,
};

export const useShelf = () =>
  useQuery({ queryKey: keys.shelf, queryFn: () => answerTo(api.GET("/api/productions")) });

export const useProduction = (id: number) =>
  useQuery({
    queryKey: [...keys.production(id), "self"],
    queryFn: () => answerTo(api.GET("/api/productions/{id}", { params: { path: { id } } })),
  });

/** The ways to cut a film at a revision; worked out when asked for. */
export const useProposals = (id: number, revision: number, everything: boolean, pool: boolean) =>
  useQuery({
    queryKey: [...keys.proposals(id), everything, pool, revision],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/film/proposals", {
          params: { path: { productionId: id }, query: { everything, pool } },
        }),
      ),
    // What was worked out for another order or other shots is not shown for this one.
    placeholderData: (before, query) =>
      query?.queryKey[3] === everything && query.queryKey[4] === pool ? before : undefined,
    retry: false,
  });

/** Draws how quickly eight parts of a film without music are to move; none for evenly. */
export const useDrawFreePace = (id: number) =>
  useChange<readonly number[]>(id, (speeds) =>
    api.PUT("/api/productions/{productionId}/pace", {
      params: { path: { productionId: id } },
      body: { speeds: [...speeds] },
    }),
  );

/** Draws how quickly the sections of a song are to move; none to follow its energy. */
export function useDrawPace(id: number, song: number) {
  const client = useQueryClient();
  return useChange<readonly number[]>(
    id,
    (speeds) =>
      api.PUT("/api/productions/{productionId}/songs/{songId}/pace", {
        params: { path: { productionId: id, songId: song } },
        body: { speeds: [...speeds] },
      }),
    {
      inOrder: "pace",
      shows: {
        queryKey: keys.songs(id),
        write: (speeds) =>
          client.setQueryData<Song[]>(keys.songs(id), (songs) =>
            songs?.map((s) => (s.id === song ? { ...s, pace: [...speeds] } : s)),
          ),
      },
    },
  );
}

/** The film's versions, compared with it as it is. */
export const useVersions = (id: number, revision: number) =>
  useQuery({
    queryKey: [...keys.film(id), "versions", revision],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/film/versions", {
          params: { path: { productionId: id } },
        }),
      ),
  });

export const useMaterial = (id: number) =>
  useQuery({
    queryKey: keys.material(id),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/material", {
          params: { path: { productionId: id } },
        }),
      ),
  });

/** A take of a production, once its material is read. */
export const useTake = (id: number, take: number) =>
  useMaterial(id)
    .data?.shots.flatMap((s) => s.takes)
    .find((t) => t.id === take);

export const useSongs = (id: number) =>
  useQuery({
    queryKey: keys.songs(id),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/songs", {
          params: { path: { productionId: id } },
        }),
      ),
  });

export const usePeaks = (id: number, song: number | null | undefined) =>
  useQuery({
    queryKey: keys.peaks(id, song ?? 0),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/songs/{songId}/peaks", {
          params: { path: { productionId: id, songId: song ?? 0 } },
        }),
      ),
    enabled: song != null,
    staleTime: Infinity,
  });

export const useFilm = (id: number) =>
  useQuery({
    queryKey: keys.film(id),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/film", { params: { path: { productionId: id } } }),
      ),
  });

/** Asks how alike the shots of the film look at a revision. */
export const lookAt = (id: number, revision: number | undefined) => ({
  queryKey: keys.look(id, revision),
  queryFn: () =>
    answerTo(
      api.GET("/api/productions/{productionId}/film/look", {
        params: { path: { productionId: id } },
      }),
    ),
});

/** How alike the shots of the film look at a revision; the last known stays until it is there. */
export const useLook = (id: number, revision: number | undefined) =>
  useQuery({
    ...lookAt(id, revision),
    enabled: revision !== undefined,
    placeholderData: (last) => last,
  });

/** The light of each frame of a shot as it came, in hundredths of a stop. */
export const useLight = (id: number, revision: number, item: string) =>
  useQuery({
    queryKey: ["production", id, "light", revision, item],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/film/look/light", {
          params: { path: { productionId: id }, query: { item } },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });

/** What of a frame of the film lies beyond what may be broadcast. */
export const useBeyond = (id: number, revision: number, frame: number) =>
  useQuery({
    queryKey: ["production", id, "beyond", revision, frame],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/preview/{revision}/frames/{frame}/beyond", {
          params: { path: { productionId: id, revision: String(revision), frame } },
        }),
      ),
    staleTime: Infinity,
  });

export const useVoice = (id: number) =>
  useQuery({
    queryKey: keys.voice(id),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/voice", {
          params: { path: { productionId: id } },
        }),
      ),
  });

export const useMasters = (id: number) =>
  useQuery({
    queryKey: keys.masters(id),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/masters", {
          params: { path: { productionId: id } },
        }),
      ),
  });

export const useServices = () =>
  useQuery({ queryKey: keys.services, queryFn: () => answerTo(api.GET("/api/services")) });

/** The kinds of transitions, and how each is if nothing is said. */
export const useTransitions = () =>
  useQuery({
    queryKey: keys.transitions,
    queryFn: () => answerTo(api.GET("/api/transitions")),
    staleTime: Infinity,
  });

/** The kinds of treatments, what can be said of them, and how each is if nothing is. */
export const useTreatments = () =>
  useQuery({
    queryKey: keys.treatments,
    queryFn: () => answerTo(api.GET("/api/treatments")),
    staleTime: Infinity,
  });

export const useRequests = (id: number) =>
  useQuery({
    queryKey: keys.requests(id),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/requests", {
          params: { path: { productionId: id } },
        }),
      ),
  });

export const useLedger = (id: number) =>
  useQuery({
    queryKey: keys.ledger(id),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/requests/ledger", {
          params: { path: { productionId: id } },
        }),
      ),
  });

/** How a change is made that others may follow at once. */
interface Manner<Body> {
  /**
   * Changes of the same name are sent one after the other; those of "film" after the edits that were
   * made before them, and before later ones.
   */
  inOrder: "film" | "pace" | "sheet";
  /** Shows it before the answer is there; until the last of its name is answered, that stays. */
  shows?: Shows<Body>;
}

interface Shows<Body> {
  /** The queries that show it. */
  queryKey: readonly unknown[];
  write: (body: Body) => void;
}

/** A change that is told when it fails and after which parts of the production are read again. */
export function useChange<Body, Answer = unknown>(
  id: number,
  send: (body: Body) => Promise<Fetched<Answer>>,
  manner?: Manner<Body>,
) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const mutationKey = manner && [manner.inOrder, id];
  return useMutation({
    mutationFn: (body: Body) => answerTo(send(body)),
    ...(manner && { mutationKey, scope: { id: `${manner.inOrder} ${id}` } }),
    ...(manner?.shows && { onMutate: showing(client, manner.shows) }),
    onError: (error) => tell(error.message, "wrong"),
    onSettled: async () => {
      // What is read before the last of them is answered would hide what it shows already.
      if (mutationKey && client.isMutating({ mutationKey }) > 1) return;
      await readAnew(client, keys.production(id));
      await readAnew(client, keys.shelf);
    },
  });
}

/** Shows a change at once: what is being read is of the time before it. */
const showing =
  <Body>(client: QueryClient, { queryKey, write }: Shows<Body>) =>
  async (body: Body) => {
    await client.cancelQueries({ queryKey });
    write(body);
  };

/** Makes a take its shot's pick. */
export const useSetPick = (id: number) =>
  useChange<{ shot: number; take: number }>(id, ({ shot, take }) =>
    api.PATCH("/api/productions/{productionId}/shots/{shotId}", {
      params: { path: { productionId: id, shotId: shot } },
      body: { pick: take, title: null },
    }),
  );
