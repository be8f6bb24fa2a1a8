import type { Mask } from "../../api/client";

interface Spot {
  x: number;
  y: number;
}

export const MASK_NAMES: Record<Mask["kind"], string> = {
  RECTANGLE: "rectangle",
  ELLIPSE: "ellipse",
  OUTLINE: "outline",
};

export const MASK_KINDS = Object.keys(MASK_NAMES) as Mask["kind"][];

/** Masks that lie on a picture at most. */
export const MOST_MASKS = 4;

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

/** Masks with another one in one of their places. */
export const withMask = (masks: readonly Mask[], index: number, mask: Mask): Mask[] =>
  masks.map((m, i) => (i === index ? mask : m));

const LEAST = -1000;
const MOST = 2000;
const kept = (v: number) => Math.round(Math.max(LEAST, Math.min(MOST, v)));

/** Masks with a point of one elsewhere. */
export function withSpot(masks: readonly Mask[], index: number, spot: number, to: Spot): Mask[] {
  return masks.map((mask, i) =>
    i === index
      ? {
          ...mask,
          points: mask.points.map((p, k) => (k === spot ? { x: kept(to.x), y: kept(to.y) } : p)),
        }
      : mask,
  );
}
