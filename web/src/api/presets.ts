import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { answerTo, api, type OutputSaid } from "./client";

const PRESETS = ["presets"] as const;

/** What outputs of any production begin with. */
export const usePresets = () =>
  useQuery({ queryKey: PRESETS, queryFn: () => answerTo(api.GET("/api/presets")) });

/** The ways in which this machine writes outputs. */
export const useEncodings = () =>
  useQuery({
    queryKey: ["encodings"],
    queryFn: () => answerTo(api.GET("/api/encodings")),
    staleTime: Infinity,
  });

/** Presets kept, written as documents, thrown away. */
export function usePresetActions() {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const manner = {
    onError: (error: Error) => tell(error.message, "wrong"),
    onSettled: () => client.invalidateQueries({ queryKey: PRESETS }),
  };
  const keep = useMutation({
    mutationFn: (body: { name: string; said: OutputSaid }) =>
      answerTo(api.POST("/api/presets", { body })),
    ...manner,
  });
  const write = useMutation({
    mutationFn: (text: string) => answerTo(api.POST("/api/presets/document", { body: { text } })),
    ...manner,
  });
  const remove = useMutation({
    mutationFn: (id: number) =>
      answerTo(api.DELETE("/api/presets/{id}", { params: { path: { id } } })),
    ...manner,
  });
  return { keep, write, remove };
}
