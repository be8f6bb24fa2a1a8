import { useQuery } from "@tanstack/react-query";
import { answerTo, api } from "../../api/client";
import type { components } from "../../api/generated/schema";
import { keys, useChange } from "../../api/queries";

/** A box of a picture, in parts of its width and height. */
export type Place = components["schemas"]["FilledPlace"];
export type RepairKind = components["schemas"]["WantedRepair"]["kind"];

const WATCHED_EVERY = 1000;

/** Other takes made of one with something put right: what is at work or failed, and the asking. */
export function useRepairs(productionId: number, takeId: number) {
  const path = { productionId, takeId };
  const repairs = useQuery({
    queryKey: [...keys.material(productionId), "repairs", takeId],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/takes/{takeId}/repairs", { params: { path } }),
      ),
    refetchInterval: (query) =>
      query.state.data?.some((r) => !r.work.failed) === true ? WATCHED_EVERY : false,
  }).data;
  const ask = useChange<{ kind: RepairKind; boxes?: Place[] | null; strength?: number }>(
    productionId,
    ({ kind, boxes, strength }) =>
      api.POST("/api/productions/{productionId}/takes/{takeId}/repairs", {
        params: { path },
        body: { kind, boxes: boxes ?? null, strength: strength ?? null },
      }),
  );
  const stop = useChange<number>(productionId, (id) =>
    api.DELETE("/api/productions/{productionId}/repairs/{id}", {
      params: { path: { productionId, id } },
    }),
  );
  const one = repairs?.[0];
  return {
    working: one && !one.work.failed ? one : undefined,
    failed: one?.work.failed === true ? one : undefined,
    ask: ask.mutate,
    stop: stop.mutate,
  };
}
