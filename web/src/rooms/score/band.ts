import {
  takeFrameUrl,
  type Film,
  type Joint,
  type Placed,
  type Production,
} from "../../api/client";
import { isWedge } from "./passings";
import type { Parts, Ruler } from "./layout";

/** A picture on a stave: a frame of a take, and where it stands, in pixels. */
export interface Cell {
  src: string;
  x: number;
  width: number;
  /** Whether the frame is shown whole, with black around it, rather than filling its place. */
  whole: boolean;
  /** Where the shot comes in over the one before, along a slant from the foot to the top. */
  slant: Slant | null;
}

/** From where to where on a stave two shots share the picture, in pixels. */
export interface Slant {
  from: number;
  to: number;
}

/** The pictures of a stave, and what stands for shots without. In pixels from its left. */
export interface Band {
  from: number;
  to: number;
  height: number;
  cells: Cell[];
  /** Stretches of black: gaps, and shots whose take is lost. */
  blacks: { x: number; width: number }[];
  /** Where one frame of a shot ends and the next begins. */
  hairs: number[];
}

/** Below this width a shot shows no picture. */
const NO_PICTURE = 14;

/** Most pictures of one shot. */
const MOST = 12;

/** How high the frames of takes are asked for. */
const FRAME_HEIGHT = 144;

/** Where the part of a shot that a stave holds lies. */
export function partOf(shot: Placed, ruler: Ruler) {
  const { stave } = ruler;
  const from = Math.max(shot.start, stave.before);
  const to = Math.min(shot.end, stave.end);
  const x = ruler.x(from);
  return { from, to, x, width: Math.max(1, ruler.x(to) - x) };
}

/**
 * Lays the pictures of a stave's shots: as many frames of each as fit, from the first used to the
 * last used.
 *
 * @param isLost tells shots whose take is missing
 */
export function bandOf(
  shots: readonly Placed[],
  isLost: (shot: Placed) => boolean,
  ruler: Ruler,
  parts: Parts,
  production: Production,
  film: Film,
): Band {
  const height = parts.pictureEnd - parts.picture;
  const frameWidth = (height * production.width) / production.height;
  const first = shots[0];
  const last = shots.at(-1);
  const begin = first ? partOf(first, ruler).x : 0;
  const end = last ? partOf(last, ruler) : { x: 0, width: 0 };
  const band: Band = {
    from: begin,
    to: end.x + end.width,
    height,
    cells: [],
    blacks: [],
    hairs: [],
  };
  for (const shot of withNeighbours(shots, film, ruler)) {
    const { from, to, x, width } = partOf(seen(shot, film), ruler);
    const slant = slantOf(film.joints[shot.place], ruler);
    if (shot.takeId === 0 || isLost(shot)) {
      band.blacks.push({ x, width });
      continue;
    }
    if (width < NO_PICTURE && shots.includes(shot)) continue;
    const count = Math.max(1, Math.min(MOST, Math.round(width / frameWidth)));
    const cell = width / count;
    const used = Math.max(0, to - from - 1);
    const whole = shot.framing !== "FILL" && count === 1 && cell >= frameWidth;
    for (let i = 0; i < count; i++) {
      const within = count === 1 ? 0.5 : i / (count - 1);
      const at = shot.in + (from - shot.start) + Math.round(within * used);
      const frame = Math.max(0, Math.min(shot.material - 1, at));
      const src = takeFrameUrl(production.id, shot.takeId, frame, FRAME_HEIGHT);
      band.cells.push({ src, x: x + i * cell, width: cell, whole, slant });
      if (i > 0) band.hairs.push(x + i * cell);
    }
  }
  return band;
}

/** The shots of a stave, and those of the staves beside it that a wedge brings onto it. */
function withNeighbours(shots: readonly Placed[], film: Film, { stave }: Ruler): Placed[] {
  const before = film.shots[(shots[0]?.place ?? 0) - 1];
  const after = film.shots[(shots.at(-1)?.place ?? film.shots.length) + 1];
  return [
    ...(before && before.end <= stave.before && seen(before, film).end > stave.before
      ? [before]
      : []),
    ...shots,
    ...(after && after.start >= stave.end && seen(after, film).start < stave.end ? [after] : []),
  ];
}

/** A shot with the frames it shares with its neighbours, where they are drawn as wedges. */
function seen(shot: Placed, film: Film): Placed {
  const before = film.joints[shot.place]?.passing;
  const after = film.joints[shot.place + 1]?.passing;
  return {
    ...shot,
    start: before && isWedge(before) ? Math.min(shot.start, before.start) : shot.start,
    end: after && isWedge(after) ? Math.max(shot.end, after.end) : shot.end,
  };
}

function slantOf(joint: Joint | undefined, ruler: Ruler): Slant | null {
  const passing = joint?.passing;
  return passing && isWedge(passing)
    ? { from: ruler.x(passing.start), to: ruler.x(passing.end) }
    : null;
}

/** Paints a band at the top of a canvas; pictures that are not there yet are left dark. */
export function paint(
  context: CanvasRenderingContext2D,
  band: Band,
  picture: (src: string) => ImageBitmap | null,
) {
  const { height } = band;
  context.fillStyle = "#15171F";
  context.fillRect(band.from, 0, Math.max(0, band.to - band.from), height);
  context.fillStyle = "#000";
  for (const { x, width } of band.blacks) context.fillRect(x, 0, width, height);
  for (const cell of band.cells) {
    const image = picture(cell.src);
    if (!image) continue;
    if (!cell.slant) {
      put(context, image, cell, height);
      continue;
    }
    context.save();
    context.beginPath();
    context.moveTo(cell.slant.from, height);
    context.lineTo(cell.slant.to, 0);
    context.lineTo(band.to, 0);
    context.lineTo(band.to, height);
    context.clip();
    put(context, image, cell, height);
    context.restore();
  }
  context.fillStyle = "#FBF9F58C";
  for (const x of band.hairs) context.fillRect(x - 0.5, 0, 1, height);
}

function put(context: CanvasRenderingContext2D, image: ImageBitmap, cell: Cell, height: number) {
  const { x, width } = cell;
  const across = width / image.width;
  const down = height / image.height;
  if (cell.whole) {
    const scale = Math.min(across, down);
    const [w, h] = [image.width * scale, image.height * scale];
    context.drawImage(image, x + (width - w) / 2, (height - h) / 2, w, h);
    return;
  }
  const scale = Math.max(across, down);
  const [w, h] = [width / scale, height / scale];
  context.drawImage(
    image,
    (image.width - w) / 2,
    (image.height - h) / 2,
    w,
    h,
    x,
    0,
    width,
    height,
  );
}
