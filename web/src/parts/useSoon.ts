import { useEffect, useRef, useState } from "react";

const WAIT_MS = 400;

/** Does something a moment after it was last asked for: presses of keys that follow each other. */
export function useSoon(act: () => void): () => void {
  const [asked, setAsked] = useState(0);
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    if (asked === 0) return;
    const wait = setTimeout(() => latest.current(), WAIT_MS);
    return () => clearTimeout(wait);
  }, [asked]);
  return () => setAsked((n) => n + 1);
}
