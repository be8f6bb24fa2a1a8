import { useKeys, type Act } from "../../parts/keys";

/** The room's keys. */
export function useLookKeys(acts: {
  step: (by: number) => void;
  far: Act;
  before: Act;
  match: Act;
  matchAll: Act;
  reset: Act;
  makeKey: Act;
  asBefore: Act;
}) {
  useKeys([
    {
      name: "Look",
      keys: [
        {
          shown: "Left / Right",
          says: "the shot before, the next",
          acts: { ArrowLeft: () => acts.step(-1), ArrowRight: () => acts.step(1) },
        },
        { shown: "P", says: "the shot furthest from the key", acts: { P: acts.far } },
        { shown: "B", says: "the strip before and now", acts: { B: acts.before } },
        { shown: "M", says: "match this shot to the key", acts: { M: acts.match } },
        { shown: "Shift+M", says: "match all shots", acts: { "Shift+M": acts.matchAll } },
        { shown: "0", says: "this shot as it came", acts: { "0": acts.reset } },
        { shown: "E", says: "make this shot the key", acts: { E: acts.makeKey } },
        { shown: "C", says: "correct as the shot before", acts: { C: acts.asBefore } },
      ],
    },
  ]);
}
