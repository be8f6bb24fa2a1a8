import { create } from "zustand";

interface Room {
  /** The playhead, in frames of the film. */
  frame: number;
  playing: boolean;
  /** Where playing ends by itself, or null for the film's end. */
  until: number | null;
  /** The selected shot's place in the film, or null. */
  place: number | null;
  /** Which of the selected shot's cuts the cut keys move. */
  end: "in" | "out";
  barsPerLine: number | null;
  /** Whether the arrow keys slip the selected shot instead of moving the playhead. */
  slipping: boolean;
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
  place: null,
  end: "in",
  barsPerLine: null,
  slipping: false,
  jumps: 0,
  jump: (frame) => set((s) => ({ frame, jumps: s.jumps + 1 })),
  set,
}));
