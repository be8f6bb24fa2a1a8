import type { Film, Placed } from "../../api/client";
import { takeBox } from "../score/takeBox";
import type { Sides } from "../score/views";

/** A place in a shot's take: shares of its picture's sides, from its left and top. */
export interface TakePlace {
  shot: string;
  x: number;
  y: number;
}

const isAt = ({ start, end }: Pick<Placed, "start" | "end">, frame: number) =>
  start <= frame && frame < end;

/** The shots that are seen in a frame, what lies on top first. */
const seenIn = (film: Film, frame: number): Placed[] => [
  ...film.overlays
    .filter((o) => isAt(o.shot, frame))
    .sort((a, b) => b.layer - a.layer)
    .map((o) => o.shot),
  ...film.shots.filter((s) => isAt(s, frame)),
];

/**
 * What of which take is seen at a place of the film's picture, 0 to 1 from its left and top; null
 * where no take is.
 */
export function placeUnder(
  film: Film,
  frame: number,
  sides: Sides,
  at: { x: number; y: number },
): TakePlace | null {
  for (const shot of seenIn(film, frame)) {
    if (shot.takeId === 0) continue;
    const box = takeBox(film, shot, frame, sides);
    const turn = (-box.turn * Math.PI) / 180;
    const right = at.x * sides.width - box.x;
    const down = at.y * sides.height - box.y;
    const x = (right * Math.cos(turn) - down * Math.sin(turn)) / box.width + 0.5;
    const y = (right * Math.sin(turn) + down * Math.cos(turn)) / box.height + 0.5;
    if (Math.min(x, y) >= 0 && Math.max(x, y) <= 1) return { shot: shot.id, x, y };
  }
  return null;
}
