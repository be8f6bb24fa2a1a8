import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { answerTo, api, type Treatment } from "./client";
import { keys } from "./queries";
import { readAnew } from "./readAnew";

/** Finishes that can be laid over a film. */
export const useFinishes = () =>
  useQuery({ queryKey: keys.finishes, queryFn: () => answerTo(api.GET("/api/finishes")) });

/** Keeps finishes of the person's own, or takes them off the list. */
export function useKeepFinish() {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const { mutate } = useMutation({
    mutationFn: (act: () => Promise<unknown>) => act(),
    onError: (error) => tell(error.message, "wrong"),
    onSettled: () => readAnew(client, keys.finishes),
  });
  return {
    save: (name: string, treatments: readonly Treatment[]) =>
      mutate(() =>
        answerTo(
          api.POST("/api/finishes", { body: { name, says: "", treatments: [...treatments] } }),
        ),
      ),
    bringIn: (file: string, text: string) =>
      mutate(() => answerTo(api.POST("/api/finishes/bring-in", { body: { file, text } }))),
    remove: (id: number) =>
      mutate(() => answerTo(api.DELETE("/api/finishes/{id}", { params: { path: { id } } }))),
  };
}
