import { keepPreviousData, useQueries, useQuery, useQueryClient } from "@tanstack/react-query";
import {
  answerTo,
  api,
  type Finding,
  type Output,
  type OutputSaid,
  type Receipt,
  type Sheet,
  type SheetForm,
} from "./client";
import { keys, useChange } from "./queries";

/** Whether a master is on its way. */
export const isOpen = (state: string) => ["WAITING", "RENDERING", "CHECKING"].includes(state);

const outputsKey = (id: number) => [...keys.masters(id), "outputs"];

const sheetKey = (id: number) => [...keys.production(id), "release"];

/** What a production delivers, as its film is now. */
export const useOutputs = (id: number) =>
  useQuery({
    queryKey: outputsKey(id),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/outputs", {
          params: { path: { productionId: id } },
        }),
      ),
  });

const output = (productionId: number, id: number) => ({ params: { path: { productionId, id } } });

export function useOutputActions(id: number) {
  const client = useQueryClient();
  // What is rendered is the film as it was edited until then.
  const inOrder = "film";
  const change = useChange<{ id: number; said: OutputSaid }>(
    id,
    ({ id: one, said }) =>
      api.PUT("/api/productions/{productionId}/outputs/{id}", { ...output(id, one), body: said }),
    {
      inOrder,
      shows: {
        queryKey: outputsKey(id),
        write: ({ id: one, said }) =>
          client.setQueryData<Output[]>(outputsKey(id), (all) =>
            all?.map((o) => (o.id === one ? { ...o, said } : o)),
          ),
      },
    },
  );
  const add = useChange<OutputSaid>(id, (said) =>
    api.POST("/api/productions/{productionId}/outputs", {
      params: { path: { productionId: id } },
      body: said,
    }),
  );
  const remove = useChange<number>(id, (one) =>
    api.DELETE("/api/productions/{productionId}/outputs/{id}", output(id, one)),
  );
  const render = useChange<number>(
    id,
    (one) => api.POST("/api/productions/{productionId}/outputs/{id}/render", output(id, one)),
    { inOrder },
  );
  const renderTicked = useChange<void>(
    id,
    () =>
      api.POST("/api/productions/{productionId}/outputs/render", {
        params: { path: { productionId: id } },
      }),
    { inOrder },
  );
  const cancel = useChange<number>(id, (master) =>
    api.POST("/api/productions/{productionId}/masters/{id}/cancel", output(id, master)),
  );
  const measure = useChange<number>(id, (one) =>
    api.POST("/api/productions/{productionId}/outputs/{id}/measure", output(id, one)),
  );
  const first = useChange<number>(id, (master) =>
    api.POST("/api/productions/{productionId}/masters/{id}/first", output(id, master)),
  );
  return { change, add, remove, render, renderTicked, cancel, first, measure };
}

/** The segments of a master that is rendered, read again while it is. */
export const useSegments = (id: number, master: number) =>
  useQuery({
    queryKey: [...keys.masters(id), "segments", master],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/masters/{id}/segments", output(id, master)),
      ),
    refetchInterval: 1500,
  });

export type CheckGroup = "FILM" | "PICTURES" | "SOUND";

const GROUPS: readonly CheckGroup[] = ["FILM", "PICTURES", "SOUND"];

export interface Told extends Finding {
  group: CheckGroup;
}

/** What is told of a film at a revision, and what is still looked at. */
export function useChecks(id: number, revision: number) {
  const read = useQueries({
    queries: GROUPS.map((group) => ({
      queryKey: [...keys.production(id), "checks", group, revision],
      queryFn: () =>
        answerTo(
          api.GET("/api/productions/{productionId}/film/checks", {
            params: { path: { productionId: id }, query: { group } },
          }),
        ),
      // Pictures are looked at a few seconds at a time.
      refetchInterval: (query: { state: { data?: { done: number; of: number } | undefined } }) =>
        query.state.data && query.state.data.done < query.state.data.of ? 50 : (false as const),
      staleTime: Infinity,
    })),
  });
  const findings = read.flatMap((one, i) =>
    (one.data?.findings ?? []).map((f): Told => ({ ...f, group: GROUPS[i] ?? "FILM" })),
  );
  const pictures = read[1]?.data;
  const looking =
    !pictures || pictures.done < pictures.of
      ? `looking at the pictures${pictures ? `, ${pictures.done} of ${pictures.of}` : ""}`
      : read[2]?.isPending
        ? "listening to the mix"
        : null;
  return { findings, looking, failed: read.find((one) => one.error)?.error ?? null };
}

export const useMend = (id: number) =>
  useChange<{ revision: number; group: CheckGroup; key: string; way: number }>(id, (body) =>
    api.POST("/api/productions/{productionId}/film/checks/mend", {
      params: { path: { productionId: id } },
      body,
    }),
  );

/** The release sheet, with what follows from the film at a revision. */
export const useRelease = (id: number, revision: number) =>
  useQuery({
    queryKey: [...sheetKey(id), revision],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/release", {
          params: { path: { productionId: id } },
        }),
      ),
    placeholderData: keepPreviousData,
  });

export function useWriteSheet(id: number) {
  const client = useQueryClient();
  return useChange<SheetForm>(
    id,
    (body) =>
      api.PUT("/api/productions/{productionId}/release", {
        params: { path: { productionId: id } },
        body,
      }),
    {
      inOrder: "sheet",
      shows: {
        queryKey: sheetKey(id),
        write: (sheet) =>
          client.setQueriesData<Sheet>(
            { queryKey: sheetKey(id) },
            (view) => view && { ...view, sheet },
          ),
      },
    },
  );
}

export const useHandOver = (id: number) =>
  useChange<void, Receipt>(
    id,
    () =>
      api.POST("/api/productions/{productionId}/release/hand-over", {
        params: { path: { productionId: id } },
      }),
    { inOrder: "sheet" },
  );

/** Pictures of a film that do as thumbnails. */
export const useThumbnails = (id: number, revision: number) =>
  useQuery({
    queryKey: [...keys.production(id), "thumbnails", revision],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/film/thumbnails", {
          params: { path: { productionId: id } },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
