import { create } from "zustand";
import type { CameraPath, Lie, Matte, Passing, Treatment } from "./api/client";
import type { Manner } from "./rooms/score/manner";
import type { Copied } from "./rooms/score/copies";

/** Frames of the film, half-open. */
export interface Stretch {
  from: number;
  to: number;
}

interface Room {
  /** The playhead, in frames of the film. */
  frame: number;
  playing: boolean;
  /** Where playing ends by itself, or null for the film's end. */
  until: number | null;
  /** What is played again and again, or null. */
  loop: Stretch | null;
  /** How fast it plays; below 0 the film runs backward in steps. */
  speed: number;
  /** The chosen stretch of the film, or null. */
  range: Stretch | null;
  /** The selected shot's place in the film, or null. */
  place: number | null;
  /** Further selected shots, in order. */
  also: readonly number[];
  /** The selected shot over the cut, by its name, or null. */
  laid: string | null;
  /** What of the selected shot its card shows. */
  card: "shot" | "picture" | "treatments" | "shapes" | "transition";
  /** Whether the monitor shows the whole take while its framing is set. */
  wholeTake: boolean;
  /** A camera's move while it is dragged on the picture, or null. */
  draftPath: CameraPath | null;
  /** The camera's move that was copied, or null. */
  copiedPath: CameraPath | null;
  /** What is dragged on the picture of what lies over the cut. */
  onPicture: "lie" | "masks";
  /** Where it lies while that is dragged, or null. */
  draftLie: Lie | null;
  /** What of it stays while a mask is dragged, or null. */
  draftMatte: Matte | null;
  /** The transition that was laid last. */
  laidLast: Passing | null;
  /** The shape in which the film is watched, such as "9:16"; null is its own. */
  shape: string | null;
  /** The treatments that were copied, or null. */
  treated: readonly Treatment[] | null;
  /** Which of the selected shot's cuts the cut keys move. */
  end: "in" | "out";
  /** What moving a cut does to what is around it. */
  manner: Manner;
  /** What was copied. */
  copied: readonly Copied[];
  barsPerLine: number | null;
  /** Whether the arrow keys slip the selected shot instead of moving the playhead. */
  slipping: boolean;
  /** Whether the film is heard while the playhead is moved. */
  scrubSound: boolean;
  /** The marker whose note is being written: its name, "" for a new one, or null. */
  noting: string | null;
  /** Rises with each jump of the playhead, so that what plays can follow it. */
  jumps: number;
  /** Puts the playhead at a frame, whether the film plays or not. */
  jump: (frame: number) => void;
  set: (to: Partial<Omit<Room, "set" | "jump">>) => void;
}

/** What is selected and where the playhead is. */
export const useRoom = create<Room>((set) => ({
  frame: 0,
  playing: false,
  until: null,
  loop: null,
  speed: 1,
  range: null,
  place: null,
  also: [],
  laid: null,
  card: "shot",
  wholeTake: true,
  draftPath: null,
  copiedPath: null,
  onPicture: "lie",
  draftLie: null,
  draftMatte: null,
  laidLast: null,
  shape: null,
  treated: null,
  end: "in",
  manner: "trim",
  copied: [],
  barsPerLine: null,
  slipping: false,
  scrubSound: false,
  noting: null,
  jumps: 0,
  jump: (frame) => set((s) => ({ frame, jumps: s.jumps + 1 })),
  set,
}));

/** All selected shots' places, in order. */
export function chosenPlaces({ place, also }: Pick<Room, "place" | "also">): number[] {
  return place === null ? [] : [...new Set([place, ...also])].sort((a, b) => a - b);
}
