import { useState } from "react";
import type { Film, Production } from "../../api/client";
import { useFilmEdit } from "../../api/useFilmEdit";
import { useNotice } from "../../parts/notice";
import { useRoom } from "../../store";
import { watched } from "../score/shapes";
import { placeUnder } from "./placeUnder";

/** Choosing a place in the picture that a title or a sound goes with. */
export function useFollow(production: Production, film: Film) {
  const edit = useFilmEdit(production.id);
  const tell = useNotice((s) => s.tell);
  const [picking, setPicking] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const shape = useRoom((s) => s.shape);
  const pick = (at: { x: number; y: number }) => {
    const item = picking;
    const { frame } = useRoom.getState();
    const place = placeUnder(film, frame, watched(film, production, shape), at);
    if (!item) return;
    if (!place) {
      tell("There is no shot in the picture there; point at one.", "wrong");
      return;
    }
    setPicking(null);
    setBusy(true);
    const values = { item, frame, ...place };
    void edit({ name: "follow-place", values })
      .catch(() => undefined)
      .finally(() => setBusy(false));
  };
  return {
    /** The item for which a place is being chosen; null if none is. */
    picking,
    busy,
    begin: (item: string) => {
      useRoom.getState().set({ playing: false });
      setPicking(item);
    },
    giveUp: () => setPicking(null),
    pick,
    stay: (item: string) =>
      void edit({ name: "follow-nothing", values: { item } }).catch(() => undefined),
  };
}

export type Follow = ReturnType<typeof useFollow>;
