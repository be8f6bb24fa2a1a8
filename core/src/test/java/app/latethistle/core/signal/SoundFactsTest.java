package app.latethistle.core.signal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.time.SampleRange;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class SoundFactsTest {
  private static final int RATE = 48_000;

  private static float[] stereo(float[] mono) {
    float[] stereo = new float[2 * mono.length];
    for (int i = 0; i < stereo.length; i++) {
      stereo[i] = mono[i / 2];
    }
    return stereo;
  }

  /** A noise or a tone that begins at once and dies away, over a floor of noise. */
  private static void strike(float[] mono, int at, double level, double decay, Random random) {
    boolean tone = random.nextBoolean();
    double hertz = 150 + 2_000 * random.nextDouble();
    for (int i = at; i < mono.length; i++) {
      double t = (double) (i - at) / RATE;
      double x = tone ? Math.cos(2 * Math.PI * hertz * t) : 2 * random.nextDouble() - 1;
      mono[i] += (float) (level * Math.exp(-t / decay) * x);
    }
  }

  /** Where a sound strikes is found to a millisecond, over noise 40 dB softer. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void findsWhereItStrikes(long seed) {
    Random random = new Random(seed);
    float[] mono = new float[2 * RATE];
    for (int i = 0; i < mono.length; i++) {
      mono[i] = (float) (0.005 * random.nextGaussian());
    }
    int first = 9_600 + random.nextInt(20_000);
    int second = first + 20_000 + random.nextInt(20_000);
    strike(mono, first, 0.25, 0.04, random);
    strike(mono, second, 0.7, 0.05, random);
    List<Strike> strikes = Strike.in(mono);
    assertThat(strikes).hasSizeGreaterThanOrEqualTo(2);
    assertThat((double) strikes.get(0).sample()).isCloseTo(second, within(48.0));
    assertThat((double) strikes.get(1).sample()).isCloseTo(first, within(48.0));
    assertThat(strikes.get(0).strength()).isGreaterThan(strikes.get(1).strength());
  }

  @Test
  void whatSwellsDoesNotStrikeAndNothingIsFoundInSilence() {
    float[] swell = new float[2 * RATE];
    Random random = new Random(1);
    for (int i = 0; i < swell.length; i++) {
      swell[i] = (float) (0.3 * Math.sin(Math.PI * i / swell.length) * random.nextGaussian());
    }
    assertThat(Strike.in(swell)).hasSizeLessThanOrEqualTo(1);
    assertThat(Strike.in(new float[RATE])).isEmpty();
    SoundFacts silent = SoundFacts.of(new float[2 * RATE]);
    assertThat(silent.loudness()).isEqualTo(Loudness.SILENT);
    assertThat(silent.loop()).isEmpty();
  }

  @Test
  void theBodyHasNineTenthsOfTheEnergy() {
    float[] mono = new float[2 * RATE];
    Arrays.fill(mono, RATE / 2, RATE, 0.2f);
    SampleRange body = SoundFacts.of(stereo(mono)).body();
    assertThat((double) body.start()).isCloseTo(RATE / 2 + 0.05 * RATE / 2, within(481.0));
    assertThat((double) body.end()).isCloseTo(RATE - 0.05 * RATE / 2, within(481.0));
  }

  @Test
  void tellsTonesFromNoiseAndDullFromBright() {
    float[] low = new float[RATE];
    float[] high = new float[RATE];
    float[] noise = new float[RATE];
    Random random = new Random(2);
    for (int i = 0; i < RATE; i++) {
      low[i] = (float) (0.3 * Math.sin(2 * Math.PI * 200 * i / RATE));
      high[i] = (float) (0.3 * Math.sin(2 * Math.PI * 4_000 * i / RATE));
      noise[i] = (float) (0.1 * random.nextGaussian());
    }
    SoundFacts dull = SoundFacts.of(stereo(low));
    SoundFacts bright = SoundFacts.of(stereo(high));
    SoundFacts rough = SoundFacts.of(stereo(noise));
    assertThat(dull.brightness()).isCloseTo(200, within(20.0));
    assertThat(bright.brightness()).isCloseTo(4_000, within(40.0));
    assertThat(rough.noise()).isGreaterThan(0.5);
    assertThat(dull.noise()).isLessThan(0.05);
    assertThat(dull.unlike(dull)).isZero();
    assertThat(dull.unlike(bright)).isLessThan(dull.unlike(rough) + 3).isPositive();
  }

  /**
   * Noise like wind, rain or a hum: what is repeated changes no more at its seam than by itself.
   */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6})
  void whatIsRepeatedHasNoSeam(int kind) {
    Random random = new Random(kind);
    float[] mono = new float[6 * RATE];
    double low = 0;
    double share = 0.02 + 0.1 * kind;
    for (int i = 0; i < mono.length; i++) {
      low += share * (random.nextGaussian() - low);
      double hum = 0.1 * Math.sin(2 * Math.PI * 31.7 * kind * i / RATE);
      mono[i] = (float) (0.15 * low + (kind % 2 == 0 ? hum : 0));
    }
    Optional<SampleRange> loop = SoundFacts.of(stereo(mono)).loop();
    assertThat(loop).isPresent();
    int start = (int) loop.get().start();
    int length = (int) loop.get().length();
    assertThat(length).isGreaterThanOrEqualTo(RATE / 2);
    float[] again = new float[3 * length];
    for (int i = 0; i < again.length; i++) {
      again[i] = mono[start + i % length];
    }
    double[] own = flux(mono);
    Arrays.sort(own);
    double usual = own[(int) (0.9 * own.length)];
    double[] heard = flux(again);
    for (int seam = 1; seam < 3; seam++) {
      int frame = seam * length / 512;
      double most = 0;
      for (int f = Math.max(0, frame - 4); f < Math.min(heard.length, frame + 2); f++) {
        most = Math.max(most, heard[f]);
      }
      // Their hop and ours do not fall alike, so a tenth is left for that.
      assertThat(most).isLessThanOrEqualTo(1.1 * usual);
    }
  }

  /** The rise of a spectrum from frame to frame, as the finder does not compute it. */
  private static double[] flux(float[] mono) {
    Spectra spectra = new Spectra(new MonoSound(mono, RATE), 2048, 512);
    double[] flux = new double[spectra.length() - 1];
    float[] before = spectra.frame(0).clone();
    for (int f = 1; f < spectra.length(); f++) {
      float[] now = spectra.frame(f).clone();
      for (int k = 0; k < now.length; k++) {
        flux[f - 1] += Math.max(0, now[k] - before[k]);
      }
      before = now;
    }
    return flux;
  }

  @Test
  void anEventIsNotRepeated() {
    float[] mono = new float[3 * RATE];
    strike(mono, RATE / 2, 0.5, 0.2, new Random(4));
    assertThat(SoundFacts.of(stereo(mono)).loop()).isEmpty();
  }
}
