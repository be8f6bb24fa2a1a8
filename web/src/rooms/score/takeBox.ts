import type { Film, Placed } from "../../api/client";
import { boxOf, coverOf, lieAt, timeIn } from "./lies";
import { timeOf, viewAt, windowOf, type Sides, type Window } from "./views";

/** A shot of the film, of the cut or over it, by its id. */
export const placedOf = (film: Film, item: string): Placed | undefined =>
  film.shots.find((s) => s.id === item) ?? overlayOf(film, item)?.shot;

const overlayOf = (film: Film, item: string) => film.overlays.find((o) => o.shot.id === item);

/** Where the whole of a shot's take lies in a frame of the film, in the film's pixels. */
export function takeBox(film: Film, shot: Placed, frame: number, sides: Sides): Window {
  const overlay = overlayOf(film, shot.id);
  if (!overlay) return inCover(shot, frame, sides);
  const cover = coverOf(overlay, sides);
  const lie = boxOf(lieAt(overlay.lie, timeIn(overlay, frame)), cover, sides);
  const inside = inCover(shot, frame, cover);
  const scale = lie.width / cover.width;
  const off = turned(inside.x - cover.width / 2, inside.y - cover.height / 2, lie.turn);
  return {
    x: lie.x + off.x * scale,
    y: lie.y + off.y * scale,
    width: inside.width * scale,
    height: inside.height * scale,
    turn: lie.turn + inside.turn,
  };
}

/** The same in a picture that it is framed for. */
function inCover(shot: Placed, frame: number, cover: Sides): Window {
  const { picture: take, framing, path } = shot;
  const middle = { x: cover.width / 2, y: cover.height / 2 };
  if (path) {
    const seen = windowOf(viewAt(path, timeOf(shot, frame)), take, cover);
    const scale = cover.width / seen.width;
    const off = turned(take.width / 2 - seen.x, take.height / 2 - seen.y, -seen.turn);
    return {
      x: middle.x + off.x * scale,
      y: middle.y + off.y * scale,
      width: take.width * scale,
      height: take.height * scale,
      turn: -seen.turn,
    };
  }
  const across = cover.width / take.width;
  const down = cover.height / take.height;
  const scale = framing === "FILL" ? Math.max(across, down) : Math.min(across, down);
  return { ...middle, width: take.width * scale, height: take.height * scale, turn: 0 };
}

/** A way that is turned clockwise, in degrees. */
function turned(x: number, y: number, degrees: number) {
  const cos = Math.cos((degrees * Math.PI) / 180);
  const sin = Math.sin((degrees * Math.PI) / 180);
  return { x: x * cos - y * sin, y: x * sin + y * cos };
}
