import type { Film } from "../../api/client";
import type { FilmEdit } from "../../api/filmEdits";
import { toLimits, type Limits, type Move } from "./cuts";

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

/** The frames a joint may be moved to, as the film tells them. */
export function limitsFor(film: Film, joint: number, manner: Manner, side: Side): Limits {
  const reach = film.joints[joint]?.reach;
  switch (manner) {
    case "trim":
      return toLimits(reach?.trim);
    case "roll":
      return toLimits(reach?.roll);
    case "ripple":
      return toLimits(side === "end" ? reach?.rippleEnd : reach?.rippleStart);
    case "slide":
      return toLimits(reach?.slide);
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
export function editFor(move: Move, manner: Manner, side: Side): FilmEdit {
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
