import { useEffect } from "react";
import type { Film } from "../../api/client";
import { isTyping } from "../../parts/isTyping";
import { barOf, beatAt, isDownbeat } from "../../parts/time";
import { useRoom } from "../../store";
import type { Ruler } from "./layout";
import { wordEdges } from "./words";
import type { ScoreActions } from "./useScoreActions";

/** The keys of the Score; the key-help sheet lists them. */
export function useScoreKeys(film: Film, rulers: readonly Ruler[], actions: ScoreActions) {
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (isTyping(e) || e.defaultPrevented || e.altKey || film.length === 0) return;
      if (e.ctrlKey || e.metaKey) {
        if (e.key.toLowerCase() !== "z") return;
        e.preventDefault();
        if (e.shiftKey) actions.redo();
        else actions.undo();
        return;
      }
      const onControl = (e.target as HTMLElement).closest("button, a, [role=slider]") !== null;
      if (onControl && (e.key === " " || e.key === "Enter")) return;
      if (act(e, film, rulers, actions)) e.preventDefault();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, [film, rulers, actions]);
}

/** Does what a key asks; false if it asks nothing. */
function act(
  e: KeyboardEvent,
  film: Film,
  rulers: readonly Ruler[],
  actions: ScoreActions,
): boolean {
  const room = useRoom.getState();
  const { place } = room;
  const back = e.shiftKey ? -1 : 1;
  switch (e.key) {
    case " ":
      if (e.shiftKey) playTwoBars(film);
      else room.set({ playing: !room.playing, until: null });
      return true;
    case "ArrowLeft":
    case "ArrowRight": {
      const by = (e.key === "ArrowLeft" ? -1 : 1) * (e.shiftKey ? 10 : 1);
      const shot = place === null ? undefined : film.shots[place];
      if (room.slipping && shot) actions.slipBy(shot.place, by);
      else goTo(film, room.frame + by);
      return true;
    }
    case "ArrowUp":
    case "ArrowDown":
      goTo(film, sameColumn(rulers, room.frame, e.key === "ArrowUp" ? -1 : 1));
      return true;
    case "Home":
      goTo(film, 0);
      return true;
    case "End":
      goTo(film, film.length - 1);
      return true;
    case "Escape":
      room.set({ place: null, slipping: false });
      return true;
    case ",":
      actions.step(-1);
      return true;
    case ".":
      actions.step(1);
      return true;
    case "<":
      actions.nudge(-1);
      return true;
    case ">":
      actions.nudge(1);
      return true;
    case "1":
      actions.tie("downbeat");
      return true;
    case "2":
      actions.tie("beat");
      return true;
    case "3":
      actions.tie("word");
      return true;
    case "0":
      actions.tie("free");
      return true;
  }
  switch (e.key.toLowerCase()) {
    case "b":
      goTo(film, otherBeat(film, room.frame, back));
      return true;
    case "w":
      goTo(film, otherWord(film, room.frame, back));
      return true;
    case "s":
      select(
        film,
        film.shots.findIndex((s) => room.frame < s.end),
      );
      return true;
    case "n":
      select(film, place === null ? 0 : place + back);
      return true;
    case "x":
      room.set({ end: room.end === "in" ? "out" : "in" });
      return true;
    case "p":
      nextProblem(film);
      return true;
  }
  if (place === null) return false;
  switch (e.key) {
    case "[":
      void actions.move(place, place - 1);
      return true;
    case "]":
      void actions.move(place, place + 1);
      return true;
    case "Delete":
    case "Backspace":
      void actions.remove(place);
      return true;
  }
  switch (e.key.toLowerCase()) {
    case "m":
      room.set({ slipping: !room.slipping });
      return true;
    case "t":
      void actions.nextTake(film, place, back);
      return true;
    case "f":
      actions.nextFraming(place);
      return true;
    case "l":
      actions.toggleLock(place);
      return true;
  }
  return false;
}

export function goTo(film: Film, frame: number) {
  useRoom.getState().jump(Math.max(0, Math.min(film.length - 1, Math.round(frame))));
}

/** Selects a shot and, if the playhead is elsewhere, brings it to the shot's first frame. */
export function select(film: Film, place: number) {
  const shot = film.shots[place];
  if (!shot) return;
  const { frame, playing, set } = useRoom.getState();
  set({ place, end: place === 0 ? "out" : "in", slipping: false });
  if (!playing && (frame < shot.start || frame >= shot.end)) goTo(film, shot.start);
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
  set({ playing: true, until: starts[2] ?? film.length });
}

function otherBeat(film: Film, frame: number, direction: 1 | -1): number {
  const frames = film.clock.frames;
  return direction > 0
    ? (frames.find((f) => f > frame) ?? frame)
    : (frames.filter((f) => f < frame).at(-1) ?? frame);
}

/** The start of the next word, or of the one before. */
function otherWord(film: Film, frame: number, direction: 1 | -1): number {
  const starts = wordEdges(film)
    .filter((w) => w.edge === "START")
    .map((w) => w.frame);
  return (
    (direction > 0 ? starts.find((f) => f > frame) : starts.findLast((f) => f < frame)) ?? frame
  );
}

function sameColumn(rulers: readonly Ruler[], frame: number, direction: 1 | -1): number {
  const at = rulers.findLastIndex((r) => r.stave.start <= frame);
  const from = rulers[at];
  const to = rulers[at + direction];
  if (!from || !to) return frame;
  const there = to.frame(from.x(frame));
  return Math.max(to.stave.start, Math.min(to.stave.end - 1, there));
}
