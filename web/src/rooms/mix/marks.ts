import type { Film, LaidSound } from "../../api/client";
import type { Ruler } from "../score/layout";
import { frameOf } from "./moments";
import { ROWS } from "./parts";

/** A laid sound as a stave shows it, in pixels. */
export interface Mark {
  sound: LaidSound;
  shape: "hit" | "bell" | "riser" | "bed" | "clip";
  /** Where it lands. */
  x: number;
  from: number;
  to: number;
  y: number;
  /** Its name, as long as there is room; "" if there is none. */
  name: string;
}

/** About how wide a letter of a name is. */
export const LETTER = 6;

/** Whether a mark is drawn as long as it is heard, rather than where it lands. */
export const isLong = ({ shape }: Pick<Mark, "shape">) => shape === "bed" || shape === "clip";

function shapeOf(sound: LaidSound): Mark["shape"] {
  if (sound.kind === "CLIP") return "clip";
  if (sound.kind === "BED" || sound.until !== null) return "bed";
  if (sound.kind === "RISER") return "riser";
  return /bell|chime|gong/.test(sound.name) ? "bell" : "hit";
}

/** The sounds that a stave shows; those that strike near each other stand in two rows. */
export function marksOf(laid: readonly LaidSound[], film: Film, ruler: Ruler, fps: number): Mark[] {
  const { stave } = ruler;
  const marks: Mark[] = [];
  const taken = { hits: [-1e3, -1e3], beds: [-1e3, -1e3] };
  for (const sound of laid) {
    if (!sound.place) continue;
    const shape = shapeOf(sound);
    const start = frameOf(sound.place.start, fps);
    const end = frameOf(sound.place.end, fps);
    const landing = frameOf(sound.place.landing, fps);
    const long = isLong({ shape });
    const last = stave.end >= film.length;
    const here = long
      ? end > stave.start && start < stave.end
      : landing >= stave.start && (landing < stave.end || (last && landing <= stave.end));
    if (!here) continue;
    const x = ruler.x(Math.max(landing, stave.before));
    const from = ruler.x(Math.max(start, stave.start));
    const to = ruler.x(Math.min(end, stave.end));
    const rows = long ? taken.beds : taken.hits;
    const left = long ? from : x - 6;
    const free = rows.findIndex((end) => end <= left);
    const row = free >= 0 ? free : 0;
    const room = free >= 0;
    const name = room ? sound.name : "";
    const width = name.length * LETTER + 14;
    rows[row] = Math.max(rows[row] ?? 0, long ? Math.max(to, from + width) : x + width);
    const y = long ? ROWS.beds + row * 13 : ROWS.hits + row * 12 - 4;
    shorten(marks, y, left);
    marks.push({ sound, shape, x, from, to, y, name });
  }
  return marks;
}

/** Names end before what follows them in their row. */
function shorten(marks: readonly Mark[], y: number, left: number) {
  const before = marks.findLast((m) => m.y === y);
  if (!before) return;
  const start = isLong(before) ? before.from : before.x;
  const letters = Math.floor((left - start - 16) / LETTER);
  if (letters >= before.name.length) return;
  before.name = letters < 4 ? "" : `${before.name.slice(0, letters - 1).trimEnd()}…`;
}
