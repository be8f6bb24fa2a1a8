import { useEffect } from "react";
import { filmUrl, type Film, type Production } from "../../api/client";
import { useRoom } from "../../store";
import { SoundInParts, type Heard } from "./soundParts";

/** How long each bit is heard, and how it rises and falls, in seconds. */
const GRAIN = 0.09;
const EDGE = 0.012;

let context: AudioContext | null = null;

/** Lets the film be heard while the playhead is moved: a bit of it at each new frame. */
export function useScrubSound(production: Production, film: Film) {
  const on = useRoom((s) => s.scrubSound);
  const fps = production.framesPerSecond;
  const folder = filmUrl(production.id, film.revision).replace(/[^/]*$/, "");

  useEffect(() => {
    if (!on) return;
    const output = (context ??= new AudioContext());
    const sound = new SoundInParts(folder, output);
    return useRoom.subscribe((now, before) => {
      const { frame } = now;
      if (frame === before.frame || (now.playing && now.speed >= 0)) return;
      sound
        .at(frame / fps)
        .then((part) => {
          // By the time a part is there, the playhead may be elsewhere.
          if (part && useRoom.getState().frame === frame) grain(output, part, frame / fps);
        })
        .catch(() => undefined);
    });
  }, [on, folder, fps]);
}

function grain(output: AudioContext, part: Heard, at: number) {
  const source = output.createBufferSource();
  const level = output.createGain();
  const now = output.currentTime;
  source.buffer = part.sound;
  level.gain.setValueAtTime(0, now);
  level.gain.linearRampToValueAtTime(1, now + EDGE);
  level.gain.setValueAtTime(1, now + GRAIN - EDGE);
  level.gain.linearRampToValueAtTime(0, now + GRAIN);
  source.connect(level).connect(output.destination);
  source.start(now, Math.max(0, at - part.start), GRAIN);
}
