package app.latethistle.server.film;

import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import java.util.List;

/**
 * What of a picture stays, as the page shows and sets it; see {@link Matte} for its units.
 *
 * @param keys colours that are taken out
 * @param masks parts that stay
 * @param part whether the take's subject stays, or what is behind it
 */
record MatteView(List<KeyView> keys, List<MaskView> masks, Matte.Part part, int wrap) {

  /** A part that stays; see {@link Mask} for its units. */
  record MaskView(Mask.Kind kind, List<MaskPoint> points, int softness, boolean outside) {}

  /** A place on the picture. */
  record MaskPoint(int x, int y) {}

  static MatteView of(Matte matte) {
    return new MatteView(
        matte.keys().stream().map(KeyView::of).toList(),
        matte.masks().stream().map(MatteView::of).toList(),
        matte.part(),
        matte.wrap());
  }

  private static MaskView of(Mask mask) {
    return new MaskView(
        mask.kind(),
        mask.points().stream().map(p -> new MaskPoint(p.x(), p.y())).toList(),
        mask.softness(),
        mask.outside());
  }

  /** As the film keeps it. */
  Matte matte() {
    return new Matte(
        keys.stream().map(KeyView::key).toList(),
        masks.stream()
            .map(
                m ->
                    new Mask(
                        m.kind,
                        m.points.stream().map(p -> new Mask.Spot(p.x, p.y)).toList(),
                        m.softness,
                        m.outside))
            .toList(),
        part == null ? Matte.Part.ALL : part,
        wrap);
  }
}
