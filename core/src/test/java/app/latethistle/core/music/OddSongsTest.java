package app.latethistle.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/** Songs that are not a steady drum in four. */
class OddSongsTest {
  private static final int RATE = 22_050;
  private static final int[] ROOTS = {110, 98, 131, 87};

  /** Beats of a song whose tempo, in beats a minute, depends on the time. */
  private static List<Double> beats(double seconds, DoubleUnaryOperator bpm) {
    List<Double> beats = new ArrayList<>();
    for (double at = 0.3; at < seconds - 1; at += 60 / bpm.applyAsDouble(at)) {
      beats.add(at);
    }
    return beats;
  }

  /** A chord on every bar, plucked notes on the beats and, if asked, drums. */
  private static float[] played(List<Double> beats, double seconds, int perBar, boolean drums) {
    float[] out = new float[(int) (seconds * RATE)];
    Random noise = new Random(2);
    for (int i = 0; i < beats.size(); i++) {
      double root = ROOTS[i / perBar % ROOTS.length];
      double at = beats.get(i);
      if (i % perBar == 0) {
        for (double part : new double[] {0.5, 1, 1.26, 1.5}) {
          tone(out, at, 60.0 / 40, root * part, 0.08, 0.9);
        }
      }
      tone(out, at, 0.6, root * (i % perBar == 0 ? 2.52 : 3), 0.12, 0.15);
      if (drums) {
        if (i % 2 == 0) {
          tone(out, at, 0.2, 60, 0.5, 0.06);
        }
        int start = (int) (at * RATE);
        for (int k = 0; i % 2 == 1 && k < 1500 && start + k < out.length; k++) {
          out[start + k] += (float) (0.2 * noise.nextGaussian() * Math.exp(-k / 400.0));
        }
      }
    }
    return out;
  }

  private static void tone(
      float[] out, double at, double length, double hertz, double level, double decay) {
    int start = (int) Math.round(at * RATE);
    int attack = RATE / 200;
    for (int k = 0; k < length * RATE && start + k < out.length; k++) {
      double gain = level * Math.min(1, (double) k / attack) * Math.exp(-k / (decay * RATE));
      double end = Math.min(1, (length * RATE - k) / 500);
      out[start + k] += (float) (gain * end * Math.sin(2 * Math.PI * hertz * k / RATE));
    }
  }

  /** The share of beats that have one of the grid within 70 ms. */
  private static double found(List<Double> beats, BeatGrid grid) {
    int found = 0;
    for (double beat : beats) {
      int near = grid.nearest(Samples.ofSeconds(beat));
      found += near >= 0 && Math.abs(Samples.toSeconds(grid.sampleOf(near)) - beat) < 0.07 ? 1 : 0;
    }
    return (double) found / beats.size();
  }

  private static SongAnalysis hear(float[] samples) {
    return SongAnalysis.of(new MonoSound(samples, RATE));
  }

  @Test
  void withoutDrumsBarsAreFoundByTheirChords() {
    List<Double> beats = beats(60, t -> 88);
    BeatGrid grid = hear(played(beats, 60, 4, false)).grid();
    assertThat(found(beats, grid)).isGreaterThan(0.95);
    assertThat(grid.bpm()).isCloseTo(88, within(1.0));
    assertThat(Samples.toSeconds(grid.sampleOf(grid.firstDownbeat()))).isCloseTo(0.3, within(0.07));
  }

  @Test
  void aWaltzIsCountedInThrees() {
    List<Double> beats = beats(60, t -> 132);
    BeatGrid grid = hear(played(beats, 60, 3, false)).grid();
    assertThat(grid.beatsPerBar()).isEqualTo(3);
    assertThat(found(beats, grid)).isGreaterThan(0.95);
  }

  @Test
  void aFreePlayerIsFollowed() {
    List<Double> beats = beats(70, t -> 84 + 10 * Math.sin(t / 5));
    assertThat(found(beats, hear(played(beats, 70, 4, false)).grid())).isGreaterThan(0.9);
  }

  @Test
  void anotherTempoInTheMiddleIsFollowed() {
    List<Double> beats = beats(80, t -> t < 40 ? 100 : 126);
    BeatGrid grid = hear(played(beats, 80, 4, true)).grid();
    assertThat(found(beats, grid)).isGreaterThan(0.93);
  }

  @Test
  void clippingDoesNotHideTheBeat() {
    List<Double> beats = beats(40, t -> 112);
    float[] loud = played(beats, 40, 4, true);
    for (int i = 0; i < loud.length; i++) {
      loud[i] = Math.max(-0.5f, Math.min(0.5f, 8 * loud[i]));
    }
    assertThat(found(beats, hear(loud).grid())).isGreaterThan(0.95);
  }

  @Test
  void fiveSecondsAreEnough() {
    List<Double> beats = beats(5, t -> 120);
    BeatGrid grid = hear(played(beats, 5, 4, true)).grid();
    assertThat(grid.bpm()).isCloseTo(120, within(4.0));
  }

  @Test
  void tenMinutesAreCountedToTheEnd() {
    List<Double> beats = beats(600, t -> 118);
    SongAnalysis heard = hear(played(beats, 600, 4, true));
    assertThat(found(beats, heard.grid())).isGreaterThan(0.98);
    assertThat(heard.sections()).hasSizeBetween(1, 60);
    assertThat(heard.sections().get(heard.sections().size() - 1).end())
        .isEqualTo(Samples.ofSeconds(600));
  }
}
