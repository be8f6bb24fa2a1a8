import type { Fault } from "../../api/client";

/** Faults in the order of their keys, 1 to 6. */
export const FAULTS: readonly [Fault, string][] = [
  ["WRONG_MOVE", "wrong move"],
  ["EXTRA_LIMBS", "extra limbs"],
  ["FACE", "face"],
  ["LETTERING", "lettering"],
  ["LOOK", "look"],
  ["OTHER", "other"],
];

export const faultName = (fault: Fault) => FAULTS.find(([f]) => f === fault)?.[1] ?? fault;
