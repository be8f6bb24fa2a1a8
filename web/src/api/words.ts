import { keepPreviousData, useQueries, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNotice } from "../parts/notice";
import { useChanging } from "./changing";
import { answerTo, api, type Title, type TitleSight } from "./client";
import { keys } from "./queries";
import { readAnew } from "./readAnew";

/** A film's titles, and its captions in a language and a shape, at a revision. */
export const useWords = (
  id: number,
  revision: number | undefined,
  language: string,
  shape: string | null,
) =>
  useQuery({
    queryKey: [...keys.words(id, revision), language, shape],
    queryFn: () =>
      answerTo(
        api.GET("/api/productions/{productionId}/film/words", {
          params: {
            path: { productionId: id },
            query: { language, ...(shape === null ? {} : { shape }) },
          },
        }),
      ),
    enabled: revision !== undefined,
    placeholderData: keepPreviousData,
  });

/** What titles can be made of. */
export const useWordChoices = () =>
  useQuery({
    queryKey: keys.designs,
    queryFn: () => answerTo(api.GET("/api/title-designs")),
    staleTime: Infinity,
  });

/** Whether a family is a picture that stands in place of words. */
export const useIsLogotype = (family: string) =>
  useWordChoices().data?.families.some((f) => f.name === family && f.logotype) ?? false;

/** Keeps how a title is made to begin others with, or takes such a design off the list. */
export function useKeepDesign() {
  const tell = useNotice((s) => s.tell);
  const mutate = useChanging(keys.designs);
  return {
    keep: (production: number, title: string, name: string) =>
      mutate(() =>
        answerTo(api.POST("/api/title-designs", { body: { production, title, name } })).then(() =>
          tell(`“${name.trim()}” is among the designs of new titles.`, "said"),
        ),
      ),
    remove: (name: string) =>
      mutate(() => answerTo(api.DELETE("/api/title-designs", { params: { query: { name } } }))),
  };
}

/** Where a title stands in a shape; in the film's own where nothing else is said. */
export function boxIn(boxes: Title["boxes"], shape: string | null) {
  return (
    boxes.find((b) => b.shape === shape) ?? boxes[0] ?? { shape: "", x: 500, y: 500, width: 800 }
  );
}

/** What was seen of a title, and where its box stood then; in thousandths of the picture. */
interface Seen {
  sight: TitleSight;
  x: number;
  y: number;
}

/** What was seen, were the title's box elsewhere. */
function carried({ sight, x, y }: Seen, to: { x: number; y: number }): TitleSight {
  const dx = to.x - x;
  const dy = to.y - y;
  if (dx === 0 && dy === 0) return sight;
  const by = <B extends { x: number; y: number }>(box: B) => ({
    ...box,
    x: box.x + dx,
    y: box.y + dy,
  });
  return {
    ...sight,
    area: by(sight.area),
    letters: sight.letters.map((letter) => ({ ...letter, box: by(letter.box) })),
  };
}

/**
 * Whether titles can be read where they stand, by their ids; those never measured are left out.
 * While one is measured anew, what was seen of it last goes along with its box.
 */
export function useSights(
  id: number,
  revision: number,
  titles: readonly Title[],
  shape: string | null,
) {
  const client = useQueryClient();
  const placed = titles.filter((t) => t.place != null);
  const found = useQueries({
    queries: placed.map((title) => ({
      queryKey: [...keys.words(id, revision), "sight", title.id, shape],
      queryFn: async (): Promise<Seen> => {
        const { x, y } = boxIn(title.boxes, shape);
        const sight = await answerTo(
          api.GET("/api/productions/{productionId}/film/titles/{title}/sight", {
            params: {
              path: { productionId: id, title: title.id },
              query: shape === null ? {} : { shape },
            },
          }),
        );
        return { sight, x, y };
      },
      placeholderData: () =>
        client
          .getQueriesData<Seen>({
            queryKey: keys.wordsOf(id),
            predicate: ({ queryKey }) =>
              queryKey[4] === "sight" && queryKey[5] === title.id && queryKey[6] === shape,
          })
          .findLast(([, seen]) => seen !== undefined)?.[1],
      staleTime: Infinity,
    })),
  });
  return new Map(
    placed.flatMap((title, i) => {
      const seen = found[i]?.data;
      return seen ? [[title.id, carried(seen, boxIn(title.boxes, shape))] as const] : [];
    }),
  );
}

/** Brings captions in from a file, and tells what was put right in it. */
export function useBringCaptions(id: number) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  return async (revision: number, language: string, file: File) => {
    const bytes = new Uint8Array(await file.arrayBuffer());
    let binary = "";
    for (const byte of bytes) binary += String.fromCharCode(byte);
    try {
      const { mended } = await answerTo(
        api.POST("/api/productions/{productionId}/film/bring-captions", {
          params: { path: { productionId: id } },
          body: { revision, language, name: file.name, content: btoa(binary) },
        }),
      );
      if (mended.length > 0) tell(`${file.name}: ${mended.join("; ")}.`, "said");
    } catch (error) {
      tell((error as Error).message, "wrong");
    }
    await readAnew(client, keys.production(id));
  };
}
