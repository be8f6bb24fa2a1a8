import type { ColourCorrection, Film, LookShot, Mask } from "../../api/client";
import { MaskHandles } from "../score/MaskHandles";
import { placedOf, takeBox } from "../score/takeBox";
import type { Sides } from "../score/views";
import { triedOn, type LookActions } from "./useLookActions";

/** The masks of a range, on the shot's picture. */
export function RangeMasks({
  film,
  sides,
  shown,
  range,
  actions,
}: {
  film: Film;
  /** Those of the film's picture. */
  sides: Sides;
  shown: LookShot;
  /** Which of the shot's ranges. */
  range: number;
  actions: LookActions;
}) {
  const now = triedOn(actions.trial, shown);
  const masks = now.ranges[range]?.where.masks ?? [];
  const shot = placedOf(film, shown.item);
  if (!shot || masks.length === 0) return null;
  const laid = (to: Mask[]): ColourCorrection => ({
    ...now,
    ranges: now.ranges.map((r, i) =>
      i === range ? { ...r, where: { ...r.where, masks: to } } : r,
    ),
  });
  return (
    <svg
      viewBox={`0 0 ${sides.width} ${sides.height}`}
      style={{ position: "absolute", inset: 0, width: "100%", height: "100%", touchAction: "none" }}
      role="group"
      aria-label="Masks of the range"
      pointerEvents="none"
    >
      <g pointerEvents="auto">
        <MaskHandles
          of={shown.correction}
          masks={masks}
          box={takeBox(film, shot, shown.frame, sides)}
          unit={sides.height / 350}
          onMove={(to) => actions.tryCorrection(laid(to))}
          onSet={(to) => actions.correct(laid(to))}
          onDrop={actions.untry}
        />
      </g>
    </svg>
  );
}
