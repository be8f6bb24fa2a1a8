package app.latethistle.core.look;

import app.latethistle.core.take.PictureShape;

/** How a clip of another shape meets the film's picture. */
public enum Fit {
  /** The whole clip, with black bars beside it. */
  FIT,
  /** The whole picture, with the clip's edges cropped. */
  FILL,
  /** The whole clip over a soft, dark picture of itself. */
  SOFT;

  /** Up to this share of the clip is cropped without asking. */
  public static final double FILL_LOSS = 0.12;

  /** What is done if nobody says: fill when less than 12 % is lost, else fit. */
  public static Fit byDefault(PictureShape clip, PictureShape film) {
    return lossWhenFilled(clip, film) < FILL_LOSS ? FILL : FIT;
  }

  /** The share of the clip's area that filling would crop, 0 to 1. */
  public static double lossWhenFilled(PictureShape clip, PictureShape film) {
    double a = clip.aspect();
    double b = film.aspect();
    return 1 - Math.min(a, b) / Math.max(a, b);
  }
}
