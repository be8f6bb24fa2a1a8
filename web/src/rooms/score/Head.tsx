import { ink } from "../../theme";
import { headPath, isSolid, type HeadKind } from "./heads";

/** Heads of one kind, from their outlines. */
export function Head({ kind, d, colour }: { kind: HeadKind; d: string; colour: string }) {
  const solid = isSolid(kind);
  return (
    <path
      d={d}
      data-head={kind}
      fill={solid ? colour : ink.sheet}
      stroke={solid ? "none" : colour}
      strokeWidth={1.7}
    />
  );
}

/** A head by itself, beside what it tells. */
export function HeadSign({ kind, size = 14 }: { kind: HeadKind; size?: number }) {
  return (
    <svg width={size} height={size} aria-hidden>
      <Head kind={kind} d={headPath(kind, size / 2, size / 2)} colour={ink.ink} />
    </svg>
  );
}
