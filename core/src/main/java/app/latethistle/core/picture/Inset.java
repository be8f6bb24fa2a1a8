package app.latethistle.core.picture;

import java.util.Arrays;
import java.util.List;

/** The picture smaller, with a border and a shadow, on a soft dark one of itself. */
final class Inset implements TreatmentPainter {
  private static final double SOFTNESS = 40;
  private static final double DARK = 0.55;
  private static final double SHADOW_SIZE = 20;
  private static final double SHADOW_DOWN = 10;
  private static final byte[] PAPER = {(byte) 226, (byte) 125, (byte) 130};

  private final Softening softening;
  private final Blurring luma;
  private final Frame soft;

  Inset(int width, int height) {
    softening = new Softening(width, height, Softening.Use.BLUR);
    luma = new Blurring(width, height);
    soft = new Frame(width, height);
  }

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    int w = from.width();
    int h = from.height();
    int across = Math.max(2, (int) Math.round(w * setting.share(0) / 2) * 2);
    int down = Math.max(2, (int) Math.round(h * setting.share(0) / 2) * 2);
    int left = (w - across) / 4 * 2;
    int top = (h - down) / 4 * 2;
    int border = (int) Math.round(setting.pixels(1, from) / 2) * 2;
    softening.draw(from, soft, new Setting(List.of(SOFTNESS), setting.seconds(), setting.seed()));
    into.copy(soft);
    Fade.toBlack(into, 1 - DARK);
    shadow(into, left - border, top - border, across + 2 * border, down + 2 * border, setting);
    rectangle(into, left - border, top - border, across + 2 * border, down + 2 * border);
    new FrameScaler(new Region(0, 0, w, h), w, h, across, down).draw(from, into, left, top);
  }

  private void shadow(Frame into, int left, int top, int across, int down, Setting setting) {
    int w = into.width();
    int h = into.height();
    float[] dark = luma.values();
    int lower = (int) Math.round(SHADOW_DOWN * h / 1000);
    Arrays.fill(dark, 0);
    for (int y = Math.max(0, top + lower); y < Math.min(h, top + lower + down); y++) {
      int first = Math.max(0, Math.min(w, left));
      int last = Math.max(0, Math.min(w, left + across));
      Arrays.fill(dark, y * w + first, y * w + last, 1);
    }
    float[] shade = luma.blurred(SHADOW_SIZE * h / 1000);
    float amount = (float) setting.share(2);
    for (int i = 0; i < shade.length; i++) {
      int value = into.data()[i] & 0xff;
      into.data()[i] = Softening.code(value - amount * shade[i] * (value - 16));
    }
  }

  private static void rectangle(Frame into, int left, int top, int across, int down) {
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      int w = into.width() / part;
      int h = into.height() / part;
      int first = Math.max(0, Math.min(w, left / part));
      int last = Math.max(0, Math.min(w, (left + across) / part));
      for (int y = Math.max(0, top / part); y < Math.min(h, (top + down) / part); y++) {
        int at = into.offset(plane) + y * w;
        Arrays.fill(into.data(), at + first, at + last, PAPER[plane]);
      }
    }
  }
}
