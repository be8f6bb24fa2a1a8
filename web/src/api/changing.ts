import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { readAnew } from "./readAnew";

/** Changes a list of the person's own: what goes wrong is told, and the list is read anew. */
export function useChanging(list: readonly unknown[]) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  return useMutation({
    mutationFn: (act: () => Promise<unknown>) => act(),
    onError: (error) => tell(error.message, "wrong"),
    onSettled: () => readAnew(client, list),
  }).mutate;
}
