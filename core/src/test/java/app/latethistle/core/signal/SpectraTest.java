package app.latethistle.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What sounds are analysed with, held against definitions and against sounds that are known. */
class SpectraTest {
  private static final int RATE = 16_000;

  private static MonoSound sine(double hertz, double peak, double seconds) {
    float[] samples = new float[(int) (seconds * RATE)];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = (float) (peak * Math.sin(2 * Math.PI * hertz * i / RATE));
    }
    return new MonoSound(samples, RATE);
  }

  /** The discrete Fourier transform as it is defined, of a Hann window's samples. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void magnitudesAreThoseOfTheDefinition(long seed) {
    Random random = new Random(seed);
    float[] samples = new float[500];
    for (int i = 0; i < samples.length; i++) {
      samples[i] = random.nextFloat() - 0.5f;
    }
    int size = 64;
    int hop = 17;
    Spectra spectra = new Spectra(new MonoSound(samples, RATE), size, hop);
    assertThat(spectra.length()).isEqualTo(500 / 17 + 1);
    for (int frame : new int[] {0, 1, 13, spectra.length() - 1}) {
      float[] magnitudes = spectra.frame(frame);
      assertThat(magnitudes).hasSize(size / 2);
      assertThat(magnitudes[0]).isZero();
      for (int k = 1; k < size / 2; k++) {
        double re = 0;
        double im = 0;
        for (int n = 0; n < size; n++) {
          int at = frame * hop - size / 2 + n;
          double sample = at < 0 || at >= samples.length ? 0 : samples[at];
          double windowed = sample * (0.5 - 0.5 * Math.cos(2 * Math.PI * n / size));
          re += windowed * Math.cos(2 * Math.PI * k * n / size);
          im -= windowed * Math.sin(2 * Math.PI * k * n / size);
        }
        assertThat((double) magnitudes[k]).isCloseTo(Math.hypot(re, im) * 4 / size, within(1e-4));
      }
    }
  }

  @Test
  void aFullScaleSineOnABinHasAMagnitudeOfOne() {
    Spectra spectra = new Spectra(sine(1_000, 1, 1), 1024, 160);
    float[] frame = spectra.frame(50);
    assertThat(frame[64]).isCloseTo(1, within(1e-3f));
    assertThat(frame[60]).isLessThan(1e-3f);
    assertThat(Spectra.hopSeconds(sine(1_000, 1, 1), 160)).isEqualTo(0.01);
  }

  /** All frames at once, on however many cores, are those that come one after the other. */
  @Test
  void framesTogetherAreThoseOneByOne() {
    MonoSound sound = sine(440, 1, 4);
    Spectra one = new Spectra(sound, 64, 13);
    float[][] all = Spectra.each(sound, 64, 13, float[]::clone);
    assertThat(all).hasDimensions(one.length(), 32);
    for (int i = 0; i < all.length; i++) {
      assertThat(all[i]).as("frame %d", i).isEqualTo(one.frame(i));
    }
  }

  @Test
  void windowsAreTheLongestPowerOfTwoWithin() {
    assertThat(Spectra.sizeWithin(0.05, 44_100)).isEqualTo(2048);
    assertThat(Spectra.sizeWithin(0.2, 16_000)).isEqualTo(2048);
    assertThat(Spectra.sizeWithin(0.128, 16_000)).isEqualTo(2048);
    assertThat(Spectra.sizeWithin(0.127, 16_000)).isEqualTo(1024);
  }

  /** A equal-tempered scale from A at 440 Hz: MIDI note numbers, C is 0. */
  @ParameterizedTest
  @ValueSource(ints = {48, 57, 60, 61, 66, 69, 71, 76, 83, 90})
  void aToneSoundsInItsPitchClass(int note) {
    double hertz = 440 * Math.pow(2, (note - 69) / 12.0);
    Chroma chroma = Chroma.of(sine(hertz, 0.5, 1));
    assertThat(chroma.length()).isEqualTo(21);
    float[] frame = chroma.frame(10);
    assertThat(frame).hasSize(Chroma.CLASSES);
    int loudest = 0;
    double square = 0;
    for (int c = 0; c < Chroma.CLASSES; c++) {
      loudest = frame[c] > frame[loudest] ? c : loudest;
      square += frame[c] * frame[c];
    }
    assertThat(loudest).isEqualTo(note % 12);
    assertThat(Math.sqrt(square)).isBetween(0.8, 1.0);
  }

  @Test
  void whatIsNearlySilentHasLittleChroma() {
    float[] soft = Chroma.of(sine(440, 1e-5, 1)).frame(10);
    assertThat(soft[9]).isLessThan(0.2f);
    assertThat(Chroma.of(sine(60, 0.5, 1)).frame(10)[11]).as("too low").isLessThan(0.6f);
  }

  @ParameterizedTest
  @CsvSource({"200", "1000", "4000"})
  void aToneStandsInTheBandOfItsPitchOnTheMelScale(double hertz) {
    LogMel mel = LogMel.of(sine(hertz, 1, 1), LogMel.Grain.MUSIC);
    float[] frame = mel.frame(50);
    int loudest = 0;
    for (int b = 0; b < LogMel.BANDS; b++) {
      loudest = frame[b] > frame[loudest] ? b : loudest;
    }
    // O'Shaughnessy (1987): bands are evenly spaced in 2595 log10(1 + f / 700).
    double low = mel(30);
    double top = mel(RATE / 2.0);
    double expected = (mel(hertz) - low) / (top - low) * (LogMel.BANDS + 1) - 1;
    assertThat((double) loudest).isCloseTo(expected, within(1.0));
    assertThat(mel.hopSeconds()).isEqualTo(0.01);
    assertThat(mel.length()).isEqualTo(101);
  }

  private static double mel(double hertz) {
    return 2595 * Math.log10(1 + hertz / 700);
  }

  @Test
  void onsetsAreWhereSomethingBegins() {
    float[] samples = new float[3 * RATE];
    Random random = new Random(4);
    for (int at : new int[] {8_000, 20_000, 36_000}) {
      for (int i = 0; i < 1_500; i++) {
        samples[at + i] = (float) (0.5 * random.nextGaussian() * Math.exp(-i / 300.0));
      }
    }
    float[] onsets = OnsetStrength.of(LogMel.of(new MonoSound(samples, RATE), LogMel.Grain.MUSIC));
    for (double second : new double[] {0.5, 1.25, 2.25}) {
      int best = 0;
      int around = (int) (second * 100);
      for (int i = around - 20; i <= around + 20; i++) {
        best = best == 0 || onsets[i] > onsets[best] ? i : best;
      }
      assertThat(Math.abs(best - around)).isLessThanOrEqualTo(3);
      assertThat(onsets[best]).isGreaterThan(3);
    }
    double squares = 0;
    for (float onset : onsets) {
      assertThat(onset).isNotNegative();
      squares += onset * onset;
    }
    assertThat(Math.sqrt(squares / onsets.length)).isCloseTo(1, within(1e-3));
  }

  @Test
  void silenceAndASteadyToneHaveNoOnsets() {
    MonoSound silence = new MonoSound(new float[RATE], RATE);
    assertThat(OnsetStrength.of(LogMel.of(silence, LogMel.Grain.MUSIC))).containsOnly(0);
    float[] steady = OnsetStrength.of(LogMel.of(sine(440, 0.5, 2), LogMel.Grain.MUSIC));
    float most = 0;
    for (int i = 20; i < 180; i++) {
      most = Math.max(most, steady[i]);
    }
    assertThat(most).isLessThan(0.5f);
  }
}
