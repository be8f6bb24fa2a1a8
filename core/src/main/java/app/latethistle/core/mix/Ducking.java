package app.latethistle.core.mix;

import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.Stretch;
import java.util.List;

/**
 * Lowers a bed under speech: down before a word is said, up again once nothing more follows. The
 * gain moves evenly in decibels. Depth and times are common practice, no source.
 */
public final class Ducking {
  /** How far the bed goes down, in decibels. */
  public static final double DEPTH = -9;

  private static final int ATTACK = Samples.RATE / 5;
  private static final int RELEASE = Samples.RATE / 2;

  /** Rests shorter than this are not worth coming up for, in samples. */
  private static final long HOLD = Samples.RATE;

  private Ducking() {}

  /**
   * Lowers interleaved stereo in place.
   *
   * @param stereo left and right in turn at 48 kHz
   * @param speech where something is said, in samples, in order
   */
  public static void apply(float[] stereo, List<Stretch> speech) {
    int frames = stereo.length / 2;
    for (int i = 0; i < speech.size(); ) {
      long start = speech.get(i).start();
      long end = speech.get(i).end();
      for (i++; i < speech.size() && speech.get(i).start() - end < HOLD; i++) {
        end = Math.max(end, speech.get(i).end());
      }
      int from = (int) Math.max(0, start - ATTACK);
      int to = (int) Math.min(frames, end + RELEASE);
      for (int at = from; at < to; at++) {
        double down = Math.min((at - (start - ATTACK)) / (double) ATTACK, 1);
        double up = Math.min((end + RELEASE - at) / (double) RELEASE, 1);
        float gain = (float) Math.pow(10, DEPTH * Math.min(down, up) / 20);
        stereo[2 * at] *= gain;
        stereo[2 * at + 1] *= gain;
      }
    }
  }
}
