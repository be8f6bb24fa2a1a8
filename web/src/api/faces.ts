import { useQuery } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { useChanging } from "./changing";
import { answerTo, api, sendFile, type OwnFace } from "./client";
import { keys } from "./queries";

/** The person's own faces, each of their weights and slopes. */
export const useOwnFaces = () =>
  useQuery({
    queryKey: keys.ownFaces,
    queryFn: () => answerTo(api.GET("/api/own-faces")),
  });

/** Brings a face in, or takes a family off the list. */
export function useFaceActions() {
  const tell = useNotice((s) => s.tell);
  const mutate = useChanging(keys.designs);
  return {
    /** Tells which family it is once it is there. */
    bringIn: (file: File, licence: string, onFamily: (family: string) => void) =>
      mutate(async () => {
        const query = new URLSearchParams({ name: file.name, licence });
        const face = (await sendFile(`/api/own-faces?${query}`, file)) as OwnFace;
        tell(`“${face.family}” can be chosen in any production now.`, "said");
        onFamily(face.family);
      }),
    remove: (family: string) =>
      mutate(() => answerTo(api.DELETE("/api/own-faces", { params: { query: { family } } }))),
  };
}
