import { useCallback, useEffect, useRef, useState } from "react";

/** After so long without a tap, in ms, what was tapped is taken. */
const PAUSE = 1600;
const FEWEST = 4;

/** Gathers taps along a playing song; a pause ends them. */
export function useTaps(now: () => number, done: (at: readonly number[]) => void) {
  const [taps, setTaps] = useState<readonly number[]>([]);
  const taken = useRef(done);
  useEffect(() => {
    taken.current = done;
  });
  useEffect(() => {
    if (taps.length === 0) return;
    const timer = setTimeout(() => {
      if (taps.length >= FEWEST) taken.current(taps);
      setTaps([]);
    }, PAUSE);
    return () => clearTimeout(timer);
  }, [taps]);
  const tap = useCallback(() => {
    const at = now();
    setTaps((before) => (at > (before.at(-1) ?? -1) ? [...before, at] : before));
  }, [now]);
  const stretch = (taps.at(-1) ?? 0) - (taps[0] ?? 0);
  return { tap, count: taps.length, bpm: taps.length > 1 ? (60 * (taps.length - 1)) / stretch : 0 };
}
