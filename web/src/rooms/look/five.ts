import type { Basics } from "../../api/client";

/** One of the five numbers: its name, how far it goes, and how it is written. */
export interface Number5 {
  name: keyof Basics;
  label: string;
  most: number;
  /** How many of its steps make one of what is shown. */
  parts: number;
  digits: number;
  unit: string;
  step: number;
}

/** The five in their order. */
export const FIVE: readonly Number5[] = [
  { name: "exposure", label: "Exposure", most: 400, parts: 100, digits: 2, unit: "stops", step: 5 },
  { name: "contrast", label: "Contrast", most: 100, parts: 1, digits: 0, unit: "", step: 1 },
  { name: "warmth", label: "Warmth", most: 100, parts: 1, digits: 0, unit: "mired", step: 1 },
  { name: "tint", label: "Tint", most: 100, parts: 1, digits: 0, unit: "", step: 1 },
  { name: "saturation", label: "Saturation", most: 100, parts: 1, digits: 0, unit: "%", step: 1 },
];
