import type { Film, Lie, LiePoint, Overlay } from "../../api/client";
import { eased, LAST, type Sides, type Window } from "./views";

/** Units of a lie: its size and place in thousandths, its turn in hundredths of a degree. */
const PART = 1000;
const TURN = 100;

const RANGES = {
  at: [0, LAST],
  opacity: [0, 100],
  size: [10, 8 * PART],
  x: [-2 * PART, 3 * PART],
  y: [-2 * PART, 3 * PART],
  turn: [-720 * TURN, 720 * TURN],
} as const;

const WHOLE: LiePoint = { at: 0, opacity: 100, size: PART, x: PART / 2, y: PART / 2, turn: 0 };

/** How large a layer's picture is in the film's when it covers it; one that is fitted has no bars. */
export function coverOf({ shot }: Overlay, film: Sides): Sides {
  if (shot.framing !== "FIT") return { width: film.width, height: film.height };
  const scale = Math.min(film.width / shot.picture.width, film.height / shot.picture.height);
  return { width: shot.picture.width * scale, height: shot.picture.height * scale };
}

/** Where a layer lies, in the film's pixels. */
export function boxOf(lie: LiePoint, cover: Sides, film: Sides): Window {
  return {
    x: (film.width * lie.x) / PART,
    y: (film.height * lie.y) / PART,
    width: (cover.width * lie.size) / PART,
    height: (cover.height * lie.size) / PART,
    turn: lie.turn / TURN,
  };
}

/** A point of a lie within its ranges and in whole units. */
function kept(point: LiePoint): LiePoint {
  const within = (field: keyof typeof RANGES) =>
    Math.round(Math.max(RANGES[field][0], Math.min(RANGES[field][1], point[field])));
  return {
    at: within("at"),
    opacity: within("opacity"),
    size: within("size"),
    x: within("x"),
    y: within("y"),
    turn: within("turn"),
  };
}

/** A lie with another point in one of its places. */
export const withLiePoint = (lie: Lie, index: number, to: Partial<LiePoint>): Lie => ({
  ...lie,
  points: lie.points.map((p, i) => (i === index ? kept({ ...p, ...to }) : p)),
});

/** Where a layer lies at a share of the time it is seen. */
export function lieAt({ points, easing }: Lie, time: number): LiePoint {
  const last = points.at(-1) ?? WHOLE;
  const end = last.at / LAST;
  if (end === 0) return last;
  const on = eased(easing ?? "EVEN", Math.max(0, Math.min(1, time / end))) * last.at;
  const next = Math.max(
    1,
    points.findIndex((p, i) => i > 0 && (p.at >= on || i === points.length - 1)),
  );
  const a = points[next - 1] ?? last;
  const b = points[next] ?? last;
  const share = b.at === a.at ? 1 : Math.max(0, Math.min(1, (on - a.at) / (b.at - a.at)));
  const mix = (field: Exclude<keyof LiePoint, "at">) => a[field] + (b[field] - a[field]) * share;
  return {
    at: Math.round(on),
    opacity: mix("opacity"),
    size: mix("size"),
    x: mix("x"),
    y: mix("y"),
    turn: mix("turn"),
  };
}

/** A lie that moves from where the layer lies to a little beside it. */
export function moving(lie: Lie): Lie {
  const first = lie.points[0] ?? WHOLE;
  const aside = first.x > PART / 2 ? -1 : 1;
  return {
    points: [{ ...first, at: 0 }, kept({ ...first, at: LAST, x: first.x + (aside * PART) / 10 })],
    easing: "SLOW_BOTH",
  };
}

/** A lie through where the layer is at a time now. */
export function through(lie: Lie, time: number): Lie {
  const at = Math.round(Math.max(0, Math.min(1, time)) * LAST);
  const rest = lie.points.filter((p) => Math.abs(p.at - at) > 1);
  const points = [...rest, kept({ ...lieAt(lie, time), at })].sort((a, b) => a.at - b.at);
  return { ...lie, points };
}

/** How far the playhead is into the time a layer is seen. */
export const timeIn = ({ shot }: Overlay, frame: number) =>
  (frame - shot.start + 0.5) / Math.max(1, shot.end - shot.start);

/** Whether a layer is seen at a frame. */
export const isSeen = ({ shot }: Overlay, frame: number) => frame >= shot.start && frame < shot.end;

/** What lies over the cut that is selected and has a picture. */
export function laidPicture(film: Film, name: string | null): Overlay | undefined {
  return film.overlays.find((o) => o.shot.id === name && o.shot.takeId !== 0);
}
