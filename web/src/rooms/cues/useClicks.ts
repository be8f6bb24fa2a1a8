import { useEffect, type RefObject } from "react";
import type { Song } from "../../api/client";

/** How far ahead clicks are handed to the sound system, in seconds. */
const AHEAD = 0.2;

/** Plays a click on every beat while a song sounds, a higher one on downbeats. */
export function useClicks(on: boolean, song: Song, audio: RefObject<HTMLAudioElement | null>) {
  useEffect(() => {
    if (!on) return;
    const context = new AudioContext();
    let next = -1;
    let last = 0;
    const timer = setInterval(() => {
      const element = audio.current;
      if (!element || element.paused) {
        next = -1;
        return;
      }
      const now = element.currentTime;
      if (next < 0 || Math.abs(now - last) > 0.5) {
        next = song.beats.findIndex((beat) => beat >= now);
      }
      last = now;
      for (; next >= 0 && next < song.beats.length; next++) {
        const beat = song.beats[next] ?? 0;
        if (beat > now + AHEAD) break;
        const down = (next - song.firstDownbeat) % song.beatsPerBar === 0;
        click(context, context.currentTime + Math.max(0, beat - now), down ? 1760 : 1175);
      }
    }, 40);
    return () => {
      clearInterval(timer);
      void context.close();
    };
  }, [on, song, audio]);
}

function click(context: AudioContext, at: number, hertz: number) {
  const tone = context.createOscillator();
  const level = context.createGain();
  tone.frequency.value = hertz;
  level.gain.setValueAtTime(0.35, at);
  level.gain.exponentialRampToValueAtTime(0.001, at + 0.05);
  tone.connect(level).connect(context.destination);
  tone.start(at);
  tone.stop(at + 0.06);
}
