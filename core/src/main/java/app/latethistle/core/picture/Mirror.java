package app.latethistle.core.picture;

/** Turns the picture over, or doubles a half of it. */
final class Mirror implements TreatmentPainter {

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    int way = (int) Math.round(setting.value(0));
    boolean across = way % 2 == 0;
    boolean doubled = way >= 2;
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      int w = from.width() / part;
      int h = from.height() / part;
      int offset = from.offset(plane);
      for (int y = 0; y < h; y++) {
        boolean turned = !doubled || (!across && y >= h / 2);
        int row = offset + (across || !turned ? y : h - 1 - y) * w;
        int at = offset + y * w;
        int kept = !across ? w : doubled ? (w + 1) / 2 : 0;
        System.arraycopy(from.data(), row, into.data(), at, kept);
        for (int x = kept; x < w; x++) {
          into.data()[at + x] = from.data()[row + w - 1 - x];
        }
      }
    }
  }
}
