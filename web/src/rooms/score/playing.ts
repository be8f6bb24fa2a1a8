import type { Film } from "../../api/client";
import { barOf, beatAt, isDownbeat } from "../../parts/time";
import { useRoom } from "../../store";
import type { Ruler } from "./layout";
import { wordEdges } from "./words";

export function goTo(film: Film, frame: number) {
  useRoom.getState().jump(Math.max(0, Math.min(film.length - 1, Math.round(frame))));
}

/**
 * Selects what lies over the cut at the playhead, upper layers first; pressed again what lies under
 * it there. Where nothing lies, the playhead goes to what comes next.
 */
export function selectLaid(film: Film) {
  const { frame, laid, set, jump } = useRoom.getState();
  const here = film.overlays
    .filter(({ shot }) => frame >= shot.start && frame < shot.end)
    .sort((a, b) => b.layer - a.layer);
  const now = here.findIndex((o) => o.shot.id === laid);
  const later = [...film.overlays].sort((a, b) => a.shot.start - b.shot.start);
  const next = here[(now + 1) % Math.max(1, here.length)];
  const found = next ?? later.find((o) => o.shot.start > frame) ?? later[0];
  if (!found) return;
  if (!next) jump(found.shot.start);
  set({ place: null, also: [], laid: found.shot.id });
}

/**
 * Selects a shot, with those it is grouped with, and, if the playhead is elsewhere, brings it to the
 * shot's first frame.
 *
 * @param wider whether all between it and what is selected are selected too
 */
export function select(film: Film, place: number, wider = false) {
  const shot = film.shots[place];
  if (!shot) return;
  const room = useRoom.getState();
  if (wider && room.place !== null) {
    const [from, to] = [Math.min(room.place, place), Math.max(room.place, place)];
    room.set({ also: film.shots.slice(from, to + 1).map((s) => s.place) });
    return;
  }
  const together = film.shots.filter((s) => shot.group !== 0 && s.group === shot.group);
  room.set({
    place,
    also: together.map((s) => s.place),
    laid: null,
    end: place === 0 ? "out" : "in",
    slipping: false,
  });
  if (!room.playing && (room.frame < shot.start || room.frame >= shot.end)) goTo(film, shot.start);
}

/** Chooses a stretch of the film; an empty one is none. */
export function setRange(film: Film, one: number, other: number) {
  const from = Math.max(0, Math.round(Math.min(one, other)));
  const to = Math.min(film.length, Math.round(Math.max(one, other)));
  useRoom.getState().set({ range: to > from ? { from, to } : null });
}

/** Speeds a shuttle takes, one after the other. */
const SPEEDS = [1, 2, 4, 8];

/** Plays forward or backward, each time twice as fast; the other way stops first. */
export function shuttle(direction: 1 | -1) {
  const { playing, speed, set } = useRoom.getState();
  if (playing && Math.sign(speed) !== direction) {
    set({ playing: false, speed: 1 });
    return;
  }
  const next = playing ? (SPEEDS[SPEEDS.indexOf(Math.abs(speed)) + 1] ?? 8) : 1;
  set({ playing: true, speed: direction * next, until: null, loop: null });
}

/** Seconds played before and after a cut. */
const AROUND = 1.5;

/** The cut that is selected, or else the one nearest to the playhead. */
function chosenCut(film: Film): number {
  const { place, end, frame } = useRoom.getState();
  if (place !== null) return film.joints[end === "in" ? place : place + 1]?.frame ?? 0;
  return film.joints
    .slice(1, -1)
    .reduce((best, j) => (Math.abs(j.frame - frame) < Math.abs(best - frame) ? j.frame : best), 0);
}

/** How many frames a cut is played round. */
const around = (fps: number) => Math.round(AROUND * fps);

/** Plays the chosen stretch, or else the time round a cut, again and again. */
export function loopRound(film: Film, fps: number) {
  const { range, loop, jump, set } = useRoom.getState();
  if (loop) {
    set({ loop: null, playing: false });
    return;
  }
  const cut = chosenCut(film);
  const by = around(fps);
  const to = range ?? { from: Math.max(0, cut - by), to: Math.min(film.length, cut + by) };
  jump(to.from);
  set({ loop: to, playing: true, until: null, speed: 1 });
}

/** Plays into a cut and stops on it, or from it on for as long. */
export function playCut(film: Film, fps: number, out: boolean) {
  const { jump, set } = useRoom.getState();
  const cut = chosenCut(film);
  jump(out ? cut : Math.max(0, cut - around(fps)));
  set({
    playing: true,
    loop: null,
    speed: 1,
    until: out ? Math.min(film.length, cut + around(fps)) : Math.max(1, cut),
  });
}

/** Selects the next shot with a problem after the selected one, from the start after the last. */
export function nextProblem(film: Film) {
  const at = useRoom.getState().place ?? -1;
  const next = film.problems.find((p) => p.place > at) ?? film.problems[0];
  if (next) select(film, next.place);
}

/** Plays the bar under the playhead and the next one. */
export function playTwoBars(film: Film) {
  const { frame, jump, set } = useRoom.getState();
  const { clock } = film;
  const beat = beatAt(clock, frame);
  const bar = barOf(clock, beat);
  const starts = clock.frames.filter((_, b) => isDownbeat(clock, b) && barOf(clock, b) >= bar);
  jump(Math.max(0, Math.min(starts[0] ?? frame, frame)));
  set({ playing: true, loop: null, speed: 1, until: starts[2] ?? film.length });
}

export function otherBeat(film: Film, frame: number, direction: 1 | -1): number {
  const frames = film.clock.frames;
  return direction > 0
    ? (frames.find((f) => f > frame) ?? frame)
    : (frames.filter((f) => f < frame).at(-1) ?? frame);
}

/** The start of the next word, or of the one before. */
export function otherWord(film: Film, frame: number, direction: 1 | -1): number {
  const starts = wordEdges(film)
    .filter((w) => w.edge === "START")
    .map((w) => w.frame);
  return (
    (direction > 0 ? starts.find((f) => f > frame) : starts.findLast((f) => f < frame)) ?? frame
  );
}

export function sameColumn(rulers: readonly Ruler[], frame: number, direction: 1 | -1): number {
  const at = rulers.findLastIndex((r) => r.stave.start <= frame);
  const from = rulers[at];
  const to = rulers[at + direction];
  if (!from || !to) return frame;
  const there = to.frame(from.x(frame));
  return Math.max(to.stave.start, Math.min(to.stave.end - 1, there));
}
