import type { Light } from "../../api/client";

/** Half the height of a line stands for at least this much, in hundredths of a stop. */
const LEAST = 25;

const mean = ({ red, green, blue }: Light) => (red + green + blue) / 3;

/** How far light lies apart over a shot in the colour that changes most; hundredths of a stop. */
export function apart(lights: readonly Light[]): number {
  const over = (of: (light: Light) => number) => {
    const all = lights.map(of);
    return all.length === 0 ? 0 : Math.max(...all) - Math.min(...all);
  };
  return Math.max(
    over((l) => l.red),
    over((l) => l.green),
    over((l) => l.blue),
  );
}

/** What is left of a change that is levelled by so many percent. */
export const remains = (change: number, strength: number) => (change * (100 - strength)) / 100;

/** The mean of the colours over a shot's frames, as an SVG polyline; lighter is higher. */
export function lightLine(
  lights: readonly Light[],
  strength: number,
  width: number,
  height: number,
): string {
  const most = Math.max(LEAST, ...lights.map((l) => Math.abs(mean(l))));
  return lights
    .map((light, i) => {
      const x = (width * (i + 0.5)) / lights.length;
      const y = (height / 2) * (1 - (0.9 * remains(mean(light), strength)) / most);
      return `${x.toFixed(1)},${y.toFixed(1)}`;
    })
    .join(" ");
}
