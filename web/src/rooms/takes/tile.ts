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

/** The size of a production's tiles: in the shape of its film, and of about the same area. */
export function tileSize(
  { width, height }: Pick<Production, "width" | "height">,
  dense: boolean,
): TileSize {
  const aspect = width / height;
  const across = (aspect > 1.2 ? WIDE : aspect > 0.9 ? SQUARE : UPRIGHT) * (dense ? DENSE : 1);
  return { width: across, height: Math.round(across / aspect) };
}
