import type { ColourList, Curves, Tones } from "../../api/client";

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
