import { useEffect, useRef } from "react";
import { useNotice } from "../parts/notice";
import type { Master } from "./client";
import { isOpen } from "./masters";
import { useMasters } from "./queries";

/** Tells when a master of a production ends, in whatever room a person is, and outside of it. */
export function useMasterNews(id: number) {
  const tell = useNotice((s) => s.tell);
  const known = useRef(new Map<number, Master["state"]>());
  const masters = useMasters(id).data;
  useEffect(() => {
    for (const master of masters ?? []) {
      const before = known.current.get(master.id);
      known.current.set(master.id, master.state);
      const text = endOf(master);
      if (before && isOpen(before) && text !== null) {
        tell(text, master.state === "DONE" ? "said" : "wrong");
        sayOutside(text);
      }
    }
  }, [masters, tell]);
}

function endOf(master: Master): string | null {
  switch (master.state) {
    case "DONE":
      return `“${master.name}” is made and checked.`;
    case "DOUBTFUL":
      return `“${master.name}” is made, but look at it: ${master.message ?? ""}`;
    case "FAILED":
      return `“${master.name}” could not be made. ${master.message ?? ""}`;
    default:
      return null;
  }
}

/** Whether a person can still be asked for leave to tell them outside of this window. */
export const mayAsk = () => "Notification" in window && Notification.permission === "default";

export const askLeave = () => Notification.requestPermission();

function sayOutside(text: string) {
  if ("Notification" in window && Notification.permission === "granted" && document.hidden)
    new Notification("Late Thistle", { body: text });
}
