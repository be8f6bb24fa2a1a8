import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import {
  answerTo,
  api,
  bringInStill,
  type ColourCorrection,
  type Film,
  type Look,
  type LookShot,
  type Mask,
  type Treatment,
} from "../../api/client";
import type { FilmEdit } from "../../api/filmEdits";
import { lookAt } from "../../api/queries";
import { useFilmEdit } from "../../api/useFilmEdit";
import { useNotice } from "../../parts/notice";
import { carriedOver } from "./corrections";
import { stretchOf, type Stretch } from "./stretch";

/** What is tried on the picture before it is done. */
export type Trial =
  | { of: "shot"; item: string; correction: ColourCorrection }
  | { of: "finish"; item: string; treatments: readonly Treatment[] };

/** A shot's correction as it is tried, or as it is. */
export const triedOn = (trial: Trial | null, shot: LookShot): ColourCorrection =>
  trial?.of === "shot" && trial.item === shot.item ? trial.correction : shot.correction;

/** What the room does to the film. */
export function useLookActions(production: number, look: Look, shown: LookShot) {
  const edit = useFilmEdit(production);
  const client = useQueryClient();
  const tell = useNotice((s) => s.tell);
  const [trial, setTrial] = useState<Trial | null>(null);
  const [working, setWorking] = useState(false);
  const [strength, setStrength] = useState(50);
  const [copied, setCopied] = useState<string | null>(null);

  const untry = useCallback(() => setTrial(null), []);
  // What goes wrong is told where edits are sent.
  const make = (wanted: Parameters<typeof edit>[0]) =>
    edit(wanted).then(
      () => undefined,
      () => undefined,
    );
  /** The shot is corrected on what a match, or another edit that was on its way, made of it. */
  const corrected = async (film: Film, wanted: ColourCorrection): Promise<FilmEdit> => {
    const { item, correction: before } = shown;
    const latest =
      film.revision === look.revision
        ? look
        : await client.fetchQuery(lookAt(production, film.revision));
    const now = latest.shots.find((s) => s.item === item)?.correction ?? before;
    const correction = carriedOver(before, wanted, now);
    return { name: "correct", values: { items: [item], correction } };
  };
  const match = (items: readonly string[]) => {
    setWorking(true);
    void make({ name: "match", values: { items: [...items], strength } }).then(() =>
      setWorking(false),
    );
  };
  return {
    trial,
    working,
    strength,
    setStrength,
    match,
    /** Shows the shot corrected so, without doing it. */
    tryCorrection: (correction: ColourCorrection) =>
      setTrial({ of: "shot", item: shown.item, correction }),
    correct: (correction: ColourCorrection) => {
      setTrial({ of: "shot", item: shown.item, correction });
      void make((film) => corrected(film, correction)).then(() => setTrial(null));
    },
    /** Puts one more range on the shot: the colours that a place in its picture means. */
    pickRange: async (x: number, y: number) => {
      const { item, frame, correction } = shown;
      const range = await answerTo(
        api.GET("/api/productions/{productionId}/preview/{revision}/frames/{frame}/range", {
          params: {
            path: { productionId: production, revision: `${look.revision}`, frame },
            query: { item, x, y },
          },
        }),
      ).catch((e: Error) => tell(e.message, "wrong"));
      if (!range) return;
      const ranges = [...correction.ranges, range];
      await make((film) => corrected(film, { ...correction, ranges }));
    },
    /** Lays one more mask on a range of the shot; on one more than it has, it makes it. */
    maskRange: (range: number, kind: Mask["kind"]) =>
      void make({ name: "mask-range", values: { item: shown.item, range, kind } }),
    /** Shows the film as it is, and nothing that is tried. */
    untry,
    /** Shows a finish over a stretch, or over the film, without doing it. */
    tryFinish: (item: string, treatments: readonly Treatment[]) =>
      setTrial({ of: "finish", item, treatments }),
    finish: (treatments: readonly Treatment[]) => {
      setTrial({ of: "finish", item: "", treatments });
      void make({
        name: "set-treatments",
        values: { items: [""], treatments: [...treatments] },
      }).then(() => setTrial(null));
    },
    /** Lays a finish over a stretch, changes the one that is there, or takes it off. */
    finishStretch: ({ start, end, item }: Stretch, treatments: readonly Treatment[]) => {
      if (item !== null) setTrial({ of: "finish", item, treatments });
      const all = [...treatments];
      const wanted: FilmEdit =
        item === null
          ? { name: "lay-treatments", values: { start, end, treatments: all } }
          : all.length === 0
            ? { name: "overlay-out", values: { name: item } }
            : { name: "set-treatments", values: { items: [item], treatments: all } };
      void make(wanted).then(() => setTrial(null));
    },
    /** Lays a table of colours over a stretch. */
    tableOver: async ({ items, start, end, item }: Stretch, file: File) => {
      const text = await file.text();
      const over =
        item ??
        (await edit({ name: "lay-treatments", values: { start, end, treatments: [] } }).then(
          (after) => stretchOf(after, items)?.item ?? null,
          () => null,
        ));
      if (over === null) return;
      await make({ name: "bring-in-colours", values: { items: [over], file: file.name, text } });
    },
    /** Uses a file of colours: a table on items, or "" for the film; a list on shots. */
    bringIn: (items: readonly string[], file: File) =>
      void file
        .text()
        .then((text) =>
          make({ name: "bring-in-colours", values: { items: [...items], file: file.name, text } }),
        ),
    uncorrect: (items: readonly string[]) =>
      void make({ name: "uncorrect", values: { items: [...items] } }),
    /** Makes the light of shots even, by percent. */
    level: (items: readonly string[], strength: number) =>
      void make({ name: "level", values: { items: [...items], strength } }),
    /** Makes all shots look like a still that is brought in. */
    keyStill: (file: File) =>
      void bringInStill(production, file).then(
        ({ picture }) => make({ name: "choose-key-still", values: { picture } }),
        (e: Error) => tell(e.message, "wrong"),
      ),
    makeKey: (ofFilm: boolean) =>
      void make({ name: "choose-key", values: { item: shown.item, ofFilm } }),
    group: (items: readonly string[], name: string) =>
      void make({ name: "group-shots", values: { items: [...items], name } }),
    ungroup: (items: readonly string[]) =>
      void make({ name: "ungroup-shots", values: { items: [...items] } }),
    groupByPlace: () => void make({ name: "group-by-place", values: {} }),
    /** The shot whose correction was copied; null if none was, or it is gone. */
    copied: look.shots.find((s) => s.item === copied) ?? null,
    copy: () => setCopied(shown.item),
    correctAs: (items: readonly string[], like: string) =>
      void make({ name: "correct-as", values: { items: [...items], like } }),
  };
}

export type LookActions = ReturnType<typeof useLookActions>;
