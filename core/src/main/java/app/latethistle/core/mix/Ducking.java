package app.latethistle.core.mix;

import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Lowers what lies under speech: down before a word is said, up again once nothing more follows.
 * The gain moves evenly in decibels. Depth and times are common practice, no source.
 */
public final class Ducking {
  /** How far it goes down, in decibels. */
  public static final double DEPTH = -9;

  private static final int ATTACK = Samples.RATE / 5;
  private static final int RELEASE = Samples.RATE / 2;

  /** Rests shorter than this are not worth coming up for, in samples. */
  private static final long HOLD = Samples.RATE;

  private final List<SampleRange> lows;

  /**
   * @param speech where something is said, in samples, in any order
   */
  public Ducking(List<SampleRange> speech) {
    List<SampleRange> ordered =
        speech.stream().sorted(Comparator.comparingLong(SampleRange::start)).toList();
    lows = new ArrayList<>();
    for (int i = 0; i < ordered.size(); ) {
      long start = ordered.get(i).start();
      long end = ordered.get(i).end();
      for (i++; i < ordered.size() && ordered.get(i).start() - end < HOLD; i++) {
        end = Math.max(end, ordered.get(i).end());
      }
      lows.add(new SampleRange(start, end));
    }
  }

  /** The stretches in which it is down or on its way that share a sample with a range. */
  List<SampleRange> reaching(SampleRange range) {
    return lows.stream()
        .filter(low -> low.start() - ATTACK < range.end() && low.end() + RELEASE > range.start())
        .toList();
  }

  /**
   * Lowers a range of the film in place.
   *
   * @param stereo left and right in turn
   * @param from the film's sample of its first
   */
  public void apply(float[] stereo, long from, int frames) {
    for (SampleRange low : reaching(SampleRange.ofLength(from, frames))) {
      long first = Math.max(from, low.start() - ATTACK);
      long last = Math.min(from + frames, low.end() + RELEASE);
      for (long at = first; at < last; at++) {
        double down = Math.min((at - (low.start() - ATTACK)) / (double) ATTACK, 1);
        double up = Math.min((low.end() + RELEASE - at) / (double) RELEASE, 1);
        float gain = (float) Math.pow(10, DEPTH * Math.min(down, up) / 20);
        int i = (int) (at - from);
        stereo[2 * i] *= gain;
        stereo[2 * i + 1] *= gain;
      }
    }
  }
}
