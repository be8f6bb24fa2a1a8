package app.latethistle.core.picture;

/**
 * Red moved one way and blue the other, by whole pixels; green stays. What comes from outside is
 * the edge repeated.
 */
final class PlanesApart implements TreatmentPainter {
  private final int[] rgb;
  private final int[] moved;

  PlanesApart(int width, int height) {
    rgb = new int[width * height];
    moved = new int[width * height];
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    double far = setting.pixels(0, from);
    double angle = Math.toRadians(setting.value(1));
    int right = (int) Math.round(far * Math.cos(angle));
    int down = (int) Math.round(far * Math.sin(angle));
    if (right == 0 && down == 0) {
      into.copy(from);
      return;
    }
    int w = from.width();
    int h = from.height();
    Rgb.fromFrame(from, rgb);
    for (int y = 0; y < h; y++) {
      int red = Math.max(0, Math.min(h - 1, y - down)) * w;
      int blue = Math.max(0, Math.min(h - 1, y + down)) * w;
      for (int x = 0; x < w; x++) {
        moved[y * w + x] =
            (rgb[red + Math.max(0, Math.min(w - 1, x - right))] & 0xff0000)
                | (rgb[y * w + x] & 0xff00)
                | (rgb[blue + Math.max(0, Math.min(w - 1, x + right))] & 0xff);
      }
    }
    Rgb.toFrame(moved, into);
  }
}
