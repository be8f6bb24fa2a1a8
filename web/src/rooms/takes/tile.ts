import type { Production } from "../../api/client";

/** How large the picture of a take is drawn, in pixels. */
export interface TileSize {
  width: number;
  height: number;
}

/** Widths of tiles: a wide picture may be wider than it is high, an upright one stands upright. */
const WIDE = 128;
const SQUARE = 104;
const UPRIGHT = 88;
const DENSE = 0.75;

/** Tiles are as wide as this leaves at the least width of the rows, and grow with them. */
const USUAL_ROOM = 856;
const MOST = 2.2;

/**
 * The size of a production's tiles: in the shape of its film, and of about the same area.
 *
 * @param room how wide the rows are, in pixels
 */
export function tileSize(
  { width, height }: Pick<Production, "width" | "height">,
  dense: boolean,
  room: number,
): TileSize {
  const aspect = width / height;
  const grown = Math.min(MOST, Math.max(1, (room - BESIDE) / (USUAL_ROOM - BESIDE)));
  const usual = aspect > 1.2 ? WIDE : aspect > 0.9 ? SQUARE : UPRIGHT;
  const across = Math.round(usual * grown * (dense ? DENSE : 1));
  return { width: across, height: Math.round(across / aspect) };
}

/** What the number and name of a shot take. */
const BESIDE = 160;

/** How wide the column at the side is; the take in it grows with it. */
export const SIDE = "clamp(376px, 27vw, 640px)";
