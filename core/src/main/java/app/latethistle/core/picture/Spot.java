package app.latethistle.core.picture;

/**
 * A small thing drawn over a picture: a disc or a turned square with an edge of about a pixel, in a
 * colour, opaque or as light.
 *
 * @param x of its middle, in pixels
 * @param y of its middle
 * @param across half its width, in pixels
 * @param down half its height
 * @param turn in radians
 * @param round whether it is a disc and not a square
 */
record Spot(double x, double y, double across, double down, double turn, boolean round) {

  /**
   * Lays it over a picture.
   *
   * @param colour Y, Cb, Cr
   * @param opacity 0 to 1
   */
  void draw(Frame into, byte[] colour, double opacity) {
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      draw(into, plane, part, colour[plane] & 0xff, opacity);
    }
  }

  private void draw(Frame into, int plane, int part, int colour, double opacity) {
    int w = into.width() / part;
    int h = into.height() / part;
    double cos = Math.cos(turn);
    double sin = Math.sin(turn);
    double reachAcross = (Math.abs(across * cos) + Math.abs(down * sin)) / part + 1;
    double reachDown = (Math.abs(across * sin) + Math.abs(down * cos)) / part + 1;
    int offset = into.offset(plane);
    byte[] data = into.data();
    int first = Math.max(0, (int) Math.floor(x / part - reachAcross));
    int last = Math.min(w - 1, (int) Math.ceil(x / part + reachAcross));
    int low = Math.min(h - 1, (int) Math.ceil(y / part + reachDown));
    for (int row = Math.max(0, (int) Math.floor(y / part - reachDown)); row <= low; row++) {
      for (int column = first; column <= last; column++) {
        double dx = column + 0.5 - x / part;
        double dy = row + 0.5 - y / part;
        double u = dx * cos + dy * sin;
        double v = dy * cos - dx * sin;
        double cover = opacity * cover(u, v, across / part, down / part);
        if (cover > 0) {
          int at = offset + row * w + column;
          int under = data[at] & 0xff;
          data[at] = (byte) Math.round(under + cover * (colour - under));
        }
      }
    }
  }

  /** How much of a pixel lies within, about. */
  private double cover(double u, double v, double halfAcross, double halfDown) {
    if (round) {
      double far = Math.hypot(u / halfAcross, v / halfDown);
      double soft = Math.min(1, 1 / Math.min(halfAcross, halfDown));
      // A disc fades towards its edge, as a thing out of focus does; a small one is all edge.
      double edge = Math.max(0, Math.min(1, (1 + soft / 2 - far) / Math.max(soft, 0.5)));
      return edge * Math.min(1, halfAcross * 2) * Math.min(1, halfDown * 2);
    }
    return side(u, halfAcross) * side(v, halfDown);
  }

  private static double side(double at, double half) {
    return Math.max(0, Math.min(1, half + 0.5 - Math.abs(at))) * Math.min(1, 2 * half);
  }
}
