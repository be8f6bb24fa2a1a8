import { useRef } from "react";

/** Where a song is being heard, kept while one candidate gives way to another. */
export interface Spot {
  seconds: number;
  playing: boolean;
}

export const useSpot = () => useRef<Spot>({ seconds: 0, playing: false });
