import type { components } from "../api/generated/schema";

/** What is drawn on one picture to say where the subject is. */
export type DrawnGuide = components["schemas"]["DrawnGuide"];
export type DrawnStroke = components["schemas"]["DrawnStroke"];

/** What is drawn with. */
export type Brush = DrawnStroke["kind"];

/** Points of a stroke nearer than this to the last one tell nothing new, in thousandths. */
const NEAR = 4;

const MOST_POINTS = 500;

/** The strokes on a picture. */
export const strokesOn = (guides: readonly DrawnGuide[], frame: number): DrawnStroke[] =>
  guides.find((g) => g.frame === frame)?.strokes ?? [];

/** The guides with other strokes on a picture; one without any is left out. */
export function withStrokes(
  guides: readonly DrawnGuide[],
  frame: number,
  strokes: readonly DrawnStroke[],
): DrawnGuide[] {
  const others = guides.filter((g) => g.frame !== frame);
  const all = strokes.length > 0 ? [...others, { frame, strokes: [...strokes] }] : others;
  return all.sort((a, b) => a.frame - b.frame);
}

/** The guides with one more stroke; a box takes the place of the one before. */
export function withStroke(
  guides: readonly DrawnGuide[],
  frame: number,
  stroke: DrawnStroke,
): DrawnGuide[] {
  const before = strokesOn(guides, frame);
  return withStrokes(
    guides,
    frame,
    stroke.kind === "AROUND"
      ? [stroke, ...before.filter((s) => s.kind !== "AROUND")]
      : [...before, stroke],
  );
}

/** A stroke with one more place; a box goes from its first to it. */
export function drawnTo(stroke: DrawnStroke, point: DrawnStroke["points"][number]): DrawnStroke {
  const first = stroke.points[0];
  const last = stroke.points.at(-1);
  if (stroke.kind === "AROUND" && first) return { ...stroke, points: [first, point] };
  if (last && Math.hypot(last.x - point.x, last.y - point.y) < NEAR) return stroke;
  if (stroke.points.length >= MOST_POINTS) return stroke;
  return { ...stroke, points: [...stroke.points, point] };
}

/** Whether a stroke says anything: a box has two corners apart. */
export const isDrawn = ({ kind, points: [a, b] }: DrawnStroke) =>
  kind !== "AROUND" || (!!a && !!b && Math.abs(a.x - b.x) > NEAR && Math.abs(a.y - b.y) > NEAR);

/** Whether what is drawn on a picture tells by itself where the subject is. */
export const saysWhere = (strokes: readonly DrawnStroke[]) => strokes.some((s) => s.kind !== "OUT");
