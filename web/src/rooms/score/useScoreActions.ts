import { useMemo } from "react";
import {
  type Film,
  type Framing,
  type Material,
  type Pace,
  type Production,
} from "../../api/client";
import { useFilmEdit, useSetPick } from "../../api/queries";
import { useRoom } from "../../store";
import type { WordEdge } from "./words";
import { inLimits, nudged, stepped, tied, type TieTo } from "./cuts";

const FRAMINGS: readonly Framing[] = ["FIT", "FILL", "SOFT"];

/**
 * Everything that can be done to the film in the Score, for keys, buttons and the mouse alike. What
 * is relative ("one beat later") is worked out on the film as the edits before it have left it, so
 * a key pressed three times moves three beats.
 */
export function useScoreActions(id: Production["id"], material: Material | undefined) {
  const edit = useFilmEdit(id);
  const { mutateAsync: setPick } = useSetPick(id);
  return useMemo(() => {
    const room = () => useRoom.getState();
    const run = (name: string, values: object | ((film: Film) => object | null) = {}) =>
      edit({ name, values }).catch(() => undefined);

    /** The selected cut: a joint's number, or null. */
    const cut = (): number | null => {
      const { place, end } = room();
      if (place === null) return null;
      const joint = end === "in" ? place : place + 1;
      return joint === 0 ? null : joint;
    };
    const moveCut = (joint: number | null, to: (film: Film, joint: number) => object | null) => {
      if (joint !== null) void run("move-joint", (film) => to(film, joint));
    };
    const chooseTake = async (place: number, shot: number, take: number) => {
      await setPick({ shot, take }).catch(() => undefined);
      await run("choose-take", { place, takeId: take });
    };
    const slip = (place: number, to: (at: number) => number) =>
      void run("slip", (film) => {
        const shot = film.shots[place];
        if (!shot) return null;
        const most = Math.max(0, shot.material - (shot.end - shot.start));
        const at = Math.max(0, Math.min(most, Math.round(to(shot.in))));
        return at === shot.in ? null : { place, in: at };
      });

    return {
      toBeat: (joint: number, beat: number) =>
        void run("move-joint", { joint, beat, offset: 0, frame: 0 }),
      toWord: (joint: number, { line, word, edge }: WordEdge) =>
        void run("move-joint", {
          joint,
          beat: null,
          word: { line, word, edge },
          offset: 0,
          frame: 0,
        }),
      toFrame: (joint: number, frame: number) =>
        moveCut(joint, (film) => ({
          joint,
          beat: null,
          offset: 0,
          frame: inLimits(film, joint, frame),
        })),
      /** Moves a cut to the beat before or after where it is. */
      step: (direction: 1 | -1, joint = cut()) =>
        moveCut(joint, (film, j) => stepped(film, j, direction)),
      /** Moves a cut by frames; a tied one keeps its beat and the distance from it. */
      nudge: (by: number, joint = cut()) => moveCut(joint, (film, j) => nudged(film, j, by)),
      tie: (to: TieTo, joint = cut()) => moveCut(joint, (film, j) => tied(film, j, to)),
      slipTo: (place: number, to: number) => slip(place, () => to),
      slipBy: (place: number, by: number) => slip(place, (at) => at + by),
      chooseTake: (place: number, shot: number, take: number) => chooseTake(place, shot, take),
      nextTake: async (film: Film, place: number, direction: 1 | -1) => {
        const shot = film.shots[place];
        const takes = material?.shots
          .find((s) => s.id === shot?.shotId)
          ?.takes.filter((t) => t.state === "READY");
        if (!shot || !takes || takes.length < 2) return;
        const now = takes.findIndex((t) => t.id === shot.takeId);
        const next = takes[(now + direction + takes.length) % takes.length];
        if (next) await chooseTake(place, shot.shotId, next.id);
      },
      setFraming: (place: number, framing: Framing) => void run("set-framing", { place, framing }),
      nextFraming: (place: number) =>
        void run("set-framing", (film) => {
          const now = FRAMINGS.indexOf(film.shots[place]?.framing ?? "FIT");
          return { place, framing: FRAMINGS[(now + 1) % FRAMINGS.length] };
        }),
      toggleLock: (place: number) =>
        void run("set-lock", (film) => ({ place, locked: !film.shots[place]?.locked })),
      move: async (from: number, to: number) => {
        room().set({ place: to });
        await run("move-shot", (film) =>
          to < 0 || to >= film.shots.length || to === from ? null : { from, to },
        );
      },
      remove: async (place: number) => {
        room().set({ place: null });
        await run("remove", { place });
      },
      bringBack: (shotId: number) => void run("bring-back", { shotId }),
      setSong: (startSeconds: number, fade: number) => void run("set-song", { startSeconds, fade }),
      cutAgain: async (everything: boolean, pace: Pace) => {
        room().set({ place: null });
        await run("first-cut", { everything, pace });
      },
      undo: () => void run("undo", (film) => (film.undo === "" ? null : {})),
      redo: () => void run("redo", (film) => (film.redo === "" ? null : {})),
    };
  }, [edit, setPick, material]);
}

export type ScoreActions = ReturnType<typeof useScoreActions>;
