import { under, type Production, type Song } from "../../api/client";
import { useChange } from "../../api/queries";

export interface Corrections {
  halve: () => void;
  double: () => void;
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
  moveBorder: (from: number, to: number) => void;
  /** Beats and bars from a MIDI file. */
  tempoMap: (file: File) => void;
  taps: (at: readonly number[]) => void;
  undo: () => void;
  redo: () => void;
}

/** What a person can put right in a song's grid. */
export function useCorrections(production: Production, song: Song): Corrections {
  const { mutate } = useChange<{ path: string; body: object | File }>(
    production.id,
    ({ path, body }) => ({
      method: "POST",
      path: `${under(production.id)}/songs/${song.id}/${path}`,
      body,
    }),
  );
  const correct = (name: string, values: object = {}) =>
    mutate({ path: "corrections", body: { name, ...values } });
  return {
    halve: () => correct("halve"),
    double: () => correct("double"),
    downbeatAt: (at) => correct("downbeat", { at }),
    shiftDownbeat: (by) => {
      const next = (song.firstDownbeat + by + song.beatsPerBar) % song.beatsPerBar;
      correct("downbeat", { at: song.beats[next] });
    },
    bars: (count) => correct("bars", { count }),
    moveBeat: (at, to) => correct("move-beat", { at, to }),
    hold: (at, to) => correct("hold-tempo", { at, to }),
    sung: (at, to, sung) => correct(sung ? "sung" : "not-sung", { at, to }),
    addBorder: (at) => correct("add-border", { at }),
    moveBorder: (at, to) => correct("move-border", { at, to }),
    tempoMap: (file) => mutate({ path: "tempo-map", body: file }),
    taps: (at) => correct("taps", { taps: at }),
    undo: () => mutate({ path: "undo", body: {} }),
    redo: () => mutate({ path: "redo", body: {} }),
  };
}
