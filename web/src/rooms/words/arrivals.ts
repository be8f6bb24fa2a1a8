import type { TitleMovement } from "../../api/client";

type Arrival = TitleMovement["in"];

/** How titles come and go, as people call it. */
export const KINDS: readonly [Arrival["kind"], string][] = [
  ["NONE", "at once"],
  ["FADE", "fades"],
  ["RISE", "rises"],
  ["SLIDE", "slides"],
  ["GROW", "grows"],
  ["CLOSE", "draws together"],
  ["CLEAR", "blur clears"],
  ["WIPE", "uncovered"],
  ["TYPE", "typed"],
  ["DRAW", "drawn"],
  ["FLICKER", "flickers"],
  ["SETTLE", "settles"],
];

export const UNITS: readonly [Arrival["unit"], string][] = [
  ["WHOLE", "as a whole"],
  ["LINE", "lines"],
  ["WORD", "words"],
  ["LETTER", "letters"],
];

export const ORDERS: readonly [Arrival["order"], string][] = [
  ["TOGETHER", "together"],
  ["FORWARD", "in order"],
  ["BACKWARD", "last first"],
  ["FROM_MIDDLE", "from the middle"],
  ["RANDOM", "by chance"],
  ["ON_BEATS", "on beats"],
  ["ON_WORDS", "on spoken words"],
];
