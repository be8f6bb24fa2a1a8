package app.latethistle.core.take;

import app.latethistle.core.Refused;

/**
 * The size of a picture and the shape of its pixels, as it is meant to be seen (turned upright).
 *
 * @param width in pixels, 2 or more
 * @param height in pixels, 2 or more
 * @param pixelAspect width of a pixel over its height; 1 for square
 */
public record PictureShape(int width, int height, double pixelAspect) {
  /**
   * @throws IllegalArgumentException if a side is under 2 pixels or the aspect is not positive
   */
  public PictureShape {
    if (width < 2 || height < 2 || !(pixelAspect > 0)) {
      throw new Refused("A picture of " + width + "x" + height + " pixels cannot be used.");
    }
  }

  /** A picture of square pixels. */
  public static PictureShape of(int width, int height) {
    return new PictureShape(width, height, 1);
  }

  /** Width over height as seen. */
  public double aspect() {
    return width * pixelAspect / height;
  }

  /** The shape after a quarter turn. */
  public PictureShape turned() {
    return new PictureShape(/* width= */ height, /* height= */ width, 1 / pixelAspect);
  }
}
