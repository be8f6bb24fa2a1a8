import type { Film, Placed } from "../../api/client";
import { focusOf } from "../score/shapes";
import { takeBox } from "../score/takeBox";
import type { Sides } from "../score/views";

/** Where the focus of a shot is seen in a frame, from -100, left, to 100, right. */
export function panOf(film: Film, shot: Placed, frame: number, sides: Sides): number {
  const box = takeBox(film, shot, frame, sides);
  const focus = focusOf(shot, frame);
  const turn = (box.turn * Math.PI) / 180;
  const across =
    (focus.x - 0.5) * box.width * Math.cos(turn) - (focus.y - 0.5) * box.height * Math.sin(turn);
  const share = (box.x + across) / sides.width;
  return Math.round(Math.max(-1, Math.min(1, 2 * share - 1)) * 100);
}
