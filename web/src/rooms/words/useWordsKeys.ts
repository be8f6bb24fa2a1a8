import type { Film, Title, TitleSight, Words } from "../../api/client";
import { useKeys } from "../../parts/keys";
import { freeAt } from "../mix/moments";
import { playKeys } from "../score/playKeys";
import { problemsOf } from "./WordsFoot";
import type { WordsActions } from "./useWordsActions";

interface Props {
  film: Film;
  words: Words;
  sights: ReadonlyMap<string, TitleSight>;
  title: Title | undefined;
  caption: number | null;
  choose: (id: string | null) => void;
  lookAt: (caption: number) => void;
  write: () => void;
  add: () => void;
  actions: WordsActions;
}

/** The room's keys. */
export function useWordsKeys(props: Props) {
  const { film, words, sights, title, caption, choose, lookAt, actions } = props;
  const step = (way: 1 | -1) => () => {
    const to = (caption ?? (way > 0 ? -1 : words.captions.captions.length)) + way;
    if (to >= 0 && to < words.captions.captions.length) lookAt(to);
  };
  const other = (way: 1 | -1) => () => {
    const { titles } = words;
    const at = titles.findIndex((t) => t.id === title?.id);
    const to = titles[at < 0 ? (way > 0 ? 0 : titles.length - 1) : at + way];
    if (to) choose(to.id);
  };
  const land = (way: 1 | -1) => () => {
    if (!title?.place) return false;
    actions.step(title, way);
    return undefined;
  };
  const nudge = (frames: number) => () => {
    if (!title?.place) return false;
    actions.land(title, freeAt(title.place.landing + frames));
    return undefined;
  };
  const problem = () => {
    const all = problemsOf(words, sights);
    const here = all.findIndex((p) =>
      p.title === null ? p.caption === caption : p.title === title?.id,
    );
    const to = all[(here + 1) % Math.max(1, all.length)];
    if (!to) return;
    if (to.title === null) lookAt(to.caption);
    else choose(to.title);
  };
  useKeys([
    {
      name: "Play",
      keys: [...playKeys(film), { shown: "P", says: "the next problem", acts: { P: problem } }],
    },
    {
      name: "Titles",
      keys: [
        { shown: "N", says: "a new title where the playhead is", acts: { N: props.add } },
        {
          shown: "T / Shift+T",
          says: "the next title, the one before",
          acts: { T: other(1), "Shift+T": other(-1) },
        },
        {
          shown: ", / .",
          says: "land on the moment before, the next",
          acts: { ",": land(-1), ".": land(1) },
        },
        {
          shown: "[ / ]",
          says: "land a frame sooner, later, free",
          acts: { "[": nudge(-1), "]": nudge(1) },
        },
        { shown: "arrows on a block", says: "move it; Shift: farther" },
        {
          shown: "Delete",
          says: "take the chosen title out",
          acts: { Delete: () => (title ? actions.out([title.id]) : false) },
        },
        { shown: "Escape", says: "choose none", acts: { Escape: () => choose(null) } },
      ],
    },
    {
      name: "Captions",
      keys: [
        {
          shown: "Up / Down",
          says: "the caption before, the next",
          acts: { ArrowUp: step(-1), ArrowDown: step(1) },
        },
        { shown: "W", says: "write the chosen caption's line", acts: { W: props.write } },
      ],
    },
  ]);
}
