import { useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import {
  type CameraPath,
  type ClipSound,
  type Film,
  type Focus,
  type Framing,
  type Lie,
  type Mask,
  type Material,
  type Matte,
  type Mixing,
  type Moment,
  type Pace,
  type Passing,
  type Placed,
  type ProblemKind,
  type Production,
  type Remedy,
  type Run,
  type Treatment,
} from "../../api/client";
import type { EditName, EditValues, FilmEdit } from "../../api/filmEdits";
import { keys } from "../../api/queries";
import { useFilmEdit } from "../../api/useFilmEdit";
import { PLAIN, aBeatMore, dissolve } from "./passings";
import { nearestBeat } from "../../parts/time";
import { chosenPlaces, useRoom } from "../../store";
import { copiesOf, copyOf } from "./copies";
import {
  freeAt,
  inLimits,
  momentAt,
  nudged,
  onBeat,
  stepped,
  tied,
  type Limits,
  type TieTo,
} from "./cuts";
import { editFor, jointFor, limitsFor, type Manner, type Side } from "./manner";
import { readAnew } from "../../api/readAnew";

const FRAMINGS: readonly Framing[] = ["FIT", "FILL", "SOFT"];

/** How a shot that lies over the cut is changed. */
export interface OverlayChange {
  layer?: number;
  lie?: Lie;
  mixing?: Mixing;
  in?: number;
  run?: Run;
  framing?: Framing;
  locked?: boolean;
  start?: Moment;
  end?: Moment;
}

/**
 * Everything that can be done to the film in the Score, for keys, buttons and the mouse alike. What
 * is relative ("one beat later") is worked out on the film as the edits before have left it, so a
 * key pressed three times moves three beats.
 */
export function useScoreActions(id: Production["id"], material: Material | undefined) {
  const edit = useFilmEdit(id);
  const client = useQueryClient();
  return useMemo(() => {
    const room = () => useRoom.getState();
    const run = <N extends EditName>(
      name: N,
      values: EditValues<N> | ((film: Film) => EditValues<N> | null),
    ) => edit({ name, values } as unknown as FilmEdit).catch(() => undefined);

    /** The selected cut, by its joint and the side it is held by; null without one. */
    const cut = (): { joint: number; side: Side } | null => {
      const { place, end } = room();
      if (place === null) return null;
      return end === "in" ? { joint: place, side: "start" } : { joint: place + 1, side: "end" };
    };
    type To = (film: Film, joint: number, limits: Limits) => (Moment & { joint: number }) | null;
    const moveCut = (
      hold: { joint: number; side: Side } | null,
      to: To,
      manner: Manner = room().manner,
    ) => {
      if (!hold) return;
      const { side } = hold;
      void edit((film) => {
        const joint = jointFor(film, hold.joint, manner, side);
        if (joint === null) return null;
        const move = to(film, joint, limitsFor(film, joint, manner, side));
        return move && editFor(move, manner, side);
      }).catch(() => undefined);
    };
    /** Sets the transition of the selected cut; the film's start and end have none. */
    const onCut = (how: (film: Film, now: Passing | undefined) => Passing | null) => {
      const at = cut()?.joint;
      if (at === undefined) return;
      void run("set-transition", (film) => {
        const inside = at >= 1 && at < film.shots.length;
        const transition = inside ? how(film, film.joints[at]?.passing?.how) : null;
        return transition && { joints: [at], transition };
      });
    };
    const held = (joint: number | undefined, side: Side = "end") =>
      joint === undefined ? cut() : { joint, side };
    const chooseTake = async (place: number, take: number) => {
      await run("choose-take", { place, takeId: take });
      // It is the shot's pick now.
      await readAnew(client, keys.material(id));
    };
    const slip = (place: number, to: (at: number) => number) =>
      void run("slip", (film) => {
        const shot = film.shots[place];
        if (!shot) return null;
        const most = Math.max(0, shot.material - shot.used);
        const at = Math.max(0, Math.min(most, Math.round(to(shot.in))));
        return at === shot.in ? null : { place, in: at };
      });
    const places = () => chosenPlaces(room());
    /** Takes out with the shot that comes to a place selected, so that the keys go on from there. */
    const goingOn = async (place: number, edit: Promise<Film | undefined>) => {
      room().set({ place, also: [] });
      const after = await edit;
      const at = room().place;
      if (after && at !== null && at >= after.shots.length) {
        room().set({ place: after.shots.length > 0 ? after.shots.length - 1 : null });
      }
    };
    const nothing = () => room().set({ place: null, also: [] });

    return {
      toMoment: (joint: number, to: Moment, manner: Manner, side: Side) =>
        moveCut({ joint, side }, (_, j) => ({ joint: j, ...to }), manner),
      toFrame: (joint: number, frame: number, manner: Manner, side: Side) =>
        moveCut(
          { joint, side },
          (film, j, limits) => ({ joint: j, ...freeAt(inLimits(film, j, frame, limits)) }),
          manner,
        ),
      /** Moves a cut to the beat before or after where it is. */
      step: (direction: 1 | -1, joint?: number, side?: Side) =>
        moveCut(held(joint, side), (film, j, limits) => stepped(film, j, direction, limits)),
      /** Moves a cut by frames; a tied one keeps its beat and the distance from it. */
      nudge: (by: number, joint?: number) =>
        moveCut(held(joint), (film, j, limits) => nudged(film, j, by, limits)),
      /** Ties a cut to what is nearest; what is around it is not asked. */
      tie: (to: TieTo, joint?: number) =>
        moveCut(held(joint), (film, j, limits) => tied(film, j, to, limits), "trim"),
      slipTo: (place: number, to: number) => slip(place, () => to),
      slipBy: (place: number, by: number) => slip(place, (at) => at + by),
      chooseTake,
      nextTake: async (film: Film, place: number, direction: 1 | -1) => {
        const shot = film.shots[place];
        const takes = material?.shots
          .find((s) => s.id === shot?.shotId)
          ?.takes.filter((t) => t.state === "READY");
        if (!shot || !takes || takes.length < 2) return;
        const now = takes.findIndex((t) => t.id === shot.takeId);
        const next = takes[(now + direction + takes.length) % takes.length];
        if (next) await chooseTake(place, next.id);
      },
      setFraming: (place: number, framing: Framing) => void run("set-framing", { place, framing }),
      nextFraming: (place: number) =>
        void run("set-framing", (film) => {
          const now = FRAMINGS.indexOf(film.shots[place]?.framing ?? "FIT");
          return { place, framing: FRAMINGS[(now + 1) % FRAMINGS.length] ?? "FIT" };
        }),
      /** Moves the camera over the selected shots; null lets it stand. */
      setPath: (path: CameraPath | null) =>
        run("set-path", { places: places(), path: path && { ...path, fills: null } }),
      /** Takes the takes' own movement out of the selected shots. */
      steadyPath: (manner: "LOCKED" | "SMOOTHED") =>
        void run("steady-path", { places: places(), manner }),
      /** Moves it as the story asked. */
      proposePath: () => void run("propose-path", { places: places() }),
      toggleLock: () => {
        const all = places();
        void run("lock", (film) => ({
          places: all,
          locked: !all.every((p) => film.shots[p]?.locked),
        }));
      },
      setRun: (to: Run, stretch: boolean) => {
        const all = places();
        void run("set-run", { places: all, run: to, stretch });
      },
      setClipSound: (sound: ClipSound) => {
        const all = places();
        void run("set-clip-sound", { places: all, sound });
      },
      detach: (place: number) => void run("detach", { place }),
      /** Parts the shot under the playhead there. */
      split: () =>
        void run("split", (film) => {
          const at = room().frame;
          const place = film.shots.findIndex((s) => at > s.start && at < s.end);
          return place < 0 ? null : { place, to: momentAt(film, at) };
        }),
      /** Does what is offered for a shot that is short of material. */
      mend: (place: number, remedy: Remedy, problem?: ProblemKind) =>
        void run("mend", { place, remedy, problem: problem ?? null }),
      /** Sets the transition of some joints. */
      setTransition: (joints: readonly number[], transition: Passing) => {
        if (transition.kind !== "CUT") room().set({ laidLast: transition });
        return run("set-transition", { joints: [...joints], transition });
      },
      /** The same where the music's sections and breaks begin. */
      onBorders: (transition: Passing) => run("set-border-transitions", { transition }),
      /** A dissolve on the selected cut, or one of a beat more. */
      longerTransition: () => onCut((film, now) => (now ? aBeatMore(now, film) : dissolve(film))),
      /** The transition that was laid last, on the selected cut; a dissolve if none was. */
      lastTransition: () => onCut((film) => room().laidLast ?? dissolve(film)),
      plainCut: () => onCut((_, now) => (now ? PLAIN : null)),
      /**
       * Does other things to the pictures of items than what is done to the first of them; "" is the
       * whole film.
       */
      setTreatments: (
        items: readonly string[],
        change: (now: readonly Treatment[]) => readonly Treatment[],
      ) =>
        void run("set-treatments", (film) => ({
          items: [...items],
          treatments: [...change(treatmentsOf(film, items[0] ?? ""))],
        })),
      /** Says what has to be seen of the selected shots in every shape; null is their middle. */
      setFocus: (focus: Focus | null) => void run("set-focus", { places: places(), focus }),
      /** Looks for what matters in shots, else in the selected ones. */
      findFocus: (all?: readonly number[]) =>
        void run("find-focus", { places: [...(all ?? places())] }),
      /** Has the focus of a shot go with what is there in a frame, from its place in the take. */
      followFocus: (place: number, frame: number, x: number, y: number) =>
        run("follow-focus", { place, frame, x, y }),
      /** Frames the selected shots in a shape by themselves; null is about the focus again. */
      setShapeFraming: (shape: string, fit: Framing | null) =>
        void run("set-shape-framing", { places: places(), shape, fit }),
      /** Says what of a shot, or of what lies over the cut, stays. */
      setMatte: (item: string, matte: Matte) => void run("set-matte", { item, matte }),
      /** Lays the subject of a shot of the cut over it. */
      liftSubject: (item: string, behind: EditValues<"lift-subject">["behind"]) =>
        void run("lift-subject", { item, behind }),
      addMask: (item: string, kind: Mask["kind"]) => void run("add-mask", { item, kind }),
      /** Takes one more colour out; null is the one that is found along the edges of its picture. */
      takeOutColour: (item: string, colour: string | null) =>
        void run("take-out-colour", { item, colour }),
      /** Leaves all treatments of the selected shots out, or does them again. */
      bypassTreatments: () =>
        void run("set-treatments", (film) => {
          const shot = film.shots[places()[0] ?? -1];
          if (!shot || shot.treatments.length === 0) return null;
          const bypassed = shot.treatments.some((t) => !t.bypassed);
          return {
            items: [shot.id],
            treatments: shot.treatments.map((t) => ({ ...t, bypassed })),
          };
        }),
      /** Lays treatments over the chosen stretch, or over two bars from the playhead on. */
      layTreatments: async () => {
        let before: readonly string[] = [];
        const after = await run("lay-treatments", (film) => {
          before = film.overlays.map((o) => o.shot.id);
          const { range, frame } = room();
          const from = range?.from ?? frame;
          if (from >= film.length) return null;
          const bar = film.clock.beats.length > 1 ? barOf(film) : TREATED_FRAMES;
          const end = range
            ? momentAt(film, range.to)
            : endOf(film, from, Math.max(1, Math.round(2 * bar)));
          return { start: momentAt(film, from), end, treatments: [] };
        });
        const fresh = after?.overlays.find((o) => !before.includes(o.shot.id));
        if (fresh) room().set({ laid: fresh.shot.id, place: null, also: [] });
      },
      move: async (from: number, to: number) => {
        room().set({ place: to, also: [] });
        await run("move-shot", (film) =>
          to < 0 || to >= film.shots.length || to === from ? null : { from, to },
        );
      },
      /** Moves a shot with the time it lasts. */
      carry: async (from: number, to: number) => {
        room().set({ place: to, also: [] });
        await run("carry", (film) =>
          to < 0 || to >= film.shots.length || to === from ? null : { from, to },
        );
      },
      /** Takes a shot out; a neighbour takes over its time. */
      remove: async (place: number) => {
        await goingOn(place, run("remove", { place }));
      },
      /** Takes the selected shots out and closes the gap, or leaves it. */
      takeOut: async (leaveGap: boolean) => {
        const all = places();
        if (all.length === 0) return;
        const first = Math.min(...all);
        await goingOn(leaveGap ? first + 1 : first, run("take-out", { places: all, leaveGap }));
      },
      copy: (film: Film) => room().set({ copied: copiesOf(film, places()) }),
      cutOut: async (film: Film) => {
        const all = places();
        room().set({ copied: copiesOf(film, all), place: null, also: [] });
        await run("take-out", { places: all, leaveGap: false });
      },
      /** Puts what was copied after the selected shots, or at the cut nearest the playhead. */
      paste: async (plain: boolean) => {
        const { copied, frame } = room();
        if (copied.length === 0) return;
        const after = places().at(-1);
        await run("paste", (film) => {
          const nearest = film.joints.reduce(
            (best, j, i) =>
              Math.abs(j.frame - frame) < Math.abs((film.joints[best]?.frame ?? 0) - frame)
                ? i
                : best,
            0,
          );
          return { joint: after === undefined ? nearest : after + 1, pieces: [...copied], plain };
        });
      },
      group: (together: boolean) => {
        const all = places();
        if (all.length > 0) void run("group", { places: all, together });
      },
      /** Lays a shot over the cut from the playhead on. */
      layOver: (shot: Placed | null, from: number) => {
        if (shot && shot.takeId === 0) return;
        const piece = shot ? copyOf(shot) : room().copied[0];
        if (!piece) return;
        void run("lay-over", (film) => ({
          piece,
          start: momentAt(film, from),
          end: endOf(film, from, piece.length),
        }));
      },
      changeOverlay: (name: string, to: OverlayChange) =>
        void run("change-overlay", { name, ...to }),
      overlayOut: async (name: string) => {
        room().set({ laid: null });
        await run("overlay-out", { name });
      },
      setSound: (name: string, length: number, gain: number, start?: Moment) =>
        void run("set-sound", { name, length, gain, ...(start ? { start } : {}) }),
      soundOut: (name: string) => void run("sound-out", { name }),
      setMarker: (name: string | null, note: string, at?: number) =>
        void run("set-marker", (film) => ({
          name,
          note,
          at: at === undefined ? null : momentAt(film, at),
        })),
      tickMarker: (name: string, done: boolean) => void run("tick-marker", { name, done }),
      markerOut: (name: string) => void run("marker-out", { name }),
      bringBack: (shotId: number) => void run("bring-back", { shotId }),
      setSong: (startSeconds: number, fade: number) => void run("set-song", { startSeconds, fade }),
      cutAgain: async (everything: boolean, pool: boolean, pace: Pace) => {
        nothing();
        await run("first-cut", { everything, pool, pace });
      },
    };
  }, [edit, client, id, material]);
}

/** What is done to the picture of a shot, of what lies over the cut, or of the film for "". */
function treatmentsOf(film: Film, item: string): readonly Treatment[] {
  if (item === "") return film.treatments;
  const placed = [...film.shots, ...film.overlays.map((o) => o.shot)];
  return placed.find((s) => s.id === item)?.treatments ?? [];
}

/** Frames that are treated from the playhead on where there is no music. */
const TREATED_FRAMES = 24;

/** Frames of a bar, about. */
function barOf({ clock }: Film): number {
  const beats = clock.beats;
  const beat = ((beats.at(-1) ?? 0) - (beats[0] ?? 0)) / (beats.length - 1);
  return beat * clock.beatsPerBar;
}

/** Where what is laid over ends: on the beat nearest to its length, if it begins on one. */
function endOf(film: Film, from: number, length: number): Moment {
  const end = Math.min(film.length, from + length);
  const begins = film.clock.frames.includes(from);
  const beat = begins
    ? nearestBeat(film.clock, end, (b) => (film.clock.frames[b] ?? 0) > from)
    : -1;
  return beat < 0 ? momentAt(film, end) : onBeat(beat);
}

export type ScoreActions = ReturnType<typeof useScoreActions>;
