import type { Film } from "../../api/client";
import { useRoom } from "../../store";

let sounding: HTMLAudioElement | null = null;

/** Plays a sound's own file; what plays already stops. */
export function hear(url: string) {
  hush();
  sounding = new Audio(url);
  sounding.play().catch(() => {
    // Another was asked for before this one began.
  });
}

/** Stops what plays. */
export function hush() {
  sounding?.pause();
  sounding = null;
}

/** Plays the film around a moment: a second before it, and one and a half after. */
export function hearAround(film: Film, frame: number, fps: number) {
  hush();
  const from = Math.max(0, Math.round(frame - fps));
  const until = Math.min(film.length, Math.round(frame + 1.5 * fps));
  const { jump, set } = useRoom.getState();
  jump(from);
  set({ playing: true, until, loop: null, speed: 1 });
}
