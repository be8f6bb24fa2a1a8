import type { Reading } from "../../../api/client";

type Timed = Pick<Reading, "words" | "seconds">;

/** Where the words of a reading begin, with its ends: the same number for readings of one text. */
const marks = ({ words, seconds }: Timed) => [0, ...words.map((w) => w.start), seconds];

/** The place in another reading of the same words at which the same is said. */
export function samePlace(from: Timed, to: Timed, seconds: number): number {
  const here = marks(from);
  const there = marks(to);
  if (here.length !== there.length) return (seconds / Math.max(0.01, from.seconds)) * to.seconds;
  const next = here.findIndex((at, i) => i > 0 && seconds < at);
  if (next < 0) return to.seconds;
  const [a, b] = [here[next - 1] ?? 0, here[next] ?? 0];
  const [c, d] = [there[next - 1] ?? 0, there[next] ?? 0];
  return c + ((seconds - a) / Math.max(1e-6, b - a)) * (d - c);
}

/** How loud each of two readings is played so that both are equally loud: the louder one lower. */
export function equalVolumes(a: number, b: number): [number, number] {
  const lower = (own: number) => 10 ** ((Math.min(a, b) - own) / 20);
  return [lower(a), lower(b)];
}
