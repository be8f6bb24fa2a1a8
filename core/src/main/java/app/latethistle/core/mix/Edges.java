package app.latethistle.core.mix;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.sound.Fade;

/**
 * How a part comes in and goes out.
 *
 * @param in from its first sample on
 * @param out to its last
 */
public record Edges(Fade in, Fade out) {
  /** There at once, and gone at once. */
  public static final Edges NONE = new Edges(Fade.NONE, Fade.NONE);

  /**
   * Over so many samples a sound is brought in and out that begins anywhere, so that it does not
   * click.
   */
  private static final long SOFT = 240;

  /** Clips cross with what they follow and what follows them: with equal power. */
  public static Edges crossing(long rise, long fall) {
    return new Edges(soft(rise), soft(fall));
  }

  private static Fade soft(long samples) {
    return samples > SOFT
        ? new Fade(Fade.Shape.EQUAL_POWER, samples)
        : new Fade(Fade.Shape.LINEAR, SOFT);
  }

  /** Fades samples of a part in place. */
  void apply(float[] samples, int channels, long from, int frames, long length) {
    fade(samples, channels, from, frames, in, 0, 1);
    fade(samples, channels, from, frames, out, length, -1);
  }

  private static void fade(
      float[] samples, int channels, long from, int frames, Fade fade, long edge, int way) {
    long first = way > 0 ? edge : edge - fade.samples();
    long last = way > 0 ? edge + fade.samples() : edge;
    long to = Math.min(from + frames, last);
    for (long at = Math.max(from, first); at < to; at++) {
      double within = way > 0 ? at - edge + 0.5 : edge - at - 0.5;
      float factor = (float) fade.factor(within);
      int i = (int) (at - from) * channels;
      for (int c = 0; c < channels; c++) {
        samples[i + c] *= factor;
      }
    }
  }

  void writeKey(KeyWriter key) {
    key.put(in.shape()).put(in.samples()).put(out.shape()).put(out.samples());
  }
}
