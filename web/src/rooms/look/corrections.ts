import type { ColourCorrection, ColourList, Curves, Tones } from "../../api/client";

/** Where a card that reflects 18 % lies in a signal, in percent: contrast's usual pivot. */
const GREY = 41;

/** Whether anything but curves is said of dark and light. */
export const isToned = ({ pivot, blacks, whites, shoulder, toe, vibrance }: Tones) =>
  pivot !== GREY || [blacks, whites, shoulder, toe, vibrance].some((v) => v !== 0);

/** Whether a curve is drawn. */
export const isCurved = (curves: Curves) =>
  Object.values(curves).some((curve) => curve.points.length > 0);

/** Whether a list does anything. */
export const isListed = ({ slope, offset, power, saturation }: ColourList) =>
  saturation !== 1 ||
  [slope, power].some(({ red, green, blue }) => red !== 1 || green !== 1 || blue !== 1) ||
  offset.red !== 0 ||
  offset.green !== 0 ||
  offset.blue !== 0;

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/** What differs between two is laid over a third, part by part. */
function laidOver<T extends object>(before: T, after: T, now: T): T {
  const changed = (Object.keys(after) as (keyof T)[]).filter((k) => !same(before[k], after[k]));
  return { ...now, ...Object.fromEntries(changed.map((k) => [k, after[k]])) };
}

/**
 * A change of a shot's correction, made of what it has become meanwhile: numbers that the person
 * left alone stay as they are now.
 */
export const carriedOver = (
  before: ColourCorrection,
  after: ColourCorrection,
  now: ColourCorrection,
): ColourCorrection => ({
  ...laidOver(before, after, now),
  basics: laidOver(before.basics, after.basics, now.basics),
  tones: laidOver(before.tones, after.tones, now.tones),
});
