import { useEffect, useRef } from "react";
import { soundUrl, type Film, type Production } from "../../api/client";
import { useRoom } from "../../store";

/** How long each bit is heard, and how it rises and falls, in seconds. */
const GRAIN = 0.09;
const EDGE = 0.012;

/** Films longer than this, in seconds, are not kept decoded: as many take 115 MB. */
const LONGEST = 300;

/** Lets the film be heard while the playhead is moved: a bit of it at each new frame. */
export function useScrubSound(production: Production, film: Film) {
  const on = useRoom((s) => s.scrubSound);
  const heard = useRef<{ url: string; context: AudioContext; sound: AudioBuffer } | null>(null);
  const fps = production.framesPerSecond;
  const url = soundUrl(production.id, film.revision);
  const short = film.length / fps <= LONGEST;

  useEffect(() => {
    if (!on || !short) return;
    let wanted = true;
    const context = heard.current?.context ?? new AudioContext();
    void (async () => {
      const answer = await fetch(url);
      if (!answer.ok) return;
      const sound = await context.decodeAudioData(await answer.arrayBuffer());
      if (wanted) heard.current = { url, context, sound };
    })().catch(() => undefined);
    const stop = useRoom.subscribe((now, before) => {
      if (now.frame !== before.frame && (!now.playing || now.speed < 0)) {
        grain(heard.current, now.frame / fps);
      }
    });
    return () => {
      wanted = false;
      stop();
    };
  }, [on, short, url, fps]);

  useEffect(
    () => () => {
      void heard.current?.context.close();
      heard.current = null;
    },
    [],
  );
}

function grain(heard: { context: AudioContext; sound: AudioBuffer } | null, at: number) {
  if (!heard || at >= heard.sound.duration) return;
  const { context, sound } = heard;
  const source = context.createBufferSource();
  const level = context.createGain();
  const now = context.currentTime;
  source.buffer = sound;
  level.gain.setValueAtTime(0, now);
  level.gain.linearRampToValueAtTime(1, now + EDGE);
  level.gain.setValueAtTime(1, now + GRAIN - EDGE);
  level.gain.linearRampToValueAtTime(0, now + GRAIN);
  source.connect(level).connect(context.destination);
  source.start(now, at, GRAIN);
}
