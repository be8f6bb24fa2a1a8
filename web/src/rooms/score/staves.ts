import type { Film, Placed, Production } from "../../api/client";
import type { Outline } from "../cues/peaks";
import type { Aim } from "./aim";
import type { Parts, Ruler, Stave } from "./layout";

export type Problem = Film["problems"][number];

/** What a stave is drawn from. */
export interface StaveProps {
  production: Production;
  film: Film;
  outline: Outline | null;
  ruler: Ruler;
  parts: Parts;
  /** Pixels from the sheet's top to the stave's. */
  top: number;
  /** The sheet's width in pixels. */
  width: number;
  isLast: boolean;
  selected: number | null;
  also: readonly number[];
  laid: string | null;
  selectedEnd: "in" | "out";
  aim: Aim | null;
}

/** The shots of the cut that a stave shows, with those of the end of the stave before. */
export const shotsOn = (film: Film, stave: Stave): Placed[] =>
  film.shots.filter((s) => s.end > stave.before && s.start < stave.end);

/** The cuts of a stave by number; the film's start is none, its end is on the last stave. */
export function jointsOn(film: Film, stave: Stave, isLast: boolean): number[] {
  const on: number[] = [];
  film.joints.forEach((joint, i) => {
    const last = isLast && i === film.shots.length;
    if (i > 0 && joint.frame >= stave.start && (joint.frame < stave.end || last)) on.push(i);
  });
  return on;
}

const known = new WeakMap<Film, Map<number, Problem[]>>();

/** A film's problems by the place of their shot. */
export function problemsOf(film: Film): ReadonlyMap<number, readonly Problem[]> {
  let by = known.get(film);
  if (!by) {
    by = new Map<number, Problem[]>();
    for (const problem of film.problems) {
      by.set(problem.place, [...(by.get(problem.place) ?? []), problem]);
    }
    known.set(film, by);
  }
  return by;
}

/** What is the same on every stave, whatever is edited on one. */
const THROUGHOUT = ["clock", "voice", "songStart", "overlays", "sounds", "markers"] as const;

/**
 * Whether a stave looks alike before and after. An edit leaves most of a film as it is, so most
 * staves need not be drawn again: what did not change is the same object in both films.
 */
export function isSameStave(a: StaveProps, b: StaveProps): boolean {
  return (
    a.production === b.production &&
    a.outline === b.outline &&
    a.ruler === b.ruler &&
    a.top === b.top &&
    a.width === b.width &&
    a.isLast === b.isLast &&
    a.laid === b.laid &&
    sameItems(Object.values(a.parts), Object.values(b.parts)) &&
    (a.aim === b.aim || (!aimsAt(a) && !aimsAt(b))) &&
    (a.film === b.film || sameFilm(a, b)) &&
    sameChoice(a, b)
  );
}

function sameFilm(a: StaveProps, b: StaveProps): boolean {
  const { stave } = a.ruler;
  const shots = shotsOn(a.film, stave);
  const problems = ({ film }: StaveProps) =>
    shots.flatMap((s) => problemsOf(film).get(s.place) ?? []);
  return (
    THROUGHOUT.every((key) => a.film[key] === b.film[key]) &&
    sameItems(shots, shotsOn(b.film, stave)) &&
    sameItems(cutsOn(a), cutsOn(b)) &&
    sameItems(fadeOn(a), fadeOn(b)) &&
    sameItems(sounding(a.film), sounding(b.film)) &&
    sameItems(problems(a), problems(b))
  );
}

/** Whether what is selected is drawn alike. */
function sameChoice(a: StaveProps, b: StaveProps): boolean {
  if (a.selected === b.selected && a.also === b.also && a.selectedEnd === b.selectedEnd)
    return true;
  const chosen = (p: StaveProps, place: number) => place === p.selected || p.also.includes(place);
  return !shotsOn(b.film, b.ruler.stave).some((s) => chosen(a, s.place) || chosen(b, s.place));
}

/** Whether what is dragged would come to lie on the stave, or may. */
function aimsAt({ aim, ruler, isLast }: StaveProps): boolean {
  if (aim?.kind !== "cut") return aim !== null;
  const { start, end } = ruler.stave;
  return aim.frame >= start && (aim.frame < end || isLast);
}

const cutsOn = ({ film, ruler, isLast }: StaveProps) =>
  jointsOn(film, ruler.stave, isLast).flatMap((i) => [i, film.joints[i]]);

const fadeOn = ({ film, ruler }: StaveProps) =>
  film.length - film.fade < ruler.stave.end ? [film.length, film.fade] : [];

/** Whether a shot is heard with its picture. */
export const isHeard = (shot: Placed) => shot.sounding && shot.sound.on;

const sounding = (film: Film) => film.shots.filter(isHeard);

const sameItems = (a: readonly unknown[], b: readonly unknown[]) =>
  a.length === b.length && a.every((item, i) => item === b[i]);
