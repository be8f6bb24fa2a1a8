package app.latethistle.core.picture;

/**
 * Scales a region of one frame to a rectangle of another: its luma, and its chroma half as fine.
 */
final class FrameScaler {
  private final Scaler luma;
  private final Scaler chroma;

  /**
   * @param seen the region, in pixels of the source
   * @param width of the source, even
   * @param height of the source, even
   * @param toWidth of the rectangle, even
   * @param toHeight of the rectangle, even
   */
  FrameScaler(Region seen, int width, int height, int toWidth, int toHeight) {
    luma = scaler(seen, width, height, toWidth, toHeight, 1);
    chroma = scaler(seen, width, height, toWidth, toHeight, 2);
  }

  private static Scaler scaler(
      Region seen, int width, int height, int toWidth, int toHeight, int part) {
    return new Scaler(
        new Region(seen.x() / part, seen.y() / part, seen.width() / part, seen.height() / part),
        width / part,
        height / part,
        toWidth / part,
        toHeight / part,
        part == 2);
  }

  /** Scales onto the whole of the target. */
  void draw(Frame source, Frame target) {
    draw(source, target, 0, 0);
  }

  /**
   * Scales into the target.
   *
   * @param x where the rectangle's left side comes, even
   * @param y where its top comes, even
   */
  void draw(Frame source, Frame target, int x, int y) {
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      int stride = target.width() / part;
      int at = target.offset(plane) + y / part * stride + x / part;
      (plane == 0 ? luma : chroma)
          .scale(source.data(), source.offset(plane), target.data(), at, stride);
    }
  }
}
