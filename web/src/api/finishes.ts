import { useQuery } from "@tanstack/react-query";
import { useChanging } from "./changing";
import { answerTo, api, type Treatment } from "./client";
import { keys } from "./queries";

/** Finishes that can be laid over a film. */
export const useFinishes = () =>
  useQuery({ queryKey: keys.finishes, queryFn: () => answerTo(api.GET("/api/finishes")) });

/** Keeps finishes of the person's own, or takes them off the list. */
export function useKeepFinish() {
  const mutate = useChanging(keys.finishes);
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
