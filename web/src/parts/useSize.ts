import { useCallback, useRef, useState } from "react";

interface Size {
  width: number;
  height: number;
}

/** What was measured last, by what it was measured of: a room that is entered again is drawn once. */
const known = new Map<string, Size>();

/**
 * The inner size of an element, kept up to date; until it is measured, what it was when it was seen
 * last, or `first`.
 *
 * @param name what is measured; elements that are as large go by the same one
 */
export function useSize(name: string, first: Size): [(element: HTMLElement | null) => void, Size] {
  const [size, setSize] = useState(known.get(name) ?? first);
  const observer = useRef<ResizeObserver | null>(null);
  const ref = useCallback(
    (element: HTMLElement | null) => {
      observer.current?.disconnect();
      if (!element) return;
      observer.current = new ResizeObserver(() => {
        const { clientWidth: width, clientHeight: height } = element;
        known.set(name, { width, height });
        setSize((now) => (now.width === width && now.height === height ? now : { width, height }));
      });
      observer.current.observe(element);
    },
    [name],
  );
  return [ref, size];
}
