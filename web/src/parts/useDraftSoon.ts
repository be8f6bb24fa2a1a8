import { useEffect } from "react";
import { useSoon, type Soon } from "./useSoon";

/**
 * Sends a draft a moment after the last press of a key, or at once when something else is to be done.
 * The draft is dropped when what it is of arrives anew, but not while presses since then are still to
 * be sent: they would be lost.
 *
 * @param of what is edited, as it was read last
 * @param send sends the draft
 * @param drop goes back to what was read; always the same function
 */
export function useDraftSoon(of: unknown, send: () => void, drop: () => void): Soon {
  const soon = useSoon(send);
  const { waits } = soon;
  useEffect(() => {
    if (!waits()) drop();
  }, [of, drop, waits]);
  return soon;
}
