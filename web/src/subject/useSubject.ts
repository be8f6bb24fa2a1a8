import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answerTo, api, under } from "../api/client";
import { keys, useChange } from "../api/queries";
import { saysWhere, type DrawnGuide } from "./strokes";

const WATCHED_EVERY = 1000;

/** The subject of a take, read again while it is being cut out. */
export function useSubject(productionId: number, takeId: number) {
  const params = { path: { productionId, takeId } };
  const view = useQuery({
    queryKey: [...keys.material(productionId), "subject", takeId],
    queryFn: () =>
      answerTo(api.GET("/api/productions/{productionId}/takes/{takeId}/subject", { params })),
    refetchInterval: (query) => (query.state.data?.work?.failed === false ? WATCHED_EVERY : false),
  });
  const cut = useChange<DrawnGuide[]>(productionId, (guides) =>
    api.POST("/api/productions/{productionId}/takes/{takeId}/subject", {
      params,
      body: { guides },
    }),
  );
  const away = useChange<void>(productionId, () =>
    api.DELETE("/api/productions/{productionId}/takes/{takeId}/subject", { params }),
  );
  return { view: view.data, cut, away };
}

/** What the strokes on a picture find there, as a picture that is light where the subject is. */
export const useOutline = (productionId: number, takeId: number, guide: DrawnGuide) =>
  useQuery({
    queryKey: [...keys.material(productionId), "outline", takeId, guide],
    queryFn: () =>
      answerTo(
        api.POST("/api/productions/{productionId}/takes/{takeId}/subject/outline", {
          params: { path: { productionId, takeId } },
          body: guide,
        }),
      ),
    enabled: saysWhere(guide.strokes),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });

/** A picture of what was cut out; another file has another address. */
export const cutUrl = (production: number, take: number, cut: string, frame: number) =>
  `${under(production)}/takes/${take}/subject/frames/${frame}.jpg?height=450&of=${cut.slice(0, 12)}`;
