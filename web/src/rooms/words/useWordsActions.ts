import type { SafeArea, SteppingAside, Tie, Title, TitleChange } from "../../api/client";
import type { EditValues, FilmEdit } from "../../api/filmEdits";
import { useFilmEdit } from "../../api/useFilmEdit";
import { nextFor } from "../mix/moments";
import type { Draft } from "./useTitleDrafts";

/** What the room does to the film. */
export function useWordsActions(production: number) {
  const edit = useFilmEdit(production);
  // What goes wrong is told where edits are sent.
  const make = (wanted: FilmEdit) =>
    edit(wanted).then(
      () => true,
      () => false,
    );
  return {
    add: (design: string, text: string, at: Tie) =>
      make({ name: "add-title", values: { design, text, at } }),
    /** Answers the film's revision that has it; null if it was refused. */
    change: (id: string, to: Draft) =>
      edit({ name: "change-title", values: { title: { id, ...to } as TitleChange } }).then(
        (film) => film.revision,
        () => null,
      ),
    land: (title: Title, at: Tie) =>
      void make({
        name: "land-title",
        values: { id: title.id, at, frames: title.frames, until: title.until ?? null },
      }),
    /** Lands it on the next moment, or the one before, from where the edits before have brought it. */
    step: ({ id, frames, until }: Title, way: 1 | -1) =>
      void edit((film) => {
        const at = nextFor(film, id, way);
        return at && { name: "land-title", values: { id, at, frames, until: until ?? null } };
      }).catch(() => undefined),
    stay: (title: Title, frames: number, until: Tie | null) =>
      void make({
        name: "land-title",
        values: { id: title.id, at: title.at, frames: Math.max(1, Math.round(frames)), until },
      }),
    /** Music and clips step aside as it lands, or no longer. */
    aside: (title: string, asked: SteppingAside | null) =>
      void make({ name: "ask-aside", values: { items: [title], asked } }),
    out: (titles: readonly string[]) =>
      void make({ name: "titles-out", values: { titles: [...titles] } }),
    /** Keeps words clear of what is laid over a shape at its sides; null as is usual. */
    safe: (shape: string, area: SafeArea | null) =>
      void make({ name: "set-safe-area", values: { shape, area } }),
    write: (language: string, line: string, text: string | null) =>
      void make({ name: "write-caption", values: { language, line, text } }),
    /** Says something of sounds, by their ids; "" says nothing. */
    sounds: (language: string, texts: Record<string, string>) =>
      void make({ name: "caption-sounds", values: { language, texts } }),
    look: (values: EditValues<"caption-look">) => void make({ name: "caption-look", values }),
    language: (language: string, translated: boolean) =>
      make({ name: "add-language", values: { language, translated } }),
    languageOut: (language: string) => make({ name: "language-out", values: { language } }),
  };
}

export type WordsActions = ReturnType<typeof useWordsActions>;
