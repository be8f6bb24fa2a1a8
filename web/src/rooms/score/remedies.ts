import type { Film, Material, Placed } from "../../api/client";
import { plural } from "../../parts/words";
import type { Act } from "./ShotMenu";
import type { ScoreActions } from "./useScoreActions";

/** A way out of too little material, and what it costs. */
export interface Remedy extends Act {
  cost: string;
}

/** Slower than this, in percent, a shot is not offered to be slowed. */
const SLOWEST = 50;

/**
 * The ways out for a shot that is longer than its material, those that change least first.
 *
 * @param missing frames of the take that are missing
 */
export function remediesFor(
  film: Film,
  shot: Placed,
  missing: number,
  material: Material | undefined,
  actions: ScoreActions,
): Remedy[] {
  const remedies: Remedy[] = [];
  const length = shot.end - shot.start;
  const has = shot.material - shot.in;
  const plain = shot.run.way === "FORWARD";
  if (shot.in > 0) {
    const by = Math.min(shot.in, missing);
    remedies.push({
      name: "Slip it",
      cost:
        by === missing
          ? `shows ${by} f sooner in the take`
          : `${missing - by} f are still short; shows ${by} f sooner in the take`,
      act: () => actions.slipTo(shot.place, shot.in - by),
    });
  }
  const takes = material?.shots.find((s) => s.id === shot.shotId)?.takes ?? [];
  const longer = takes.find(
    (t) => t.state === "READY" && t.id !== shot.takeId && !t.rejected && t.frames >= shot.used,
  );
  if (longer) {
    remedies.push({
      name: `Take ${longer.number}`,
      cost: `another take, of ${longer.frames} f`,
      act: () => void actions.chooseTake(shot.place, shot.shotId, longer.id),
    });
  }
  const mean = (shot.run.from + shot.run.to) / 2;
  const slow = Math.floor((mean * (has - 1)) / Math.max(1, shot.used - 1));
  if (plain && slow >= SLOWEST) {
    remedies.push({
      name: `Slow to ${slow} %`,
      cost: `moves ${Math.round(100 - (100 * slow) / mean)} % slower, frames drawn along the motion`,
      act: () => actions.setRun({ way: "FORWARD", from: slow, to: slow, between: "MOTION" }, false),
    });
  }
  if (plain) {
    remedies.push({
      name: "Back and forth",
      cost: `runs back after ${Math.min(has, length)} f; seen where things fall or speak`,
      act: () => actions.setRun({ ...shot.run, way: "BACK_AND_FORTH" }, false),
    });
  }
  const joint = film.joints[shot.place + 1];
  if (joint && missing < length) {
    const next = film.shots[shot.place + 1];
    remedies.push({
      name: "End it sooner",
      cost: next
        ? `${plural(missing, "frame")} go to ${next.label}; the cut is free`
        : `the film is ${missing} f shorter`,
      act: () => actions.toFrame(shot.place + 1, joint.frame - missing, "trim", "end"),
    });
  }
  const other = takes.find((t) => t.state === "READY" && t.id !== shot.takeId && !t.rejected);
  if (other && has > 1 && has < length) {
    remedies.push({
      name: `Fill with take ${other.number}`,
      cost: `a cut inside the shot, ${has} f in`,
      act: () => void actions.fillWith(shot.place, shot.start + has, shot.shotId, other.id),
    });
  }
  return remedies;
}
