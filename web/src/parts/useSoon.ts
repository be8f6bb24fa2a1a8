import { useCallback, useEffect, useRef, useState } from "react";

const WAIT_MS = 400;

/** Something that is done soon. */
export interface Soon {
  /** Asks for it: it is done a moment after it was last asked for. */
  ask: () => void;
  /** Does it at once if it was asked for: what comes next must find it done. */
  now: () => void;
  /** Whether it is still to be done. */
  waits: () => boolean;
}

/** Does something a moment after it was last asked for: presses of keys that follow each other. */
export function useSoon(act: () => void): Soon {
  const [asked, setAsked] = useState(0);
  const latest = useRef(act);
  const waiting = useRef(false);
  useEffect(() => {
    latest.current = act;
  });
  const now = useCallback(() => {
    if (!waiting.current) return;
    waiting.current = false;
    latest.current();
  }, []);
  const waits = useCallback(() => waiting.current, []);
  useEffect(() => {
    if (asked === 0) return;
    const wait = setTimeout(now, WAIT_MS);
    return () => clearTimeout(wait);
  }, [asked, now]);
  const ask = () => {
    waiting.current = true;
    setAsked((n) => n + 1);
  };
  return { ask, now, waits };
}
