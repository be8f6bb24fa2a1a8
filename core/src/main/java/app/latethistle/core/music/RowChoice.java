package app.latethistle.core.music;

import app.latethistle.core.work.AllCores;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The row of beats that is taken of those that a song may have, and the other way of counting that
 * comes nearest to it.
 *
 * @param row the best of all
 * @param other what is in doubt, if a row that counts otherwise is nearly as good
 */
record RowChoice(Rows.Row row, Optional<OtherReading> other) {
  /**
   * A row whose score is less than this behind is in doubt. Chosen of 3 to 18 by what is in doubt
   * then: of the pieces that the weights were chosen on 2 of 6 that are counted wrong and 12 of 51
   * right ones; at 18 it would be 4 and 29.
   */
  private static final double NEAR = 12;

  /**
   * What the likeness to what the network hears weighs beside {@link Evidence#score}, and what the
   * odds a second that it gives. From half to twice both, of the pieces of {@code ./bench beats}
   * that are fitted and chosen on the same are counted right.
   */
  private static final double LIKENESS = 20;

  private static final double ODDS = 4;

  /** Tempi this near, as a ratio, are the same. */
  private static final double SAME_TEMPO = 0.06;

  /** Of two rows of one tempo so many beats must lie off the other's for it to be another. */
  private static final double OFF = 0.3;

  /** The best of some rows; empty without any. */
  static Optional<RowChoice> of(Features f, HeardBeats heard, List<Rows.Row> rows) {
    double[] scores =
        AllCores.computed(rows, row -> score(f, heard, row)).stream()
            .mapToDouble(score -> score)
            .toArray();
    int best = -1;
    for (int i = 0; i < scores.length; i++) {
      best = best < 0 || scores[i] > scores[best] ? i : best;
    }
    if (best < 0) {
      return Optional.empty();
    }
    Rows.Row chosen = rows.get(best);
    double nearest = scores[best] - NEAR;
    Optional<OtherReading> other = Optional.empty();
    for (int i = 0; i < scores.length; i++) {
      if (scores[i] > nearest) {
        Optional<OtherReading> reading = between(chosen.beats(), rows.get(i).beats());
        if (reading.isPresent()) {
          nearest = scores[i];
          other = reading;
        }
      }
    }
    return Optional.of(new RowChoice(chosen, other));
  }

  private static double score(Features f, HeardBeats heard, Rows.Row row) {
    return Evidence.of(f, row).score()
        + LIKENESS * heard.likeness(row.beats())
        + ODDS * heard.odds(row.beats());
  }

  /** How another row counts, seen from one; empty if it is the same or neither half nor twice. */
  private static Optional<OtherReading> between(int[] one, int[] other) {
    double ratio = gap(one) / gap(other);
    if (Math.abs(ratio - 2) < 2 * SAME_TEMPO) {
      return Optional.of(OtherReading.TWICE_AS_QUICK);
    }
    if (Math.abs(ratio - 0.5) < 0.5 * SAME_TEMPO) {
      return Optional.of(OtherReading.HALF_AS_QUICK);
    }
    boolean same = Math.abs(ratio - 1) < SAME_TEMPO;
    return same && Math.abs(offset(one, other) - 0.5) < 0.5 - OFF
        ? Optional.of(OtherReading.HALF_A_BEAT_LATER)
        : Optional.empty();
  }

  private static double gap(int[] beats) {
    return (double) (beats[beats.length - 1] - beats[0]) / (beats.length - 1);
  }

  /** How far into the gaps of one row the beats of another lie, 0 to 1, in the median. */
  private static double offset(int[] one, int[] other) {
    double[] offsets = new double[other.length];
    int count = 0;
    int at = 0;
    for (int beat : other) {
      while (at + 1 < one.length && one[at + 1] <= beat) {
        at++;
      }
      if (beat >= one[at] && at + 1 < one.length) {
        offsets[count++] = (double) (beat - one[at]) / (one[at + 1] - one[at]);
      }
    }
    if (count == 0) {
      return 0;
    }
    double[] sorted = Arrays.copyOf(offsets, count);
    Arrays.sort(sorted);
    return sorted[count / 2];
  }
}
