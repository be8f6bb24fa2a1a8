import type { Film, Joint, Placed } from "../api/client";
import { isDownbeat } from "../parts/time";

/** A film of shots cut on every second downbeat of 120 BPM at 24 fps, after a lead-in of a beat. */
export function film(shots = 12, over: Partial<Film> = {}): Film {
  const clock = {
    song: 1,
    title: "Steps",
    bpm: 120,
    beatsPerBar: 4,
    firstDownbeat: 1,
    beats: Array.from({ length: 240 }, (_, i) => i * 12),
    frames: Array.from({ length: 240 }, (_, i) => i * 12),
    sections: [],
  };
  const frameOf = (joint: number) => (joint === 0 ? 0 : (1 + 8 * joint) * 12);
  const joints: Joint[] = Array.from({ length: shots + 1 }, (_, i) => {
    const beat = i === 0 ? -1 : 1 + 8 * i;
    return {
      frame: i === 0 ? 0 : beat * 12,
      tie: i === 0 ? "FREE" : "BEAT",
      beat,
      offset: 0,
      downbeat: i > 0 && isDownbeat(clock, beat),
      bar: 2 * i + 1,
      beatInBar: 1,
      line: "",
      word: -1,
      edge: null,
      reason: i === 0 ? "the film begins" : `downbeat of bar ${2 * i + 1}`,
      passing: null,
      reach: {
        trim: {
          least: i === 0 ? 0 : frameOf(i - 1) + 1,
          most: i === shots ? null : frameOf(i + 1) - 1,
        },
        // Ten frames of each take lie before what is used of it.
        roll: { least: frameOf(i) - 10, most: frameOf(i + 1) - 1 },
        rippleEnd: { least: frameOf(i - 1) + 1, most: null },
        rippleStart: { least: frameOf(i) - 10, most: frameOf(i + 1) - 1 },
        slide: { least: frameOf(i) - 10, most: frameOf(i + 1) - 1 },
      },
    };
  });
  const placed: Placed[] = Array.from({ length: shots }, (_, i) => ({
    place: i,
    shotId: 100 + i,
    label: `${i + 1}0`.padStart(3, "0"),
    title: `Shot ${i + 1}`,
    takeId: 200 + i,
    id: String(100 + i),
    in: 10,
    used: (joints[i + 1]?.frame ?? 0) - (joints[i]?.frame ?? 0),
    material: 130,
    framing: "FILL",
    path: null,
    focus: null,
    matte: { keys: [], masks: [], part: "ALL", wrap: 0 },
    shapes: [],
    treatments: [],
    amounts: null,
    corrected: false,
    picture: { width: 1920, height: 1080 },
    locked: false,
    run: { way: "FORWARD", from: 100, to: 100, between: "NEAREST" },
    sounding: false,
    sound: { on: false, lead: 0, tail: 0, gain: 0 },
    group: 0,
    start: joints[i]?.frame ?? 0,
    end: joints[i + 1]?.frame ?? 0,
  }));
  return {
    revision: 7,
    length: joints.at(-1)?.frame ?? 0,
    songStart: 0,
    shapes: [
      { name: "16:9", width: 1920, height: 1080 },
      { name: "9:16", width: 1080, height: 1920 },
      { name: "1:1", width: 1080, height: 1080 },
    ],
    treatments: [],
    fade: 48,
    pace: [],
    shots: placed,
    joints,
    overlays: [],
    sounds: [],
    laid: 0,
    titled: 0,
    landings: [],
    markers: [],
    problems: [],
    outside: [],
    clock,
    voice: [],
    ...over,
  };
}
