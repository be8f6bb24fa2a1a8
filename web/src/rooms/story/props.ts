import type { Production, Story, ShotFields } from "../../api/client";
import type { ChangeStory } from "../../api/story";

/** What every part of the Story room gets. */
export interface StoryProps {
  production: Production;
  story: Story;
  change: ChangeStory;
}

export const MOVES = [
  ["STILL", "still"],
  ["PUSH_IN", "push in"],
  ["PULL_OUT", "pull out"],
  ["PAN_LEFT", "pan left"],
  ["PAN_RIGHT", "pan right"],
  ["TILT_UP", "tilt up"],
  ["TILT_DOWN", "tilt down"],
  ["ORBIT", "orbit"],
  ["FOLLOW", "follow"],
  ["RISE", "rise"],
] as const;

export const moveName = (move: string) => MOVES.find(([m]) => m === move)?.[1] ?? move;

export const seconds = (value: number) => `${value.toFixed(1)} s`;

/** Changes no field of a shot. */
export const AS_THEY_ARE: ShotFields = {
  seen: null,
  who: null,
  where: null,
  action: null,
  move: null,
  strength: null,
  seconds: null,
  mood: null,
  sounds: null,
  lettering: null,
  line: null,
};
