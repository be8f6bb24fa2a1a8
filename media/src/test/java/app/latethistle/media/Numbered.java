package app.latethistle.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.time.FrameRate;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;

/** Clips whose every picture tells its number: seven binary stripes from left to right. */
final class Numbered {
  static final int WIDTH = 112;
  static final int HEIGHT = 64;
  private static final int BITS = 7;
  private static final int STRIPE = WIDTH / BITS;

  private Numbered() {}

  /** Writes a clip of up to 128 pictures; the file's ending says MP4 or WebM. */
  static Path clip(Path file, int count, FrameRate rate) throws IOException {
    try (StandInEncoder encoder = StandInEncoder.open(file, WIDTH, HEIGHT, rate)) {
      Frame frame = new Frame(WIDTH, HEIGHT);
      for (int n = 0; n < count; n++) {
        draw(frame, n);
        encoder.write(frame);
      }
      encoder.finish();
    }
    return file;
  }

  private static void draw(Frame frame, int number) {
    frame.black();
    for (int bit = 0; bit < BITS; bit++) {
      byte luma = (byte) ((number >> bit & 1) == 1 ? 210 : 40);
      for (int y = 0; y < HEIGHT; y++) {
        int at = y * WIDTH + bit * STRIPE;
        Arrays.fill(frame.data(), at, at + STRIPE, luma);
      }
    }
  }

  /** The number in a picture of the clip's size or an even multiple of it. */
  static int read(Frame frame) {
    return read(frame.data(), frame.width(), frame.height());
  }

  static int read(byte[] luma, int width, int height) {
    assertThat(width * HEIGHT).isEqualTo(height * WIDTH);
    int stripe = width / BITS;
    int number = 0;
    for (int bit = 0; bit < BITS; bit++) {
      int value = luma[height / 2 * width + bit * stripe + stripe / 2] & 255;
      number |= (value > 125 ? 1 : 0) << bit;
    }
    return number;
  }
}
