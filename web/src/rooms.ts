import { lazy } from "react";

const loading = {
  story: () => import("./rooms/story/StoryRoom").then((m) => ({ default: m.StoryRoom })),
  takes: () => import("./rooms/takes/Takes").then((m) => ({ default: m.Takes })),
  cues: () => import("./rooms/cues/Cues").then((m) => ({ default: m.Cues })),
  score: () => import("./rooms/score/Score").then((m) => ({ default: m.Score })),
  words: () => import("./rooms/words/WordsRoom").then((m) => ({ default: m.WordsRoom })),
  look: () => import("./rooms/look/LookRoom").then((m) => ({ default: m.LookRoom })),
  mix: () => import("./rooms/mix/MixRoom").then((m) => ({ default: m.MixRoom })),
  narrow: () => import("./rooms/TooNarrow").then((m) => ({ default: m.TooNarrow })),
  master: () => import("./rooms/master/MasterRoom").then((m) => ({ default: m.MasterRoom })),
};

export const StoryRoom = lazy(loading.story);
export const Takes = lazy(loading.takes);
export const Cues = lazy(loading.cues);
export const Score = lazy(loading.score);
export const WordsRoom = lazy(loading.words);
export const LookRoom = lazy(loading.look);
export const MixRoom = lazy(loading.mix);
export const TooNarrow = lazy(loading.narrow);
export const MasterRoom = lazy(loading.master);

/** Loads the rooms that were not opened yet, so that they open while the server is gone, too. */
export function loadRooms() {
  for (const load of Object.values(loading)) {
    load().catch(() => {
      // It is loaded when it is opened, which says what is wrong.
    });
  }
}
