import { useCallback, useRef, useState } from "react";

interface Size {
  width: number;
  height: number;
}

/** The inner size of an element, kept up to date; `first` stands until it is measured. */
export function useSize(first: Size): [(element: HTMLElement | null) => void, Size] {
  const [size, setSize] = useState(first);
  const observer = useRef<ResizeObserver | null>(null);
  const ref = useCallback((element: HTMLElement | null) => {
    observer.current?.disconnect();
    if (!element) return;
    observer.current = new ResizeObserver(() =>
      setSize({ width: element.clientWidth, height: element.clientHeight }),
    );
    observer.current.observe(element);
  }, []);
  return [ref, size];
}
