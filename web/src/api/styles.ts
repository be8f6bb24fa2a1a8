import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { answerTo, api } from "./client";
import { keys, useChange } from "./queries";

const STYLES = ["styles"] as const;

/** What channels' films have in common, of all channels. */
export const useStyles = () =>
  useQuery({ queryKey: STYLES, queryFn: () => answerTo(api.GET("/api/styles")) });

const path = (productionId: number) => ({ params: { path: { productionId } } });

/** The style a production has taken. */
export const useTakenStyle = (id: number) =>
  useQuery({
    queryKey: [...keys.production(id), "style"],
    queryFn: () => answerTo(api.GET("/api/productions/{productionId}/style", path(id))),
  });

/** Gives a production a style. */
export const takeStyle = (id: number, style: number, revision: number) =>
  api.POST("/api/productions/{productionId}/style/take", {
    ...path(id),
    body: { style, revision },
  });

/** Styles kept of a production, taken by it, left, brought in, thrown away. */
export function useStyleActions(id: number) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const again = () => client.invalidateQueries({ queryKey: STYLES });
  const keep = useChange<string>(id, async (name) => {
    const kept = await api.POST("/api/productions/{productionId}/style/keep", {
      ...path(id),
      body: { name },
    });
    await again();
    return kept;
  });
  const take = useChange<{ style: number; revision: number }>(id, ({ style, revision }) =>
    takeStyle(id, style, revision),
  );
  const leave = useChange<void>(id, () =>
    api.DELETE("/api/productions/{productionId}/style", path(id)),
  );
  const manner = {
    onError: (error: Error) => tell(error.message, "wrong"),
    onSettled: async () => {
      await again();
      await client.invalidateQueries({ queryKey: [...keys.production(id), "style"] });
    },
  };
  const bringIn = useMutation({
    mutationFn: (text: string) => answerTo(api.POST("/api/styles/document", { body: { text } })),
    ...manner,
  });
  const remove = useMutation({
    mutationFn: (style: number) =>
      answerTo(api.DELETE("/api/styles/{id}", { params: { path: { id: style } } })),
    ...manner,
  });
  return { keep, take, leave, bringIn, remove };
}
