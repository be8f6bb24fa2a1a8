import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { answerTo, api, type History } from "./client";
import { keys } from "./queries";
import { readAnew } from "./readAnew";

/** What undo would take back and redo do again, in whichever room it was done. */
export const useHistory = (id: number) =>
  useQuery({ queryKey: keys.history(id), queryFn: () => read(id) });

const read = (id: number): Promise<History> =>
  answerTo(
    api.GET("/api/productions/{productionId}/history", {
      params: { path: { productionId: id } },
    }),
  );

/** Milliseconds in which a second press takes back what somebody else did. */
const MEANT = 6_000;
let asked = { step: 0, at: 0 };

/** Takes the last thing done in a production back, or does it again, and says which it was. */
export function useSteps(id: number) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const { mutate } = useMutation({
    // After the edits that are still on their way.
    scope: { id: `film ${id}` },
    mutationFn: async (way: "undo" | "redo") => {
      const step = (await read(id))[way];
      if (!step) return "";
      const meant = asked.step === step.step && Date.now() - asked.at < MEANT;
      if (step.theirs && !meant) {
        asked = { step: step.step, at: Date.now() };
        return `“${step.label}” was done in another browser; once more ${way}es it all the same.`;
      }
      const now = await answerTo(
        api.POST(`/api/productions/{productionId}/history/${way}`, {
          params: { path: { productionId: id } },
          body: { step: step.step },
        }),
      );
      client.setQueryData(keys.history(id), now);
      return `${way === "undo" ? "Taken back" : "Done again"}: ${step.label}.`;
    },
    onSuccess: (says) => says !== "" && tell(says),
    onError: (error) => tell(error.message, "wrong"),
    onSettled: () => readAnew(client, keys.production(id)),
  });
  return { undo: () => mutate("undo"), redo: () => mutate("redo") };
}
