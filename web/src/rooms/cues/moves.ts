import { useEffect, useRef } from "react";
import type { Film } from "../../api/client";
import { useNotice } from "../../parts/notice";
import { plural } from "../../parts/words";

/** What a change of the clocks did to a film, in words; "" if no cut moved and nothing is wrong. */
export function movesBetween(before: Film, after: Film): string {
  if (before.joints.length !== after.joints.length) return "";
  const moves = after.joints.map((joint, i) => joint.frame - (before.joints[i]?.frame ?? 0));
  const moved = moves.slice(1).filter((by) => by !== 0);
  const most = Math.max(0, ...moved.map(Math.abs));
  const known = new Set(before.problems.map((p) => `${p.kind} ${p.place}`));
  const wrong = after.problems.filter((p) => !known.has(`${p.kind} ${p.place}`));
  const said = [];
  if (moved.length > 0) {
    said.push(`${plural(moved.length, "cut")} moved with it, by up to ${most} f`);
  }
  if (wrong[0]) {
    said.push(wrong.length === 1 ? wrong[0].text : `${wrong.length} to look at in the Score`);
  }
  return said.length === 0 ? "" : `${said.join("; ")}.`;
}

/** Tells what moved in the film whenever a reading, a line's start or the beats change it. */
export function useTellMoves(film: Film | undefined) {
  const before = useRef(film);
  const tell = useNotice((s) => s.tell);
  useEffect(() => {
    if (!film) return;
    const said = before.current ? movesBetween(before.current, film) : "";
    before.current = film;
    if (said !== "") tell(said);
  }, [film, tell]);
}
