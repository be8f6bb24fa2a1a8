package app.latethistle.core.picture;

import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.take.PictureShape;

/**
 * A rectangle in a picture, in pixels; its edges may lie between pixels.
 *
 * @param x left edge
 * @param y top edge
 * @param width more than 0
 * @param height more than 0
 */
public record Region(double x, double y, double width, double height) {

  /** The part of a clip that is seen when it fills a film of the aspect given. */
  static Region seenWhenFilling(PictureShape clip, double filmAspect) {
    double wider = clip.aspect() / filmAspect;
    double w = wider > 1 ? clip.width() / wider : clip.width();
    double h = wider > 1 ? clip.height() : clip.height() * wider;
    return new Region((clip.width() - w) / 2, (clip.height() - h) / 2, w, h);
  }

  /** Where in a film's picture a whole clip comes to lie, on even pixels. */
  public static Region placeWhenFitting(PictureShape clip, int width, int height) {
    double wider = clip.aspect() * height / width;
    int w = wider > 1 ? width : even(width * wider);
    int h = wider > 1 ? even(height / wider) : height;
    return new Region(even((width - w) / 2.0), even((height - h) / 2.0), w, h);
  }

  /** Where the clip lies in the film's picture for a framing. */
  static Region place(PictureShape clip, int width, int height, Framing framing) {
    return framing.fit() == Fit.FILL
        ? new Region(0, 0, width, height)
        : placeWhenFitting(clip, width, height);
  }

  private static int even(double value) {
    return Math.max(value > 0.5 ? 2 : 0, (int) Math.round(value / 2) * 2);
  }
}
