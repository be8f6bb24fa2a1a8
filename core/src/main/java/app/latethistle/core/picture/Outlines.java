package app.latethistle.core.picture;

import app.latethistle.core.look.TreatmentKind;

/** What is made of a picture's edges: light on them, or a drawing. */
final class Outlines implements TreatmentPainter {
  /** A stroke's and a shine's softness, in thousandths of the height. */
  private static final double STROKE = 4;

  private static final double SHINE = 3;

  /** From here on an edge shines in full: the slope of a step of 30 codes. */
  private static final double FULL = 120;

  private final TreatmentKind kind;
  private final Blurring luma;

  Outlines(TreatmentKind kind, int width, int height) {
    this.kind = kind;
    luma = new Blurring(width, height);
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    if (kind == TreatmentKind.SKETCH) {
      sketch(from, into, setting.share(0));
    } else {
      shine(from, into, setting);
    }
  }

  /** The picture over a soft one of itself: white where it is even, dark where it is darker. */
  private void sketch(Frame from, Frame into, double amount) {
    float[] soft = luma.of(from.data(), 0, STROKE * from.height() / 1000);
    float share = (float) amount;
    for (int i = 0; i < soft.length; i++) {
      int value = from.data()[i] & 0xff;
      float ratio =
          (Math.max(0, value - Frame.BLACK) + 8) / (Math.max(0, soft[i] - Frame.BLACK) + 8);
      float drawn =
          Frame.BLACK
              + (Frame.WHITE - Frame.BLACK) * Math.max(0, 1 - 2.2f * Math.max(0, 1 - ratio));
      into.data()[i] = Softening.code(value + share * (drawn - value));
    }
    for (int i = soft.length; i < from.data().length; i++) {
      int value = from.data()[i] & 0xff;
      into.data()[i] = Softening.code(value + share * (128 - value));
    }
  }

  /** Slopes after Sobel, made soft, laid over as light of a colour. */
  private void shine(Frame from, Frame into, Setting setting) {
    int w = from.width();
    int h = from.height();
    byte[] data = from.data();
    float[] slopes = luma.values();
    for (int y = 0; y < h; y++) {
      int up = Math.max(0, y - 1) * w;
      int at = y * w;
      int low = Math.min(h - 1, y + 1) * w;
      for (int x = 0; x < w; x++) {
        int l = Math.max(0, x - 1);
        int r = Math.min(w - 1, x + 1);
        int across =
            (data[up + r] & 0xff)
                + 2 * (data[at + r] & 0xff)
                + (data[low + r] & 0xff)
                - (data[up + l] & 0xff)
                - 2 * (data[at + l] & 0xff)
                - (data[low + l] & 0xff);
        int down =
            (data[low + l] & 0xff)
                + 2 * (data[low + x] & 0xff)
                + (data[low + r] & 0xff)
                - (data[up + l] & 0xff)
                - 2 * (data[up + x] & 0xff)
                - (data[up + r] & 0xff);
        slopes[at + x] = (float) Math.min(1, Math.hypot(across, down) / FULL);
      }
    }
    float[] light = luma.blurred(SHINE * h / 1000);
    byte[] colour = Hue.yuv(setting.value(1), 0.8, 0.5);
    float amount = (float) setting.share(0);
    for (int i = 0; i < light.length; i++) {
      int value = data[i] & 0xff;
      into.data()[i] = Softening.code(value + amount * light[i] * ((colour[0] & 0xff) - value));
    }
    for (int plane = 1; plane < 3; plane++) {
      int offset = from.offset(plane);
      for (int y = 0; y < h / 2; y++) {
        for (int x = 0; x < w / 2; x++) {
          int at = offset + y * (w / 2) + x;
          int value = data[at] & 0xff;
          float share = amount * light[2 * y * w + 2 * x];
          into.data()[at] = Softening.code(value + share * ((colour[plane] & 0xff) - value));
        }
      }
    }
  }
}
