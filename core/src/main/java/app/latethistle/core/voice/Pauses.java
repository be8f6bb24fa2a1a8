package app.latethistle.core.voice;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;

/**
 * Finds where a reading rests. The threshold follows the reading: a third of the way, in decibels,
 * from its noise to its speech, at least 4 dB over the noise and between 24 and 45 dB under the
 * speech where the noise allows it (common practice, no source).
 */
public final class Pauses {
  /** The shortest rest that counts, in seconds; the closed lips of a "p" are shorter. */
  public static final double SHORTEST = 0.14;

  /** A click or breath this short does not end a rest, in seconds. */
  private static final double BLIP = 0.03;

  private Pauses() {}

  /** The rests of a reading in order, with those before its first and after its last word. */
  public static List<SampleRange> of(MonoSound reading) {
    Levels levels = new Levels(reading);
    if (levels.speech() == levels.noise()) {
      return List.of();
    }
    double threshold = threshold(levels);
    int blip = (int) Math.round(BLIP * Levels.RATE);
    int least = (int) Math.round(SHORTEST * Levels.RATE);
    List<SampleRange> pauses = new ArrayList<>();
    int from = -1;
    int quiet = -1;
    for (int i = 0; i <= levels.length(); i++) {
      boolean isQuiet = i < levels.length() && levels.at(i) < threshold;
      if (isQuiet) {
        from = from < 0 ? i : from;
        quiet = i;
      } else if (from >= 0 && (i == levels.length() || i - quiet > blip)) {
        if (quiet + 1 - from >= least) {
          pauses.add(new SampleRange(sample(from), sample(quiet + 1)));
        }
        from = -1;
      }
    }
    return pauses;
  }

  private static double threshold(Levels levels) {
    double third = levels.noise() + (levels.speech() - levels.noise()) / 3;
    double within = Math.max(levels.speech() - 45, Math.min(levels.speech() - 24, third));
    return Math.max(levels.noise() + 4, within);
  }

  private static long sample(int index) {
    return Samples.ofSeconds((double) index / Levels.RATE);
  }
}
