import type { Film } from "../../api/client";
import type { Key } from "../../parts/keys";
import { useRoom } from "../../store";
import { goTo, otherBeat, playTwoBars } from "./playing";

/** The keys that play and move the playhead, as every room with the film has them. */
export function playKeys(film: Film, onPlay: () => void = () => undefined): Key[] {
  const frame = () => useRoom.getState().frame;
  const by = (frames: number) => () => goTo(film, frame() + frames);
  return [
    {
      shown: "Space",
      says: "play from here, stop",
      acts: {
        Space: () => {
          onPlay();
          const { playing, set } = useRoom.getState();
          set({ playing: !playing, until: null, loop: null, speed: 1 });
        },
      },
    },
    {
      shown: "Shift+Space",
      says: "this bar and the next",
      acts: { "Shift+Space": () => playTwoBars(film) },
    },
    {
      shown: "Left / Right",
      says: "a frame",
      acts: { ArrowLeft: by(-1), ArrowRight: by(1) },
    },
    {
      shown: "B / Shift+B",
      says: "the next beat, the one before",
      acts: {
        B: () => goTo(film, otherBeat(film, frame(), 1)),
        "Shift+B": () => goTo(film, otherBeat(film, frame(), -1)),
      },
    },
  ];
}
