import type { Film, ProblemKind } from "../../api/client";
import { ink } from "../../theme";
import { Head } from "./Head";
import { headPath, type HeadKind } from "./heads";
import type { Parts } from "./layout";
import { lineThrough, type CutMark } from "./marks";

/** What can be wrong with the cut that ends a shot. */
export const WRONG_CUT: ReadonlySet<ProblemKind> = new Set<ProblemKind>([
  "TIE_NOT_HONOURED",
  "BEAT_MISSING",
  "WORD_MISSING",
  "TIED_IN_CIRCLE",
  "INSIDE_WORD",
]);

const KINDS: readonly HeadKind[] = ["downbeat", "beat", "offbeat", "word", "free"];

/**
 * Cuts of a stave with nothing more to tell than what they are tied to: their lines and stems are
 * one drawing, and their heads one a kind, for a long film has hundreds.
 */
export function PlainCuts({
  film,
  cuts,
  parts,
}: {
  film: Film;
  cuts: readonly CutMark[];
  parts: Parts;
}) {
  if (cuts.length === 0) return null;
  return (
    <>
      <path
        d={cuts.map((c) => lineThrough(c, film, parts) + c.stem).join("")}
        stroke={ink.ink}
        strokeWidth={1.2}
      />
      {KINDS.map((kind) => {
        const own = cuts.filter((c) => c.kind === kind);
        if (own.length === 0) return null;
        return (
          <Head
            key={kind}
            kind={kind}
            d={own.map((c) => headPath(kind, c.headX, c.headY)).join("")}
            colour={ink.ink}
          />
        );
      })}
    </>
  );
}

/** A cut that is selected, wrong, or off its moment. */
export function CutView({
  film,
  cut,
  parts,
  wrong,
  selection,
}: {
  film: Film;
  cut: CutMark;
  parts: Parts;
  /** Whether something is wrong with what it is tied to. */
  wrong: boolean;
  /** Whether it belongs to the selected shot, and whether the cut keys move it. */
  selection: "none" | "shot" | "moves";
}) {
  const { joint, kind, x, headX, headY } = cut;
  const colour = wrong ? ink.rust : selection === "none" ? ink.ink : ink.thistleDeep;
  const onWord = kind === "word";
  return (
    <>
      <path
        d={lineThrough(cut, film, parts) + cut.stem}
        stroke={colour}
        strokeWidth={selection === "none" ? 1.2 : 2}
      />
      {cut.isOff && (
        <>
          <line x1={headX} x2={x} y1={headY} y2={headY + (onWord ? -4 : 4)} stroke={colour} />
          <text x={x + 8} y={headY + (onWord ? 1 : 3)} fill={colour}>
            {joint.offset > 0 ? "+" : "−"}
            {Math.abs(joint.offset)} f
          </text>
        </>
      )}
      <Head
        kind={kind}
        d={headPath(kind, headX, headY, selection === "moves" ? 1.5 : 0)}
        colour={colour}
      />
    </>
  );
}
