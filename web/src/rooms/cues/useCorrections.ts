import { api, raw, type Correction, type Production, type Song } from "../../api/client";
import { useChange } from "../../api/queries";

export interface Corrections {
  halve: () => void;
  double: () => void;
  halfBeatLater: () => void;
  /** The beat nearest to a time begins a bar. */
  downbeatAt: (seconds: number) => void;
  /** The first downbeat goes to the next beat, or the one before. */
  shiftDownbeat: (by: 1 | -1) => void;
  bars: (count: number) => void;
  moveBeat: (from: number, to: number) => void;
  hold: (from: number, to: number) => void;
  /** Somebody sings in a span, or nobody does. */
  sung: (from: number, to: number, sung: boolean) => void;
  addBorder: (at: number) => void;
  /** The border nearest to a time goes. */
  removeBorder: (at: number) => void;
  moveBorder: (from: number, to: number) => void;
  /** Beats and bars from a MIDI file. */
  tempoMap: (file: File) => void;
  taps: (at: readonly number[]) => void;
}

const NOTHING: Omit<Correction, "name"> = { at: null, to: null, count: null, taps: null };

/** What a person can put right in a song's grid. */
export function useCorrections(production: Production, song: Song): Corrections {
  const params = { path: { productionId: production.id, songId: song.id } };
  const { mutate: put } = useChange<Correction>(production.id, (body) =>
    api.POST("/api/productions/{productionId}/songs/{songId}/corrections", { params, body }),
  );
  const { mutate: tempoMap } = useChange<File>(production.id, (file) =>
    api.POST("/api/productions/{productionId}/songs/{songId}/tempo-map", {
      params,
      ...raw(file),
    }),
  );
  const correct = (name: string, values: Partial<Correction> = {}) =>
    put({ ...NOTHING, name, ...values });
  return {
    halve: () => correct("halve"),
    double: () => correct("double"),
    halfBeatLater: () => correct("half-beat-later"),
    downbeatAt: (at) => correct("downbeat", { at }),
    shiftDownbeat: (by) => {
      const next = (song.firstDownbeat + by + song.beatsPerBar) % song.beatsPerBar;
      correct("downbeat", { at: song.beats[next] ?? 0 });
    },
    bars: (count) => correct("bars", { count }),
    moveBeat: (at, to) => correct("move-beat", { at, to }),
    hold: (at, to) => correct("hold-tempo", { at, to }),
    sung: (at, to, sung) => correct(sung ? "sung" : "not-sung", { at, to }),
    addBorder: (at) => correct("add-border", { at }),
    removeBorder: (at) => correct("remove-border", { at }),
    moveBorder: (at, to) => correct("move-border", { at, to }),
    tempoMap: (file) => tempoMap(file),
    taps: (at) => correct("taps", { taps: [...at] }),
  };
}
