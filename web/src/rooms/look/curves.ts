import type { Curve } from "../../api/client";

export type CurvePoint = Curve["points"][number];

/** Points that a hand can still hold apart. */
export const MOST_POINTS = 8;

/** The furthest a point goes, each way. */
export const END = 1000;

const clamp = (v: number, least: number, most: number) => Math.max(least, Math.min(most, v));

/** The points that are drawn: a curve without any is straight. */
export const shownPoints = (curve: Curve): readonly CurvePoint[] =>
  curve.points.length > 0
    ? curve.points
    : [
        { from: 0, to: 0 },
        { from: END, to: END },
      ];

/** A curve with one of its points elsewhere, kept between its neighbours. */
export function withPoint(curve: Curve, at: number, to: CurvePoint): Curve {
  const points = shownPoints(curve);
  const before = points[at - 1]?.from ?? -1;
  const after = points[at + 1]?.from ?? END + 1;
  const moved = {
    from: clamp(Math.round(to.from), before + 1, after - 1),
    to: clamp(Math.round(to.to), 0, END),
  };
  return { points: points.map((p, i) => (i === at ? moved : p)) };
}

/** A curve with one more point; the same and no place if there is no room. */
export function withMore(curve: Curve, more: CurvePoint): { curve: Curve; at: number } {
  const points = shownPoints(curve);
  const from = Math.round(more.from);
  if (points.length >= MOST_POINTS || points.some((p) => Math.abs(p.from - from) < 2)) {
    return { curve, at: -1 };
  }
  const all = [...points, { from, to: clamp(Math.round(more.to), 0, END) }].sort(
    (a, b) => a.from - b.from,
  );
  return { curve: { points: all }, at: all.findIndex((p) => p.from === from) };
}

/** A curve with a point less; two are left at least, and the straight one is said by none. */
export function withoutPoint(curve: Curve, at: number): Curve {
  const points = shownPoints(curve).filter((_, i) => i !== at);
  const straight =
    points.length <= 2 && points.every((p) => p.from === p.to && (p.from === 0 || p.from === END));
  return points.length < 2 || straight ? { points: [] } : { points };
}

/**
 * The curve as a path in a square of a side: monotone cubic pieces (Fritsch and Carlson 1980), as
 * the film is graded.
 */
export function pathOf(curve: Curve, side: number): string {
  const p = shownPoints(curve);
  const x = (i: number) => p[i]?.from ?? 0;
  const y = (i: number) => p[i]?.to ?? 0;
  const slopes = p.slice(1).map((_, i) => (y(i + 1) - y(i)) / (x(i + 1) - x(i)));
  const tangents = p.map((_, i) => {
    const left = slopes[i - 1];
    const right = slopes[i];
    if (left === undefined || right === undefined) return left ?? right ?? 0;
    return left * right <= 0 ? 0 : (left + right) / 2;
  });
  slopes.forEach((slope, i) => {
    const a = tangents[i] ?? 0;
    const b = tangents[i + 1] ?? 0;
    if (slope === 0) {
      tangents[i] = tangents[i + 1] = 0;
      return;
    }
    const far = Math.hypot(a / slope, b / slope);
    if (far > 3) {
      tangents[i] = (3 * a) / far;
      tangents[i + 1] = (3 * b) / far;
    }
  });
  const at = (from: number, to: number) =>
    `${((from / END) * side).toFixed(2)} ${((1 - to / END) * side).toFixed(2)}`;
  let path = `M ${at(0, y(0))} L ${at(x(0), y(0))}`;
  slopes.forEach((_, i) => {
    const third = (x(i + 1) - x(i)) / 3;
    path += ` C ${at(x(i) + third, y(i) + third * (tangents[i] ?? 0))} ${at(x(i + 1) - third, y(i + 1) - third * (tangents[i + 1] ?? 0))} ${at(x(i + 1), y(i + 1))}`;
  });
  return `${path} L ${at(END, y(p.length - 1))}`;
}
