import { useKeys, type Act } from "../../parts/keys";

/** The room's keys. */
export function useLookKeys(acts: {
  step: (by: number) => void;
  all: Act;
  far: Act;
  before: Act;
  key: Act;
  match: Act;
  matchAll: Act;
  reset: Act;
  makeKey: Act;
  asBefore: Act;
  copy: Act;
  paste: Act;
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
        { shown: "Ctrl+A", says: "select all shots", acts: { "Ctrl+A": acts.all } },
        {
          shown: "Shift or Ctrl + click",
          says: "one more shot, to group, match or correct with it",
        },
        { shown: "P", says: "the shot furthest from the key", acts: { P: acts.far } },
        { shown: "B", says: "the strip before and now", acts: { B: acts.before } },
        { shown: "K", says: "the key shot beside this one", acts: { K: acts.key } },
        { shown: "M", says: "match what is selected to its key", acts: { M: acts.match } },
        { shown: "Shift+M", says: "match all shots", acts: { "Shift+M": acts.matchAll } },
        { shown: "0", says: "what is selected as it came", acts: { "0": acts.reset } },
        {
          shown: "E",
          says: "make this shot the key, of its group if it is in one",
          acts: { E: acts.makeKey },
        },
        { shown: "C", says: "correct as the shot before", acts: { C: acts.asBefore } },
        { shown: "Y", says: "copy this shot\u2019s correction", acts: { Y: acts.copy } },
        {
          shown: "V",
          says: "correct what is selected as what was copied",
          acts: { V: acts.paste },
        },
      ],
    },
  ]);
}
