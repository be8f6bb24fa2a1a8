import type { Film, Focus, OtherShape, Placed, Production } from "../../api/client";

/** The two numbers of a shape such as "9:16"; null if it is none. */
export function sidesOf(shape: string): { across: number; down: number } | null {
  const sides = /^(\d{1,4}):(\d{1,4})$/.exec(shape.trim());
  const [across, down] = [Number(sides?.[1]), Number(sides?.[2])];
  return across > 0 && down > 0 ? { across, down } : null;
}

/** The shape in which the film is watched; one that is typed has as short a side as the film. */
export function watched(film: Film, production: Production, shape: string | null): OtherShape {
  const own = { name: "", width: production.width, height: production.height };
  const listed = film.shapes.find((s) => s.name === shape);
  const sides = shape === null || listed ? null : sidesOf(shape);
  if (!sides) return listed ?? film.shapes[0] ?? own;
  const scale = Math.min(own.width, own.height) / Math.min(sides.across, sides.down);
  const even = (side: number) => 2 * Math.round((side * scale) / 2);
  return { name: shape ?? "", width: even(sides.across), height: even(sides.down) };
}

/** The shape after one in the film's list; null is its own, which comes first. */
export function nextShape({ shapes }: Pick<Film, "shapes">, shape: string | null): string | null {
  const now = Math.max(
    0,
    shapes.findIndex((s) => s.name === shape),
  );
  const next = (now + 1) % Math.max(1, shapes.length);
  return next === 0 ? null : (shapes[next]?.name ?? null);
}

/** A focus that stays at a place of the take, 0 to 1 from its left and top; as large as before. */
export const focusAt = (x: number, y: number, before: Focus | null): Focus => ({
  points: [{ at: 0, x: inside(x), y: inside(y) }],
  across: before?.across ?? 0,
  down: before?.down ?? 0,
});

/** How far into a shot a frame of the film is, in thousandths of its time. */
export const timeIn = ({ start, end }: Pick<Placed, "start" | "end">, frame: number): number =>
  Math.round((1000 * Math.max(0, Math.min(end - start, frame - start))) / Math.max(1, end - start));

/** Places of a focus nearer in time than this are the same one, in thousandths. */
const SAME = 15;

const isAt = (at: number) => (p: Focus["points"][number]) => Math.abs(p.at - at) < SAME;

/** A focus that goes through a place at a time, and through its other places at theirs. */
export function focusThrough(x: number, y: number, at: number, before: Focus | null): Focus {
  const still = focusAt(x, y, before);
  const [place] = still.points;
  if (!place) return still;
  const others = (before?.points ?? [place]).filter((p) => !isAt(at)(p));
  const first = others.find((p) => p.at === 0);
  const all = [...others, { ...place, at: first ? at : 0 }];
  return { ...still, points: all.sort((a, b) => a.at - b.at) };
}

/** The focus without its place at a time; null where that is none, or all that is left of it. */
export function focusWithout(at: number, before: Focus): Focus | null {
  const left = before.points.filter((p) => !isAt(at)(p));
  const [first, ...rest] = left;
  if (!first || left.length === before.points.length) return null;
  return { ...before, points: [{ ...first, at: 0 }, ...rest] };
}

/** A share of a side in thousandths, within it. */
export const inside = (share: number) => Math.round(1000 * Math.max(0, Math.min(1, share)));

/** Where a shot's focus is at a frame of the film, 0 to 1; the middle if none is said. */
export function focusOf({ focus, start, end }: Placed, frame: number): { x: number; y: number } {
  const points = focus?.points ?? [];
  const at = timeIn({ start, end }, frame);
  const after = points.findIndex((p) => p.at >= at);
  const b = points[after === -1 ? points.length - 1 : after];
  const a = points[Math.max(0, (after === -1 ? points.length : after) - 1)];
  if (!a || !b) return { x: 0.5, y: 0.5 };
  const share = b.at > a.at ? Math.max(0, Math.min(1, (at - a.at) / (b.at - a.at))) : 1;
  return { x: (a.x + share * (b.x - a.x)) / 1000, y: (a.y + share * (b.y - a.y)) / 1000 };
}

/** How a shot is framed in a shape, in words. */
export function framedIn(shot: Placed, name: string): string {
  const there = shot.shapes.find((s) => s.shape === name);
  const follows = (there?.said ?? null) === null;
  switch (there?.fit) {
    case "FIT":
      return "with bars";
    case "SOFT":
      return follows && shot.framing === "FILL" ? "too narrow: over a soft one" : "over a soft one";
    default:
      return follows && shot.focus ? "about its focus" : "its middle";
  }
}
