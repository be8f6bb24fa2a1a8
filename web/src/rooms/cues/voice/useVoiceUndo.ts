import { useCallback, useMemo, useState } from "react";
import type { VoiceLine } from "../../../api/client";
import type { VoiceChanges } from "./useVoiceChanges";

interface Step {
  label: string;
  back: () => Promise<unknown>;
  again: () => Promise<unknown>;
}

/** What was settled of the voice since the page was opened, to be taken back and made again. */
export function useVoiceUndo(changes: VoiceChanges) {
  const [steps, setSteps] = useState<{ done: readonly Step[]; undone: readonly Step[] }>({
    done: [],
    undone: [],
  });
  const make = useCallback(async (step: Step) => {
    await step.again();
    setSteps((s) => ({ done: [...s.done, step], undone: [] }));
  }, []);
  const undo = async () => {
    const step = steps.done.at(-1);
    if (!step) return;
    await step.back();
    setSteps((s) => ({ done: s.done.slice(0, -1), undone: [...s.undone, step] }));
  };
  const redo = async () => {
    const step = steps.undone.at(-1);
    if (!step) return;
    await step.again();
    setSteps((s) => ({ done: [...s.done, step], undone: s.undone.slice(0, -1) }));
  };
  const settle = useMemo(
    () => ({
      tighten: (lines: readonly VoiceLine[], seconds: number | null) =>
        make({
          label: seconds === null ? "keep the pauses" : "tighten pauses",
          again: () => all(lines, (l) => changes.tighten(l.number, seconds)),
          back: () => all(lines, (l) => changes.tighten(l.number, l.longest)),
        }),
      start: (line: VoiceLine, kind: VoiceLine["startKind"], value: number | null) =>
        make({
          label: `move line ${line.number}`,
          again: () => changes.start(line.number, kind, value),
          back: () => changes.start(line.number, line.startKind, line.startValue),
        }),
      pick: (line: VoiceLine, reading: number) =>
        make({
          label: `pick another reading of line ${line.number}`,
          again: () => changes.pick(line.number, reading),
          back: () => changes.pick(line.number, line.pick ?? reading),
        }),
    }),
    [changes, make],
  );
  return {
    settle,
    undo,
    redo,
    undoLabel: steps.done.at(-1)?.label ?? "",
    redoLabel: steps.undone.at(-1)?.label ?? "",
  };
}

export type Settle = ReturnType<typeof useVoiceUndo>["settle"];

async function all<T>(items: readonly T[], act: (item: T) => Promise<unknown>) {
  for (const item of items) await act(item);
}
