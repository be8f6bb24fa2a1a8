/** "1 shot", "2 shots". */
export const plural = (count: number, one: string, many = `${one}s`) =>
  `${count} ${count === 1 ? one : many}`;

/** "−3.5": a number with so many digits behind its point, and a true minus sign. */
export const decimal = (value: number, digits = 1) => value.toFixed(digits).replace("-", "−");

/** "16:9" for the usual shapes, else "1000×400". */
export function shapeName(width: number, height: number): string {
  for (const [w, h] of [
    [16, 9],
    [9, 16],
    [1, 1],
    [4, 5],
    [4, 3],
    [21, 9],
  ] as const) {
    if (Math.abs((width * h) / (height * w) - 1) < 0.01) return `${w}:${h}`;
  }
  return `${width}×${height}`;
}

/** A file's size in kB or MB. */
export const fileSize = (bytes: number) =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

export const framingName = { FIT: "fit", FILL: "fill", SOFT: "soft" } as const;

/** What a framing does to a picture, for people. */
export const framingMeaning = {
  FIT: "whole picture, bars at the sides",
  FILL: "fills the frame, edges cropped",
  SOFT: "whole picture over a soft copy of itself",
} as const;
