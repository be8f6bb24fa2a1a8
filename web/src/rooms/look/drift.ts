import type { Look, LookShot } from "../../api/client";

/** What is drawn over the film: one line for each way in which shots may differ. */
export const AXES = [
  { name: "lightness", label: "Lightness", more: "lighter", less: "darker" },
  { name: "warmth", label: "Warm to cool", more: "warmer", less: "cooler" },
  { name: "colour", label: "Colourfulness", more: "stronger", less: "paler" },
] as const;

/** The furthest that is drawn in its place; what is further stands at the edge. */
export const FURTHEST = 15;

/** From the top of a row, 0 to 1. */
export const heightOf = (value: number) =>
  0.5 - Math.max(-FURTHEST, Math.min(FURTHEST, value)) / (2 * FURTHEST);

/** Shots that are not close to the key, the furthest first. */
export function furthest(look: Look): LookShot[] {
  return look.shots
    .filter((s) => s.keyOf === "NONE" && s.now !== null && s.now.whole > look.close)
    .sort((a, b) => (b.now?.whole ?? 0) - (a.now?.whole ?? 0));
}
