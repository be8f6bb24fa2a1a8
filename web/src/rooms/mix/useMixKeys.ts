import type { Film, Mix } from "../../api/client";
import { useKeys, useRelease } from "../../parts/keys";
import { switchMono } from "../../parts/mono";
import { playKeys } from "../score/playKeys";
import { goTo } from "../score/playing";
import { hush } from "./hearing";
import { RATE, frameOf } from "./moments";
import type { MixActions } from "./useMixActions";

interface Props {
  film: Film;
  mix: Mix;
  fps: number;
  chosen: readonly string[];
  choose: (id: string | null, more: boolean) => void;
  hearThere: () => void;
  hearAlone: () => void;
  levels: () => void;
  actions: MixActions;
}

/** The room's keys. */
export function useMixKeys(props: Props) {
  const { film, mix, fps, chosen, choose, actions } = props;
  const nudge = (samples: number) => () =>
    chosen.length > 0 ? actions.nudge(chosen, samples) : false;
  const beat = RATE * (film.clock.bpm > 0 ? 60 / film.clock.bpm : 0.5);
  const step = (way: 1 | -1) => () => {
    const order = mix.laid.filter((s) => s.place !== null);
    const at = order.findIndex((s) => s.id === chosen[0]);
    const to = order[at < 0 ? (way > 0 ? 0 : order.length - 1) : at + way];
    if (!to?.place) return;
    choose(to.id, false);
    goTo(film, Math.floor(frameOf(to.place.landing, fps)));
  };
  const land = (way: 1 | -1) => () => {
    const sound = mix.laid.find((s) => s.id === chosen[0]);
    if (!sound?.place) return false;
    actions.step(sound, way);
    return undefined;
  };
  useRelease("a", hush);
  useKeys([
    {
      name: "Play",
      keys: [
        ...playKeys(film, hush),
        { shown: "H", says: "the film around the chosen sound", acts: { H: props.hearThere } },
        {
          shown: "hold A",
          says: "the chosen sound alone, as it is in the film",
          acts: {
            A: (e) => {
              if (!e.repeat) props.hearAlone();
            },
          },
        },
        { shown: "M", says: "both sides as one, or apart", acts: { M: switchMono } },
      ],
    },
    {
      name: "Sounds",
      keys: [
        {
          shown: "Up / Down",
          says: "the sound before, the next",
          acts: { ArrowUp: step(-1), ArrowDown: step(1) },
        },
        {
          shown: "Ctrl+A",
          says: "all sounds",
          acts: { "Ctrl+A": () => mix.laid.forEach((s, i) => choose(s.id, i > 0)) },
        },
        {
          shown: ", / .",
          says: "land on the moment before, the next",
          acts: { ",": land(-1), ".": land(1) },
        },
        {
          shown: "[ / ]",
          says: "a frame sooner, later",
          acts: { "[": nudge(-RATE / fps), "]": nudge(RATE / fps) },
        },
        {
          shown: "{ / }",
          says: "a beat sooner, later",
          acts: { "{": nudge(-Math.round(beat)), "}": nudge(Math.round(beat)) },
        },
        {
          shown: "- / +",
          says: "a millisecond sooner, later",
          acts: { "-": nudge(-RATE / 1000), "+": nudge(RATE / 1000) },
        },
        { shown: "< / >", says: "a sample sooner, later", acts: { "<": nudge(-1), ">": nudge(1) } },
        {
          shown: "Delete",
          says: "take the chosen sounds out",
          acts: { Delete: () => (chosen.length > 0 ? actions.out(chosen) : false) },
        },
        { shown: "Escape", says: "choose none", acts: { Escape: () => choose(null, false) } },
        { shown: "L", says: "levels, or the shelf", acts: { L: props.levels } },
        { shown: "Shift + click", says: "one more sound" },
        { shown: "drag a sound", says: "to where it lands; Alt: anywhere" },
        { shown: "drag the lid", says: "music under a line by hand" },
      ],
    },
  ]);
}
