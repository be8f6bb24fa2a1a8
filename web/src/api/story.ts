import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { ApiProblem, answerTo, api, type Story } from "./client";
import type { paths } from "./generated/schema";
import { keys } from "./queries";
import { readAnew } from "./readAnew";

const storyKey = (id: number) => [...keys.production(id), "story"] as const;

export const useStory = (id: number) =>
  useQuery({
    queryKey: storyKey(id),
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/story", {
          params: { path: { productionId: id } },
        }),
      ),
  });

export const usePrompts = (id: number, service: string | undefined, revision: number) =>
  useQuery({
    queryKey: [...storyKey(id), "prompts", service, revision],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/story/prompts", {
          params: { path: { productionId: id }, query: { service: service ?? "" } },
        }),
      ),
    enabled: service !== undefined,
    placeholderData: (before) => before,
  });

export const useDrafts = (id: number, seed: number | null, revision: number) =>
  useQuery({
    queryKey: [...storyKey(id), "drafts", seed, revision],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/story/drafts", {
          params: { path: { productionId: id }, query: { seed: seed ?? 0 } },
        }),
      ),
    enabled: seed !== null,
  });

type StoryPath<Name extends string> = `/api/productions/{productionId}/story/${Name}`;
type Method = "PUT" | "POST";

/** The values a change takes, without the revision; never where there is no such change. */
type ValuesOf<Operation> = Operation extends {
  requestBody: { content: { "application/json": infer Body } };
}
  ? Body extends { revision: number }
    ? Omit<Body, "revision">
    : never
  : never;

type ChangesBy<M extends Method> = {
  [P in keyof paths as P extends StoryPath<infer Name> ? Name : never]: ValuesOf<
    paths[P][Lowercase<M> & keyof paths[P]]
  >;
};

/** A change of the story: its address under the story and its values, without the revision. */
export type StoryChange = {
  [M in Method]: {
    [Name in keyof ChangesBy<M>]: [ChangesBy<M>[Name]] extends [never]
      ? never
      : Record<never, never> extends ChangesBy<M>[Name]
        ? { method: M; path: Name; values?: ChangesBy<M>[Name] }
        : { method: M; path: Name; values: ChangesBy<M>[Name] };
  }[keyof ChangesBy<M>];
}[Method];

/** Changes of the story, one after the other, each on the answer to the one before. */
export function useStoryChange(id: number) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const change = useMutation({
    scope: { id: `story-${id}` },
    mutationFn: async ({ method, path, values }: StoryChange) => {
      const revision = client.getQueryData<Story>(storyKey(id))?.revision ?? 0;
      const sent = { params: { path: { productionId: id } }, body: { ...values, revision } };
      // Each change's values were checked against its own address; here any of them goes.
      const at = `/api/productions/{productionId}/story/${path}`;
      const answer: Story = await answerTo(
        method === "PUT"
          ? api.PUT(at as StoryPath<"script">, sent as never)
          : api.POST(at as StoryPath<"cut">, sent as never),
      );
      return answer;
    },
    onSuccess: async (story) => {
      client.setQueryData(storyKey(id), story);
      await readAnew(client, keys.material(id));
      await readAnew(client, keys.voice(id));
      await readAnew(client, keys.history(id));
    },
    onError: async (error) => {
      tell(error.message, "wrong");
      if (error instanceof ApiProblem && error.isConflict) {
        await readAnew(client, storyKey(id));
      }
    },
  });
  return change.mutateAsync;
}

export type ChangeStory = ReturnType<typeof useStoryChange>;
