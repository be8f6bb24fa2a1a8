import type { Mask, Matte } from "../../api/client";

interface Spot {
  x: number;
  y: number;
}

/** Corners that an ellipse is drawn with. */
const ROUND = 48;

/** A mask's edge as points, in thousandths of the picture. */
export function pointsOf({ kind, points }: Mask): Spot[] {
  const [a, b] = points;
  if (kind === "OUTLINE" || !a || !b) return [...points];
  if (kind === "RECTANGLE") return [a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }];
  return Array.from({ length: ROUND }, (_, i) => {
    const turn = (2 * Math.PI * i) / ROUND;
    return {
      x: (a.x + b.x) / 2 + ((b.x - a.x) / 2) * Math.cos(turn),
      y: (a.y + b.y) / 2 + ((b.y - a.y) / 2) * Math.sin(turn),
    };
  });
}

/** A matte with another mask in one of its places. */
export const withMask = (matte: Matte, index: number, mask: Mask): Matte => ({
  ...matte,
  masks: matte.masks.map((m, i) => (i === index ? mask : m)),
});

const LEAST = -1000;
const MOST = 2000;
const kept = (v: number) => Math.round(Math.max(LEAST, Math.min(MOST, v)));

/** A matte with a point of a mask elsewhere. */
export function withSpot(matte: Matte, index: number, spot: number, to: Spot): Matte {
  const mask = matte.masks[index];
  if (!mask) return matte;
  const points = mask.points.map((p, i) => (i === spot ? { x: kept(to.x), y: kept(to.y) } : p));
  return withMask(matte, index, { ...mask, points });
}
