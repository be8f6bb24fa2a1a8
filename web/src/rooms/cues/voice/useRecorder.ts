import { useCallback, useEffect, useRef, useState } from "react";
import { useNotice } from "../../../parts/notice";

/** Seconds counted in before a recording begins. */
const COUNT_IN = 3;

interface Running {
  stream: MediaStream;
  recorder: MediaRecorder;
  context: AudioContext;
  timers: ReturnType<typeof setInterval>[];
}

/**
 * Records the microphone: a count-in, then until it is stopped.
 *
 * `state` is what goes on, `count` the seconds left of the count-in, `level` the highest magnitude
 * of the last moment, 0 to 1.
 */
export function useRecorder(done: (sound: Blob) => void) {
  const [state, setState] = useState<"idle" | "counting" | "recording">("idle");
  const [count, setCount] = useState(0);
  const [level, setLevel] = useState(0);
  const running = useRef<Running | null>(null);
  const taken = useRef(done);
  useEffect(() => {
    taken.current = done;
  });
  const tell = useNotice((s) => s.tell);

  const end = useCallback(() => {
    const r = running.current;
    running.current = null;
    r?.timers.forEach(clearInterval);
    if (r?.recorder.state === "recording") r.recorder.stop();
    else r?.stream.getTracks().forEach((track) => track.stop());
    void r?.context.close();
    setState("idle");
    setLevel(0);
  }, []);
  useEffect(() => end, [end]);

  const begin = useCallback(async () => {
    let stream: MediaStream;
    try {
      stream = await navigator.mediaDevices.getUserMedia({
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
      });
    } catch {
      tell(
        "No microphone: none is connected, or this page may not use it. Allow it beside the address.",
        "wrong",
      );
      return;
    }
    const recorder = new MediaRecorder(stream);
    const parts: Blob[] = [];
    recorder.ondataavailable = (e) => parts.push(e.data);
    recorder.onstop = () => {
      stream.getTracks().forEach((track) => track.stop());
      taken.current(new Blob(parts, { type: recorder.mimeType }));
    };
    const context = new AudioContext();
    const meter = context.createAnalyser();
    meter.fftSize = 2048;
    context.createMediaStreamSource(stream).connect(meter);
    const samples = new Float32Array(meter.fftSize);
    const timers = [
      setInterval(() => {
        meter.getFloatTimeDomainData(samples);
        setLevel(samples.reduce((most, s) => Math.max(most, Math.abs(s)), 0));
      }, 60),
    ];
    running.current = { stream, recorder, context, timers };
    let left = COUNT_IN;
    setCount(left);
    setState("counting");
    const counting = setInterval(() => {
      left--;
      setCount(left);
      if (left > 0) return;
      clearInterval(counting);
      recorder.start();
      setState("recording");
    }, 1000);
    timers.push(counting);
  }, [tell]);

  return { state, count, level, begin, end };
}
