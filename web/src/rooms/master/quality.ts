import type { OutputSaid } from "../../api/client";

/** The names of the encoder's qualities, smallest file first. */
export const qualityName: Record<OutputSaid["quality"], string> = {
  SMALL: "small",
  STANDARD: "standard",
  HIGH: "high",
};

/** Frames a second of a rate such as "24" or "24000/1001". */
export function rateOf(rate: string): number {
  const [frames, seconds] = rate.split("/").map(Number);
  return (frames ?? 24) / (seconds ?? 1);
}

export const timeLeft = (seconds: number) =>
  seconds < 60
    ? `${Math.ceil(seconds)} s`
    : `${Math.floor(seconds / 60)} min ${Math.round(seconds % 60)} s`;
