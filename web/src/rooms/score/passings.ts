import type { Film, Passing, PassingPlace } from "../../api/client";

export type PassingName = Passing["kind"];

/** What each kind is called. */
export const PASSING: Record<PassingName, string> = {
  CUT: "cut",
  DISSOLVE: "dissolve",
  ADDITIVE: "both lit",
  THROUGH: "through",
  WIPE: "wipe",
  CIRCLE: "circle",
  BARS: "bars",
  DOORS: "doors",
  PUSH: "push",
  SLIDE: "slide over",
  ZOOM: "zoom",
  SPIN: "spin",
  FLASH: "flash",
  SMEAR: "smear",
  LUMA: "pattern",
};

export const PATTERN: Record<NonNullable<Passing["pattern"]>, string> = {
  CLOUDS: "clouds",
  PAPER: "paper",
  BRUSH: "brush",
  RINGS: "rings",
  LATTICE: "lattice",
};

/** The pattern of that name; none if it is not one of ours. */
export const patternOf = (name: string) =>
  (Object.keys(PATTERN) as (keyof typeof PATTERN)[]).find((p) => p === name);

const PLAINLY = {
  angle: null,
  softness: null,
  colour: null,
  pattern: null,
  picture: null,
  holds: false,
} as const;

/** From one frame to the next. */
export const PLAIN: Passing = {
  ...PLAINLY,
  kind: "CUT",
  amount: 0,
  unit: "FRAMES",
  lies: "MIDDLE",
};

/** Quarters of a beat in one. */
const BEAT = 4;

/** How long a transition is to begin with: a beat, or half a second without a song. */
export const usualSpan = (film: Film): Pick<Passing, "amount" | "unit"> =>
  film.clock.frames.length > 1
    ? { amount: BEAT, unit: "QUARTER_BEATS" }
    : { amount: 500, unit: "MILLISECONDS" };

export const dissolve = (film: Film): Passing => ({
  ...PLAINLY,
  kind: "DISSOLVE",
  ...usualSpan(film),
  lies: "MIDDLE",
});

/** The same, a beat longer; half a second where it is counted otherwise and there is no song. */
export function aBeatMore(how: Passing, film: Film): Passing {
  const beat = usualSpan(film);
  return how.unit === beat.unit
    ? { ...how, amount: how.amount + beat.amount }
    : { ...how, ...beat, amount: 2 * beat.amount };
}

/** Whether the two shots are drawn as wedges; others have a sign of their own on a line. */
export const isWedge = ({ how }: PassingPlace) =>
  !["PUSH", "SLIDE", "WIPE", "THROUGH", "FLASH"].includes(how.kind);

/** Where it goes to, as an arrow. */
export const arrowOf = (angle: number) => "→↘↓↙←↖↑↗"[Math.round(angle / 45) % 8] ?? "→";
