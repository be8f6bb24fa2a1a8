package app.latethistle.core.picture;

import app.latethistle.core.look.TreatmentKind;

/** What is done to each sample by itself: a flash, a flicker, few steps, two colours. */
final class Toning implements TreatmentPainter {
  private static final int BLACK = 16;
  private static final int WHITE = 235;
  private static final int GREY = 128;

  /** How light the two colours of a duotone are, and how strong: common practice, no source. */
  private static final double DARK_LUMA = 0.10;

  private static final double LIGHT_LUMA = 0.92;
  private static final double DARK_STRENGTH = 0.35;
  private static final double LIGHT_STRENGTH = 0.16;

  private final TreatmentKind kind;

  Toning(TreatmentKind kind) {
    this.kind = kind;
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    switch (kind) {
      case FLASH -> towards(from, into, setting.share(0), WHITE);
      case FLICKER -> {
        int step = (int) Math.floor(setting.seconds() * setting.perSecond(1));
        double dark = setting.share(0) * Noise.value(step, 0, setting.seed());
        towards(from, into, dark, BLACK);
      }
      case POSTERISE -> steps(from, into, (int) Math.round(setting.value(0)));
      default -> duotone(from, into, setting);
    }
  }

  /** Some of the way to a grey. */
  private static void towards(Frame from, Frame into, double share, int luma) {
    byte[] light = new byte[256];
    byte[] colour = new byte[256];
    for (int v = 0; v < 256; v++) {
      light[v] = (byte) Math.round(v + share * (luma - v));
      colour[v] = (byte) Math.round(v + share * (GREY - v));
    }
    look(from, into, light, colour);
  }

  private static void steps(Frame from, Frame into, int steps) {
    byte[] light = new byte[256];
    byte[] colour = new byte[256];
    for (int v = 0; v < 256; v++) {
      double at = Math.max(0, Math.min(1, (v - BLACK) / (double) (WHITE - BLACK)));
      double step = Math.min(steps - 1, Math.floor(at * steps)) / (steps - 1);
      light[v] = (byte) Math.round(BLACK + step * (WHITE - BLACK));
      double width = 224.0 / (2 * steps);
      colour[v] =
          (byte)
              Math.max(
                  16, Math.min(240, Math.round(GREY + width * Math.round((v - GREY) / width))));
    }
    look(from, into, light, colour);
  }

  private static void look(Frame from, Frame into, byte[] light, byte[] colour) {
    byte[] a = from.data();
    byte[] b = into.data();
    int pixels = from.offset(1);
    for (int i = 0; i < pixels; i++) {
      b[i] = light[a[i] & 0xff];
    }
    for (int i = pixels; i < a.length; i++) {
      b[i] = colour[a[i] & 0xff];
    }
  }

  /** Luma stays nearly as it is; colour follows it from the one hue to the other. */
  private static void duotone(Frame from, Frame into, Setting setting) {
    double amount = setting.share(0);
    byte[] dark = Hue.yuv(setting.value(1), DARK_LUMA, DARK_STRENGTH);
    byte[] light = Hue.yuv(setting.value(2), LIGHT_LUMA, LIGHT_STRENGTH);
    int[][] ramps = new int[3][256];
    for (int v = 0; v < 256; v++) {
      double at = Math.max(0, Math.min(1, (v - BLACK) / (double) (WHITE - BLACK)));
      for (int plane = 0; plane < 3; plane++) {
        int one = dark[plane] & 0xff;
        int other = light[plane] & 0xff;
        ramps[plane][v] = (int) Math.round(one + at * (other - one));
      }
    }
    byte[] a = from.data();
    byte[] b = into.data();
    int w = from.width();
    int weight = (int) Math.round(256 * amount);
    for (int i = 0; i < from.offset(1); i++) {
      b[i] = mixed(a[i], ramps[0][a[i] & 0xff], weight);
    }
    int cb = from.offset(1);
    int cr = from.offset(2);
    for (int y = 0; y < from.height() / 2; y++) {
      for (int x = 0; x < w / 2; x++) {
        int luma = Frame.meanOfFour(a, 2 * y * w + 2 * x, w);
        int at = y * (w / 2) + x;
        b[cb + at] = mixed(a[cb + at], ramps[1][luma], weight);
        b[cr + at] = mixed(a[cr + at], ramps[2][luma], weight);
      }
    }
  }

  private static byte mixed(byte from, int to, int weight) {
    return (byte) (((from & 0xff) * (256 - weight) + to * weight + 128) >> 8);
  }
}
