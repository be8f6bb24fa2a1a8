import { useState } from "react";
import type { BusFader, LaidSound, Mix, SoundManner, SteppingAside, Tie } from "../../api/client";
import type { FilmEdit } from "../../api/filmEdits";
import { useFilmEdit } from "../../api/useFilmEdit";
import { nextFor } from "./moments";
import type { NewTurn } from "./turns";

/** What the room does to the film. */
export function useMixActions(production: number, mix: Mix) {
  const edit = useFilmEdit(production);
  const [working, setWorking] = useState(false);
  // What goes wrong is told where edits are sent.
  const make = (wanted: FilmEdit) =>
    edit(wanted).then(
      () => undefined,
      () => undefined,
    );
  const slowly = (wanted: FilmEdit) => {
    setWorking(true);
    void make(wanted).then(() => setWorking(false));
  };
  return {
    working,
    lay: (sound: number, at: Tie, until: Tie | null) =>
      void make({ name: "lay-sound", values: { sound, at, offset: 0, until } }),
    land: (sound: LaidSound, at: Tie) =>
      void make({
        name: "land-sound",
        values: { id: sound.id, at, offset: 0, until: sound.until ?? null },
      }),
    /** Lands it on the next moment, or the one before, from where the edits before have brought it. */
    step: (sound: LaidSound, way: 1 | -1) =>
      void edit((film) => {
        const at = nextFor(film, sound.id, way);
        const until = sound.until ?? null;
        return at && { name: "land-sound", values: { id: sound.id, at, offset: 0, until } };
      }).catch(() => undefined),
    until: (sound: LaidSound, until: Tie | null) =>
      void make({
        name: "land-sound",
        values: { id: sound.id, at: sound.at, offset: sound.offset, until },
      }),
    nudge: (sounds: readonly string[], samples: number) =>
      void make({ name: "nudge-sounds", values: { sounds: [...sounds], samples } }),
    /** Changes how chosen sounds are heard, each from what it is. */
    change: (sounds: readonly string[], to: (how: SoundManner) => SoundManner) => {
      const manners = Object.fromEntries(
        mix.laid.filter((s) => sounds.includes(s.id)).map((s) => [s.id, to(s.how)]),
      );
      void make({ name: "set-manners", values: { manners } });
    },
    swap: (id: string, sound: number) => void make({ name: "swap-sound", values: { id, sound } }),
    out: (sounds: readonly string[]) =>
      void make({ name: "sounds-out", values: { sounds: [...sounds] } }),
    propose: (item: string | null) => slowly({ name: "propose-sounds", values: { item } }),
    onCuts: (sound: number, from: number, to: number) =>
      void make({ name: "sounds-on-cuts", values: { sound, from, to } }),
    /** Lays it through the place of a shot, wherever the story says that shots are there. */
    throughPlace: (sound: number, item: string) =>
      void make({ name: "sound-through-place", values: { sound, item } }),
    rule: (to: Partial<Mix["rule"]>) =>
      void make({ name: "set-rule", values: { rule: { ...mix.rule, ...to } } }),
    care: (to: Partial<Mix["care"]>) =>
      void make({ name: "set-voice-care", values: { care: { ...mix.care, ...to } } }),
    bend: (line: string, gain: number | null) =>
      void make({ name: "bend-lid", values: { line, gain } }),
    bus: ({ bus, gain, muted }: BusFader, to: Partial<Pick<BusFader, "gain" | "muted">>) =>
      void make({ name: "set-bus", values: { bus, gain, muted, ...to } }),
    /**
     * Puts a point on a bus's line.
     *
     * @param was the tie of the point that it takes the place of, or null
     * @param at its tie; null takes the other out
     */
    point: (bus: BusFader["bus"], was: Tie | null, at: Tie | null, gain: number) =>
      void make({ name: "set-point", values: { bus, was, at, gain } }),
    /** Music and clips step aside for these, or no longer. */
    aside: (items: readonly string[], asked: SteppingAside | null) =>
      void make({ name: "ask-aside", values: { items: [...items], asked } }),
    /** Has the music turn, once more or in place of what it did. */
    turn: (turn: NewTurn, was: NewTurn | null = null) =>
      void make({ name: "turn-music", values: { turn, was } }),
    turnOut: (turn: NewTurn) => void make({ name: "turn-out", values: { turn } }),
  };
}

export type MixActions = ReturnType<typeof useMixActions>;
