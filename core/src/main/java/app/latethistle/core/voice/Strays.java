package app.latethistle.core.voice;

import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;

/** Speech in a reading that belongs to no word of its text. */
final class Strays {
  /** Speech outside the text counts from this length on; shorter rests in it do not part it. */
  private static final double STRAY_SECONDS = 0.22;

  private static final double REST_SECONDS = 0.12;

  private Strays() {}

  /**
   * Stretches of speech, in order.
   *
   * @param gap whether a frame of the reading lies in no word
   */
  static List<SampleRange> of(SpeechFeatures heard, IntPredicate gap) {
    int rest = (int) Math.round(REST_SECONDS / heard.hopSeconds());
    int least = (int) Math.round(STRAY_SECONDS / heard.hopSeconds());
    List<SampleRange> strays = new ArrayList<>();
    int from = -1;
    int last = -1;
    for (int t = 0; t <= heard.length(); t++) {
      boolean inGap = t < heard.length() && gap.test(t);
      if (from >= 0 && (!inGap || t - last > rest)) {
        if (last + 1 - from >= least) {
          strays.add(new SampleRange(heard.sampleAt(from), heard.sampleAt(last + 1)));
        }
        from = -1;
      }
      if (inGap && heard.loud(t) > WordPath.QUIET_UP_TO) {
        from = from < 0 ? t : from;
        last = t;
      }
    }
    return strays;
  }
}
