import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { ApiProblem, call, under, type Draft, type PromptOf, type Story } from "./client";
import { keys } from "./queries";

const storyKey = (id: number) => [...keys.production(id), "story"] as const;

export const useStory = (id: number) =>
  useQuery({
    queryKey: storyKey(id),
    queryFn: () => call<Story>("GET", `${under(id)}/story`),
  });

export const usePrompts = (id: number, service: string | undefined, revision: number) =>
  useQuery({
    queryKey: [...storyKey(id), "prompts", service, revision],
    queryFn: () =>
      call<PromptOf[]>(
        "GET",
        `${under(id)}/story/prompts?service=${encodeURIComponent(service ?? "")}`,
      ),
    enabled: service !== undefined,
    placeholderData: (before) => before,
  });

export const useDrafts = (id: number, seed: number | null, revision: number) =>
  useQuery({
    queryKey: [...storyKey(id), "drafts", seed, revision],
    queryFn: () => call<Draft[]>("GET", `${under(id)}/story/drafts?seed=${seed}`),
    enabled: seed !== null,
  });

/** A change of the story: its address under the story and its values, without the revision. */
export interface StoryChange {
  method: "PUT" | "POST";
  path: string;
  values?: object;
}

/** Changes of the story, one after the other, each on the answer to the one before. */
export function useStoryChange(id: number) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const change = useMutation({
    scope: { id: `story-${id}` },
    mutationFn: async ({ method, path, values }: StoryChange) => {
      const revision = client.getQueryData<Story>(storyKey(id))?.revision ?? 0;
      return call<Story>(method, `${under(id)}/story/${path}`, { ...values, revision });
    },
    onSuccess: async (story) => {
      client.setQueryData(storyKey(id), story);
      await client.invalidateQueries({ queryKey: keys.material(id) });
      await client.invalidateQueries({ queryKey: keys.voice(id) });
    },
    onError: async (error) => {
      tell(error.message, "wrong");
      if (error instanceof ApiProblem && error.isConflict) {
        await client.invalidateQueries({ queryKey: storyKey(id) });
      }
    },
  });
  return change.mutateAsync;
}

export type ChangeStory = ReturnType<typeof useStoryChange>;
