package app.latethistle.core.music;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.signal.MonoSound;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class RowsTest {
  private static final int RATE = 22_050;
  private static final int SECONDS = 24;

  /** Steps of 0.37 s, louder and softer at random, so that no onset tells of a slower beat. */
  private static Features steps() {
    Random random = new Random(4);
    float[] samples = new float[SECONDS * RATE];
    for (double at = 0.2; at < SECONDS - 0.3; at += 0.37) {
      int from = (int) (at * RATE);
      double level = 0.3 + 0.4 * random.nextDouble();
      for (int i = 0; i < RATE / 20; i++) {
        samples[from + i] = (float) (level * random.nextGaussian() * Math.exp(-i * 40.0 / RATE));
      }
    }
    return new Features(new MonoSound(samples, RATE));
  }

  private static double share(int[] row, int gap, int length) {
    long met =
        Arrays.stream(row).filter(b -> Math.min(b % gap, gap - b % gap) <= 2).distinct().count();
    return met / Math.max(row.length, (double) length / gap);
  }

  private static double best(Features f, HeardBeats heard, int gap) {
    return Rows.of(f, heard).stream()
        .mapToDouble(row -> share(row.beats(), gap, f.length()))
        .max()
        .orElse(0);
  }

  @Test
  void beatsThatOnlyTheNetworkHearsAreAmongTheRows() {
    Features f = steps();
    int gap = (int) Math.round(0.81 / f.hop);
    float[] odds = new float[f.length()];
    Arrays.fill(odds, -4);
    for (int i = 0; i < odds.length; i += gap) {
      odds[i] = 4;
    }
    float[] nothing = new float[f.length()];
    Arrays.fill(nothing, -4);

    assertThat(best(f, new HeardBeats(odds, SECONDS), gap)).isGreaterThan(0.9);
    assertThat(best(f, new HeardBeats(nothing, SECONDS), gap)).isLessThan(0.6);
  }

  @Test
  void everyRowRises() {
    Features f = steps();
    List<Rows.Row> rows = Rows.of(f, HeardBeats.in(f));
    assertThat(rows).isNotEmpty();
    for (Rows.Row row : rows) {
      int[] beats = row.beats();
      for (int i = 1; i < beats.length; i++) {
        assertThat(beats[i]).isGreaterThan(beats[i - 1]);
      }
    }
  }
}
