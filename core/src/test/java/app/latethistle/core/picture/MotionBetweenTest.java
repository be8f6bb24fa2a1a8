package app.latethistle.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Held against pictures whose truth is known: a pattern drawn where it really is half-way. */
class MotionBetweenTest {
  private static final int WIDTH = 320;
  private static final int HEIGHT = 180;

  /** Smooth, textured and not repeating, moved by some pixels; a disc on it moves the other way. */
  private static Frame picture(double moved, double turn) {
    Frame frame = new Frame(WIDTH, HEIGHT);
    frame.black();
    double dx = moved * Math.cos(turn);
    double dy = moved * Math.sin(turn);
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        boolean disc = Math.hypot(x - 160 + dx, y - 90 + dy) < 40;
        double u = disc ? x + dx : x - dx;
        double v = disc ? y + dy : y - dy;
        double value = 40 + 130 * noise(u / 6, v / 6) + 40 * noise(v / 17 + 50, u / 17);
        frame.data()[y * WIDTH + x] = (byte) Math.round(disc ? 255 - value : value);
      }
    }
    return frame;
  }

  /** Value noise of cells one wide, 0 to 1, that does not repeat. */
  private static double noise(double x, double y) {
    long cx = (long) Math.floor(x);
    long cy = (long) Math.floor(y);
    double fx = smooth(x - cx);
    double fy = smooth(y - cy);
    double top = cell(cx, cy) * (1 - fx) + cell(cx + 1, cy) * fx;
    double low = cell(cx, cy + 1) * (1 - fx) + cell(cx + 1, cy + 1) * fx;
    return top * (1 - fy) + low * fy;
  }

  private static double smooth(double f) {
    return f * f * (3 - 2 * f);
  }

  private static double cell(long x, long y) {
    return new SplittableRandom(x * 1_000_003 + y).nextDouble();
  }

  private static double psnr(Frame a, Frame b) {
    double sum = 0;
    for (int i = 0; i < WIDTH * HEIGHT; i++) {
      double d = (a.data()[i] & 0xff) - (b.data()[i] & 0xff);
      sum += d * d;
    }
    return 10 * Math.log10(255.0 * 255.0 * WIDTH * HEIGHT / Math.max(1e-9, sum));
  }

  @ParameterizedTest
  @CsvSource({"6, 0, 0.5", "10, 1.1, 0.25", "14, 2.6, 0.5", "20, 4.0, 0.75", "9, 5.5, 0.3"})
  void whatMovesIsDrawnWhereItIs(double step, double turn, double share) {
    Frame before = picture(0, turn);
    Frame after = picture(step, turn);
    Frame truth = picture(step * share, turn);
    Frame moved = new Frame(WIDTH, HEIGHT);
    Frame mixed = new Frame(WIDTH, HEIGHT);
    MotionBetween motion = new MotionBetween(WIDTH, HEIGHT);
    motion.draw(7, before, after, share, moved);
    Blend.mix(before, after, share, mixed);
    assertThat(psnr(moved, truth)).isGreaterThan(psnr(mixed, truth) + 7).isGreaterThan(25);
  }

  /** What is kept of a pair does not hang on which of its pictures was drawn first. */
  @Test
  void anyShareOfAPairIsTheSameInAnyOrder() {
    Frame[] frames = {picture(0, 1), picture(9, 1), picture(18, 1)};
    MotionBetween motion = new MotionBetween(WIDTH, HEIGHT);
    for (double share : new double[] {0.25, 0.75, 0.5}) {
      for (int pair = 0; pair < 2; pair++) {
        Frame kept = new Frame(WIDTH, HEIGHT);
        Frame fresh = new Frame(WIDTH, HEIGHT);
        motion.draw(pair, frames[pair], frames[pair + 1], share, kept);
        new MotionBetween(WIDTH, HEIGHT).draw(3, frames[pair], frames[pair + 1], share, fresh);
        assertThat(kept.data()).isEqualTo(fresh.data());
      }
    }
  }

  @Test
  void whatStandsStaysAsItIs() {
    Frame still = picture(0, 0);
    Frame drawn = new Frame(WIDTH, HEIGHT);
    new MotionBetween(WIDTH, HEIGHT).draw(0, still, still, 0.4, drawn);
    assertThat(drawn.data()).isEqualTo(still.data());
  }
}
