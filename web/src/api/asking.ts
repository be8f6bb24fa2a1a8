import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { plural } from "../parts/words";
import { answerTo, api, type AskedFor, type Fetched, type SentRequests } from "./client";
import { keys } from "./queries";
import { readAnew } from "./readAnew";

const params = (id: number) => ({ params: { path: { productionId: id } } });

/** What it would cost to ask for takes of some shots; none while no shot is meant. */
export const useEstimate = (id: number, asked: AskedFor) =>
  useQuery({
    queryKey: [...keys.requests(id), "estimate", asked],
    queryFn: () =>
      answerTo(
        api.POST("/api/productions/{productionId}/requests/estimate", {
          ...params(id),
          body: asked,
        }),
      ),
    enabled: asked.shots.length > 0,
    placeholderData: keepPreviousData,
  });

/** What it would cost to let a take go on for so many seconds. */
export const useExtensionEstimate = (id: number, take: number, seconds: number, wanted: boolean) =>
  useQuery({
    queryKey: [...keys.requests(id), "extension", take, seconds],
    queryFn: () =>
      answerTo(
        api.POST("/api/productions/{productionId}/requests/extend/estimate", {
          ...params(id),
          body: { take, seconds },
        }),
      ),
    enabled: wanted,
    placeholderData: keepPreviousData,
    retry: false,
  });

/** What a take twice as large would cost. */
export const useEnlargementEstimate = (id: number, take: number, wanted: boolean) =>
  useQuery({
    queryKey: [...keys.requests(id), "enlargement", take],
    queryFn: () =>
      answerTo(
        api.POST("/api/productions/{productionId}/requests/enlarge/estimate", {
          ...params(id),
          body: { take },
        }),
      ),
    enabled: wanted,
    retry: false,
  });

/** Puts requests to services, and says what of them was not sent and why. */
function useAsk<Body>(id: number, send: (body: Body) => Promise<Fetched<SentRequests>>) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  return useMutation({
    mutationFn: (body: Body) => answerTo(send(body)),
    onSuccess: ({ count, message }) => {
      if (message !== "") tell(`${plural(count, "request")} sent. ${message}`, "wrong");
    },
    onError: (error) => tell(error.message, "wrong"),
    onSettled: () => {
      void readAnew(client, keys.requests(id));
      void readAnew(client, keys.services);
    },
  });
}

/** Asks a service for takes of shots. */
export const useAskForTakes = (id: number) =>
  useAsk<AskedFor>(id, (body) =>
    api.POST("/api/productions/{productionId}/requests", { ...params(id), body }),
  );

/** Asks the service that made a take to let it go on for longer. */
export const useExtend = (id: number) =>
  useAsk<{ take: number; seconds: number }>(id, (body) =>
    api.POST("/api/productions/{productionId}/requests/extend", { ...params(id), body }),
  );

/** Asks the service that made a take for it twice as large. */
export const useEnlarge = (id: number) =>
  useAsk<{ take: number }>(id, (body) =>
    api.POST("/api/productions/{productionId}/requests/enlarge", { ...params(id), body }),
  );
