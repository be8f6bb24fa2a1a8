import type { CameraPath, PathPoint, Placed, Production } from "../../api/client";

/** Sides in pixels of the take. */
export interface Sides {
  width: number;
  height: number;
}

/** A window on a take: its middle and sides in the take's pixels, its turn in degrees. */
export interface Window extends Sides {
  x: number;
  y: number;
  turn: number;
}

export type Easing = CameraPath["easing"];

/** Units of a view: its size in thousandths, its place in ten-thousandths, its turn in hundredths. */
const SIZE = 1000;
const PLACE = 10_000;
const TURN = 100;
export const LAST = 1000;

const LEAST = SIZE;
const MOST = 8 * SIZE;

export const WHOLE: PathPoint = { at: 0, size: SIZE, right: 0, down: 0, turn: 0 };

/** The largest window of the film's shape on a take. */
function largest({ width, height }: Sides, film: Sides): Sides {
  const wider = (width * film.height) / (height * film.width);
  return wider > 1 ? { width: width / wider, height } : { width, height: height * wider };
}

export function windowOf(view: PathPoint, take: Sides, film: Sides): Window {
  const whole = largest(take, film);
  return {
    x: take.width * (0.5 + view.right / PLACE),
    y: take.height * (0.5 + view.down / PLACE),
    width: (whole.width * SIZE) / view.size,
    height: (whole.height * SIZE) / view.size,
    turn: view.turn / TURN,
  };
}

/** The upright rectangle around a window. */
function reach({ width, height, turn }: Window): Sides {
  const cos = Math.abs(Math.cos((turn * Math.PI) / 180));
  const sin = Math.abs(Math.sin((turn * Math.PI) / 180));
  return { width: width * cos + height * sin, height: width * sin + height * cos };
}

/** The nearest view inside the take, as the server keeps it; there it is worked out exactly. */
export function kept(view: PathPoint, take: Sides, film: Sides): PathPoint {
  const size = Math.max(LEAST, Math.min(MOST, Math.round(view.size)));
  const asked = windowOf({ ...view, size }, take, film);
  const around = reach(asked);
  const over = Math.max(1, around.width / take.width, around.height / take.height);
  const room = (all: number, part: number) =>
    Math.max(0, Math.floor(((all - part / over) / 2 / all) * PLACE));
  const across = room(take.width, around.width);
  const down = room(take.height, around.height);
  return {
    at: view.at,
    size: Math.min(MOST, Math.ceil(size * over)),
    right: Math.round(Math.max(0 - across, Math.min(across, view.right))),
    down: Math.round(Math.max(0 - down, Math.min(down, view.down))),
    turn: Math.round(view.turn),
  };
}

/** How much of the way lies behind at a share of the time. */
export function eased(easing: Easing, t: number): number {
  switch (easing) {
    case "EVEN":
      return t;
    case "SLOW_START":
      return t * t;
    case "SLOW_END":
      return t * (2 - t);
    case "SLOW_BOTH":
      return t * t * (3 - 2 * t);
  }
}

/** How far a frame of the film is into a shot: 0 to 1 inside it. */
export const timeOf = (shot: Placed, frame: number) =>
  (frame - shot.start + 0.5) / (shot.end - shot.start);

/** What is seen at a share of the shot's time. */
export function viewAt({ points, easing }: CameraPath, time: number): PathPoint {
  const last = (points.at(-1)?.at ?? LAST) / LAST;
  const on = eased(easing, Math.max(0, Math.min(1, time / last))) * last * LAST;
  const next = Math.max(
    1,
    points.findIndex((p, i) => i > 0 && (p.at >= on || i === points.length - 1)),
  );
  const a = points[next - 1] ?? WHOLE;
  const b = points[next] ?? a;
  const share = b.at === a.at ? 0 : Math.max(0, Math.min(1, (on - a.at) / (b.at - a.at)));
  const mix = (from: number, to: number) => from + (to - from) * share;
  return {
    at: Math.round(on),
    // Edges move evenly, so it is the window's side that is mixed.
    size: 1 / mix(1 / a.size, 1 / b.size),
    right: mix(a.right, b.right),
    down: mix(a.down, b.down),
    turn: mix(a.turn, b.turn),
  };
}

/** A path that is to be changed: the shot's own, or one that stands still on the whole. */
export const pathOf = (shot: Placed): CameraPath =>
  shot.path ?? { points: [WHOLE, { ...WHOLE, at: LAST }], easing: "SLOW_BOTH", fills: null };

/** A path with another view in one of its places. */
export function withPoint(
  path: CameraPath,
  index: number,
  to: Partial<PathPoint>,
  take: Sides,
  film: Production,
): CameraPath {
  return {
    ...path,
    fills: null,
    points: path.points.map((p, i) => (i === index ? kept({ ...p, ...to }, take, film) : p)),
  };
}

/** What a view is called by its place in the path. */
export const pointName = (index: number, count: number) =>
  index === 0 ? "first" : index === count - 1 ? "last" : `view ${index + 1}`;
