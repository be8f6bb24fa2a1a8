import type { Film } from "../../api/client";
import { limitsOf, type Limits, type Move } from "./cuts";

/** What moving a cut does to what is around it. */
export type Manner = "trim" | "ripple" | "roll" | "slide";

export const MANNERS: readonly Manner[] = ["trim", "ripple", "roll", "slide"];

export const mannerMeaning: Record<Manner, string> = {
  trim: "The shot beside it gives or takes the time",
  ripple: "All that follows moves along; the film gets longer or shorter",
  roll: "The pictures on both sides stay where they are",
  slide: "The shot moves between its neighbours, as long as it is",
};

/** Which end of a shot a cut is taken hold of by. */
export type Side = "start" | "end";

/** Frames of the take before a shot's first used one, in frames of the film. */
function spareBefore(film: Film, place: number): number {
  const shot = film.shots[place];
  if (!shot || shot.takeId === 0 || shot.run.way !== "FORWARD") return Infinity;
  return Math.floor((shot.in * 100) / shot.run.from);
}

/**
 * The frames a joint may be moved to: no shot is left without a frame, and none is asked for
 * pictures before its take begins.
 */
export function limitsFor(film: Film, joint: number, manner: Manner, side: Side): Limits {
  const at = (j: number) => film.joints[j]?.frame ?? (j < 0 ? -1 : Infinity);
  const here = at(joint);
  const { least: before, most: after } = limitsOf(film, joint);
  switch (manner) {
    case "trim":
      return { least: before, most: after };
    case "roll":
      return { least: Math.max(before, here - spareBefore(film, joint)), most: after };
    case "ripple":
      return side === "end"
        ? { least: before, most: Infinity }
        : { least: Math.max(0, here - spareBefore(film, joint)), most: after };
    case "slide": {
      const next = Math.max(0, at(joint + 2) - at(joint + 1) - 1);
      const room = Math.min(here - before, spareBefore(film, joint + 1));
      return { least: here - room, most: here + next };
    }
  }
}

/** The joint a manner takes hold of; null if there is none to move. */
export function jointFor(film: Film, joint: number, manner: Manner, side: Side): number | null {
  const last = film.joints.length - 1;
  if (manner === "slide") {
    const start = side === "start" ? joint : joint - 1;
    return start >= 1 && start + 1 < last ? start : null;
  }
  if (manner === "ripple" && side === "start") return joint < last ? joint : null;
  if (manner === "roll") return joint >= 1 && joint < last ? joint : null;
  return joint >= 1 ? joint : null;
}

/** The edit that moves a joint in a manner: its name and its values. */
export function editFor(move: Move, manner: Manner, side: Side): { name: string; values: object } {
  const { joint, ...to } = move;
  switch (manner) {
    case "trim":
      return { name: "move-joint", values: { joint, to } };
    case "roll":
      return { name: "roll", values: { joint, to } };
    case "slide":
      return { name: "slide", values: { place: joint, to } };
    case "ripple":
      return {
        name: "ripple",
        values: { place: side === "start" ? joint : joint - 1, start: side === "start", to },
      };
  }
}
