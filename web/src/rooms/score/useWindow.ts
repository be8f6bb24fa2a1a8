import { useCallback, useEffect, useRef, useState, type UIEvent } from "react";
import type { StavePlace } from "./layout";

/** What of a scrolling element is in sight, in its own pixels. */
export interface Window {
  top: number;
  bottom: number;
}

/** Scrolling is noticed in steps of so many pixels. */
const STEP = 40;

/** The part of a scrolling element that is in sight, in whole steps; and what it needs to know it. */
export function useWindow(height: number) {
  const [step, setStep] = useState(0);
  const onScroll = useCallback(
    (e: UIEvent<HTMLElement>) => setStep(Math.floor(e.currentTarget.scrollTop / STEP)),
    [],
  );
  const seen: Window = { top: step * STEP, bottom: (step + 1) * STEP + height };
  return { seen, onScroll };
}

/** Keeps the stave under the playhead in sight: its element scrolls when another one is reached. */
export function useFollow(open: number, places: readonly StavePlace[]) {
  const element = useRef<HTMLElement | null>(null);
  const here = places[open];
  const top = here?.top ?? 0;
  const bottom = top + (here?.parts.height ?? 0);
  useEffect(() => {
    const box = element.current;
    if (!box) return;
    if (top < box.scrollTop) box.scrollTop = top;
    else if (bottom > box.scrollTop + box.clientHeight) box.scrollTop = bottom - box.clientHeight;
  }, [top, bottom]);
  return element;
}
