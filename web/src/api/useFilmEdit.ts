import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useMeeting } from "../parts/meeting";
import { useNotice } from "../parts/notice";
import { useRoom } from "../store";
import { ApiProblem, answerTo, api, stillUrl, type Film } from "./client";
import type { FilmEdit, FilmPath } from "./filmEdits";
import { keys } from "./queries";
import { readAnew } from "./readAnew";

type Asking = FilmEdit | ((film: Film) => FilmEdit | null | Promise<FilmEdit>);

/**
 * Edits of the film, one after the other. Each carries the revision that the answer to the one
 * before it gave, so quick keys never trip over each other. What another window changed meanwhile
 * is brought together by the server; where both changed the same, the person chooses.
 */
export function useFilmEdit(id: number) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const meet = useMeeting((s) => s.meet);
  const whole = { params: { path: { productionId: id } } };
  const send = async (asked: Asking): Promise<Film> => {
    const film =
      client.getQueryData<Film>(keys.film(id)) ??
      (await answerTo(api.GET("/api/productions/{productionId}/film", whole)));
    const edit = typeof asked === "function" ? await asked(film) : asked;
    const sent = typeof edit?.values === "function" ? edit.values(film) : (edit?.values ?? {});
    if (!edit || sent === null) return film;
    const body = { ...sent, revision: film.revision };
    // Each edit's values were checked against its own name; here any of them goes.
    const path = `/api/productions/{productionId}/film/${edit.name}` as FilmPath<"first-cut">;
    const after = await answerTo(api.POST(path, { ...whole, body }));
    // Its still is on its way while the page is drawn anew.
    const { frame, playing } = useRoom.getState();
    if (!playing && after.length > 0) {
      new Image().src = stillUrl(id, after.revision, Math.min(frame, after.length - 1));
    }
    client.setQueryData(keys.film(id), after);
    // Lines may start elsewhere now, and undo may bring another reading back.
    void readAnew(client, keys.voice(id));
    void readAnew(client, keys.history(id));
    return after;
  };
  const change = useMutation({
    scope: { id: `film ${id}` },
    mutationFn: send,
    onError: async (error, asked) => {
      await readAnew(client, keys.film(id));
      if (!(error instanceof ApiProblem && error.isConflict)) {
        tell(error.message, "wrong");
        return;
      }
      const again = () => void send(asked).catch((e: Error) => tell(e.message, "wrong"));
      meet({ says: error.message, again });
    },
  });
  return change.mutateAsync;
}
