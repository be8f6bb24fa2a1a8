import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useMeeting } from "../parts/meeting";
import { useNotice } from "../parts/notice";
import { useRoom } from "../store";
import {
  ApiProblem,
  call,
  stillUrl,
  under,
  type Asked,
  type Film,
  type LedgerPage,
  type Master,
  type Material,
  type Peaks,
  type Production,
  type Proposal,
  type Service,
  type Song,
  type Version,
  type Voice,
} from "./client";

export const keys = {
  shelf: ["shelf"] as const,
  production: (id: number) => ["production", id] as const,
  material: (id: number) => ["production", id, "material"] as const,
  proposals: (id: number) => ["production", id, "proposals"] as const,
  songs: (id: number) => ["production", id, "songs"] as const,
  peaks: (id: number, song: number) => ["production", id, "peaks", song] as const,
  film: (id: number) => ["production", id, "film"] as const,
  voice: (id: number) => ["production", id, "voice"] as const,
  requests: (id: number) => ["production", id, "requests"] as const,
  ledger: (id: number) => ["production", id, "ledger"] as const,
  services: ["services"] as const,
  masters: (id: number) => ["production", id, "masters"] as const,
};

export const useShelf = () =>
  useQuery({ queryKey: keys.shelf, queryFn: () => call<Production[]>("GET", "/api/productions") });

export const useProduction = (id: number) =>
  useQuery({
    queryKey: [...keys.production(id), "self"],
    queryFn: () => call<Production>("GET", under(id)),
  });

/** The ways to cut a film at a revision; worked out when asked for. */
export const useProposals = (id: number, revision: number, everything: boolean, pool: boolean) =>
  useQuery({
    queryKey: [...keys.proposals(id), revision, everything, pool],
    queryFn: () =>
      call<Proposal[]>("GET", `${under(id)}/film/proposals?everything=${everything}&pool=${pool}`),
    placeholderData: keepPreviousData,
    retry: false,
  });

/** Asks the service that made a take for it again: going on for longer, or larger. */
export const useAskAgain = (id: number) =>
  useChange<{ path: "extend" | "enlarge"; body: { take: number; seconds?: number } }>(
    id,
    ({ path, body }) => ({ method: "POST", path: `${under(id)}/requests/${path}`, body }),
  );

/** Draws how quickly the sections of a song are to move; none to follow its energy. */
export function useDrawPace(id: number, song: number) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  return useMutation({
    mutationFn: (speeds: readonly number[]) =>
      call("PUT", `${under(id)}/songs/${song}/pace`, { speeds }),
    onMutate: (speeds) => {
      client.setQueryData<Song[]>(keys.songs(id), (songs) =>
        songs?.map((s) => (s.id === song ? { ...s, pace: [...speeds] } : s)),
      );
    },
    onError: (error) => tell(error.message, "wrong"),
    onSettled: () =>
      Promise.all([
        client.invalidateQueries({ queryKey: keys.songs(id) }),
        client.invalidateQueries({ queryKey: keys.proposals(id) }),
      ]),
  });
}

/** The film's versions, compared with it as it is. */
export const useVersions = (id: number, revision: number) =>
  useQuery({
    queryKey: [...keys.film(id), "versions", revision],
    queryFn: () => call<Version[]>("GET", `${under(id)}/film/versions`),
  });

export const useMaterial = (id: number) =>
  useQuery({
    queryKey: keys.material(id),
    queryFn: () => call<Material>("GET", `${under(id)}/material`),
  });

export const useSongs = (id: number) =>
  useQuery({ queryKey: keys.songs(id), queryFn: () => call<Song[]>("GET", `${under(id)}/songs`) });

export const usePeaks = (id: number, song: number | null | undefined) =>
  useQuery({
    queryKey: keys.peaks(id, song ?? 0),
    queryFn: () => call<Peaks>("GET", `${under(id)}/songs/${song}/peaks`),
    enabled: song != null,
    staleTime: Infinity,
  });

export const useFilm = (id: number) =>
  useQuery({ queryKey: keys.film(id), queryFn: () => call<Film>("GET", `${under(id)}/film`) });

export const useVoice = (id: number) =>
  useQuery({ queryKey: keys.voice(id), queryFn: () => call<Voice>("GET", `${under(id)}/voice`) });

export const useMasters = (id: number) =>
  useQuery({
    queryKey: keys.masters(id),
    queryFn: () => call<Master[]>("GET", `${under(id)}/masters`),
  });

export const useServices = () =>
  useQuery({ queryKey: keys.services, queryFn: () => call<Service[]>("GET", "/api/services") });

export const useRequests = (id: number) =>
  useQuery({
    queryKey: keys.requests(id),
    queryFn: () => call<Asked[]>("GET", `${under(id)}/requests`),
  });

export const useLedger = (id: number) =>
  useQuery({
    queryKey: keys.ledger(id),
    queryFn: () => call<LedgerPage>("GET", `${under(id)}/requests/ledger`),
  });

/** A change that is told when it fails and after which parts of the production are read again. */
export function useChange<Body>(
  id: number,
  request: (body: Body) => { method: string; path: string; body?: unknown },
) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  return useMutation({
    mutationFn: (body: Body) => {
      const { method, path, body: sent } = request(body);
      return call<unknown>(method, path, sent);
    },
    onError: (error) => tell(error.message, "wrong"),
    onSettled: async () => {
      await client.invalidateQueries({ queryKey: keys.production(id) });
      await client.invalidateQueries({ queryKey: keys.shelf });
    },
  });
}

/** Makes a take its shot's pick. */
export const useSetPick = (id: number) =>
  useChange<{ shot: number; take: number }>(id, ({ shot, take }) => ({
    method: "PATCH",
    path: `${under(id)}/shots/${shot}`,
    body: { pick: take },
  }));

/**
 * An edit of the film: its name in the API and its values, without the revision. Values, or the
 * whole edit, that are a function are worked out when the edits before have been answered; null
 * means no edit.
 */
export interface FilmEdit {
  name: string;
  values?: object | ((film: Film) => object | null);
}

type Asking = FilmEdit | ((film: Film) => FilmEdit | null);

/**
 * Edits of the film, one after the other. Each carries the revision that the answer to the one
 * before it gave, so quick keys never trip over each other. What another window changed meanwhile
 * is brought together by the server; where both changed the same, the person chooses.
 */
export function useFilmEdit(id: number) {
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const meet = useMeeting((s) => s.meet);
  const send = async (asked: Asking): Promise<Film> => {
    const film =
      client.getQueryData<Film>(keys.film(id)) ?? (await call<Film>("GET", `${under(id)}/film`));
    const edit = typeof asked === "function" ? asked(film) : asked;
    const sent = typeof edit?.values === "function" ? edit.values(film) : (edit?.values ?? {});
    if (!edit || sent === null) return film;
    const body = { ...sent, revision: film.revision };
    const after = await call<Film>("POST", `${under(id)}/film/${edit.name}`, body);
    // Its still is on its way while the page is drawn anew.
    const { frame, playing } = useRoom.getState();
    if (!playing && after.length > 0) {
      new Image().src = stillUrl(id, after.revision, Math.min(frame, after.length - 1));
    }
    client.setQueryData(keys.film(id), after);
    // Lines may start elsewhere now, and undo may bring another reading back.
    void client.invalidateQueries({ queryKey: keys.voice(id) });
    return after;
  };
  const change = useMutation({
    scope: { id: `film-${id}` },
    mutationFn: send,
    onError: async (error, asked) => {
      await client.invalidateQueries({ queryKey: keys.film(id) });
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
