package app.latethistle.core.picture;

/** A picture of which a part stays: over black, weighed by its own opacity. */
public final class Cutout {
  private final Frame picture;
  private final byte[] opacity;

  private Cutout(Frame picture, byte[] opacity) {
    this.picture = picture;
    this.opacity = opacity;
  }

  /** A picture that stays whole. */
  public static Cutout whole(Frame picture) {
    return new Cutout(picture, null);
  }

  /**
   * A picture of which a part stays; neither is copied.
   *
   * @param opacity of each pixel, 0 to 255
   */
  public static Cutout of(Frame picture, byte[] opacity) {
    return new Cutout(picture, opacity);
  }

  /** The picture itself. */
  public Frame picture() {
    return picture;
  }

  /** Whether all of it stays. */
  boolean isWhole() {
    return opacity == null;
  }

  /** The opacity of each pixel of one that does not stay whole. */
  public byte[] opacity() {
    return opacity;
  }
}
