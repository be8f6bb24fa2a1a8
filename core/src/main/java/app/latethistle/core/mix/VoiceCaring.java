package app.latethistle.core.mix;

import app.latethistle.core.signal.Biquad;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.sound.Decibels;
import app.latethistle.core.sound.VoiceCare;
import java.util.Arrays;
import java.util.stream.IntStream;
import org.jtransforms.fft.FloatFFT_1D;

/**
 * Cares for a reading: cuts rumble, takes out of each short spectrum what the quietest of them have
 * (spectral subtraction, Boll 1979), softens sharp s and breaths there too, evens the level, and
 * leaves it as loud as it came (ITU-R BS.1770-4). How much is done at 100 is common practice, no
 * source.
 */
final class VoiceCaring {
  private static final int RATE = 48_000;
  private static final int SIZE = 1024;
  private static final int HOP = SIZE / 2;
  private static final int BINS = SIZE / 2;

  /** Voices have nothing under this, in hertz. */
  private static final double RUMBLE = 75;

  /** Decibels that noise is lowered by at most. */
  private static final double MOST_HISS = 24;

  /** Where an s is sharp, in hertz. */
  private static final double SHARP_FROM = 5_000;

  private static final double SHARP_TO = 10_000;

  /** A frame is an s if it has so much of its energy there; vowels have a fiftieth. */
  private static final double SHARP_SHARE = 0.35;

  private static final double MOST_SHARP = 10;
  private static final double MOST_BREATH = 20;

  /** Breaths lie so many decibels under speech. */
  private static final double BREATH_SOFTEST = 45;

  private static final double BREATH_LOUDEST = 16;

  /** A breath lasts this long at least, in frames: an eighth of a second. */
  private static final int BREATH_FRAMES = RATE / 8 / HOP;

  /** How even a spectrum is where nothing rings: breath is noise. */
  private static final double BREATH_FLATNESS = 0.12;

  private static final float[] WINDOW = new float[SIZE];

  static {
    for (int i = 0; i < SIZE; i++) {
      WINDOW[i] = (float) Math.sqrt(0.5 - 0.5 * Math.cos(2 * Math.PI * i / SIZE));
    }
  }

  private final VoiceCare how;
  private final FloatFFT_1D fft = new FloatFFT_1D(SIZE);

  private VoiceCaring(VoiceCare how) {
    this.how = how;
  }

  /** A cared-for copy of a reading. */
  static float[] of(float[] reading, VoiceCare how) {
    float[] voice = reading.clone();
    if (how.rumble()) {
      Biquad.lowCut(RUMBLE, Math.sqrt(0.5)).run(voice);
      Biquad.lowCut(RUMBLE, Math.sqrt(0.5)).run(voice);
    }
    VoiceCaring caring = new VoiceCaring(how);
    if (how.hiss() + how.sharp() + how.breaths() > 0 && voice.length > SIZE) {
      voice = caring.spectra(voice);
    }
    if (how.even() > 0) {
      caring.even(voice);
    }
    double was = Loudness.ofMono(reading);
    double is = Loudness.ofMono(voice);
    if (Double.isFinite(was) && Double.isFinite(is)) {
      float back = (float) Decibels.factor(was - is);
      for (int i = 0; i < voice.length; i++) {
        voice[i] *= back;
      }
    }
    return voice;
  }

  private float[] spectra(float[] voice) {
    int frames = voice.length / HOP + SIZE / HOP;
    float[][] spectra = new float[frames][];
    float[][] powers = new float[frames][];
    IntStream.range(0, frames)
        .parallel()
        .forEach(
            f -> {
              spectra[f] = spectrum(voice, f);
              powers[f] = powers(spectra[f]);
            });
    double[] levels = Arrays.stream(powers).mapToDouble(VoiceCaring::energy).toArray();
    double[] noise = noise(powers, levels);
    boolean[] breath = breaths(powers, levels);
    IntStream.range(0, frames)
        .parallel()
        .forEach(
            f -> {
              apply(spectra[f], gains(powers[f], noise, breath[f]));
              fft.realInverse(spectra[f], true);
            });
    float[] out = new float[voice.length];
    for (int f = 0; f < frames; f++) {
      int from = (f + 1) * HOP - SIZE;
      for (int i = 0; i < SIZE; i++) {
        int at = from + i;
        if (at >= 0 && at < out.length) {
          // Two windows of a squared sine over each sample sum to 1.
          out[at] += spectra[f][i] * WINDOW[i];
        }
      }
    }
    return out;
  }

  private float[] spectrum(float[] voice, int frame) {
    float[] piece = new float[SIZE];
    int from = (frame + 1) * HOP - SIZE;
    for (int i = Math.max(0, -from); i < Math.min(SIZE, voice.length - from); i++) {
      piece[i] = voice[from + i] * WINDOW[i];
    }
    fft.realForward(piece);
    return piece;
  }

  /** The power of each bin but the lowest; never quite nothing. */
  private static float[] powers(float[] spectrum) {
    float[] powers = new float[BINS];
    for (int bin = 1; bin < BINS; bin++) {
      float re = spectrum[2 * bin];
      float im = spectrum[2 * bin + 1];
      powers[bin] = re * re + im * im + 1e-12f;
    }
    return powers;
  }

  private static double energy(float[] powers) {
    double sum = 0;
    for (float power : powers) {
      sum += power;
    }
    return sum;
  }

  /** What the quietest tenth of the frames that sound at all have in each bin. */
  private static double[] noise(float[][] powers, double[] levels) {
    double[] sorted = Arrays.stream(levels).filter(l -> l > 1e-9).sorted().toArray();
    double[] noise = new double[BINS];
    if (sorted.length == 0) {
      return noise;
    }
    double quiet = sorted[sorted.length / 10];
    int count = 0;
    for (int f = 0; f < powers.length; f++) {
      if (levels[f] > 1e-9 && levels[f] <= quiet) {
        count++;
        for (int bin = 1; bin < BINS; bin++) {
          noise[bin] += powers[f][bin];
        }
      }
    }
    for (int bin = 1; bin < BINS; bin++) {
      noise[bin] /= Math.max(1, count);
    }
    return noise;
  }

  private static boolean[] breaths(float[][] powers, double[] levels) {
    double[] sorted = Arrays.stream(levels).sorted().toArray();
    double speech = sorted[(int) (0.9 * (sorted.length - 1))];
    boolean[] breath = new boolean[levels.length];
    int since = -1;
    for (int f = 0; f <= levels.length; f++) {
      boolean like = false;
      if (f < levels.length) {
        double under = 10 * Math.log10(speech / levels[f]);
        like =
            under > BREATH_LOUDEST
                && under < BREATH_SOFTEST
                && flatness(powers[f]) > BREATH_FLATNESS;
      }
      if (like && since < 0) {
        since = f;
      } else if (!like && since >= 0) {
        if (f - since >= BREATH_FRAMES) {
          Arrays.fill(breath, since, f, true);
        }
        since = -1;
      }
    }
    return breath;
  }

  /** The geometric over the arithmetic mean of a spectrum between 200 Hz and 8 kHz. */
  private static double flatness(float[] powers) {
    int from = 200 * SIZE / RATE;
    int to = 8_000 * SIZE / RATE;
    double logs = 0;
    double sum = 0;
    double product = 1;
    for (int bin = from; bin < to; bin++) {
      sum += powers[bin];
      product *= powers[bin];
      // Eight together stay within what a number holds.
      if (bin % 8 == 0 || bin == to - 1) {
        logs += Math.log(product);
        product = 1;
      }
    }
    return Math.exp(logs / (to - from)) / (sum / (to - from));
  }

  private double[] gains(float[] powers, double[] noise, boolean breath) {
    double[] gains = new double[BINS];
    double least = Decibels.factor(-MOST_HISS * how.hiss() / 100);
    double all = 1e-12;
    double sharp = 0;
    int from = (int) (SHARP_FROM * SIZE / RATE);
    int to = (int) (SHARP_TO * SIZE / RATE);
    for (int bin = 1; bin < BINS; bin++) {
      double power = powers[bin];
      all += power;
      sharp += bin >= from && bin < to ? power : 0;
      // Twice the mean is over nearly all that noise has, so little of it is left to ring.
      double kept = 1 - 2 * noise[bin] / power;
      gains[bin] = Math.max(least, Math.sqrt(Math.max(0, kept)));
    }
    double over = Math.max(0, Math.min(1, (sharp / all - SHARP_SHARE) / (1 - SHARP_SHARE)));
    double soft = Decibels.factor(-MOST_SHARP * how.sharp() / 100 * Math.sqrt(over));
    double less = breath ? Decibels.factor(-MOST_BREATH * how.breaths() / 100) : 1;
    for (int bin = 1; bin < BINS; bin++) {
      gains[bin] *= less * (bin >= from && bin < to ? soft : 1);
    }
    return gains;
  }

  /** Applies gains that are evened over five bins, so that single ones do not ring. */
  private static void apply(float[] spectrum, double[] gains) {
    spectrum[0] = 0;
    spectrum[1] = 0;
    double sum = gains[1] + gains[2];
    for (int bin = 1; bin < BINS; bin++) {
      sum += bin + 2 < BINS ? gains[bin + 2] : 0;
      sum -= bin - 3 > 0 ? gains[bin - 3] : 0;
      int count = Math.min(BINS - 1, bin + 2) - Math.max(1, bin - 2) + 1;
      float gain = (float) (sum / count);
      spectrum[2 * bin] *= gain;
      spectrum[2 * bin + 1] *= gain;
    }
  }

  /**
   * Brings what is louder than most of the speech nearer to it: at 100 to half as many decibels
   * over it, in 10 ms and back in 120 (common practice, no source).
   */
  private void even(float[] voice) {
    int hop = RATE / 200;
    int count = voice.length / hop + 1;
    double[] levels = new double[count];
    for (int f = 0; f < count; f++) {
      double sum = 1e-10;
      int to = Math.min(voice.length, (f + 2) * hop);
      for (int i = Math.max(0, (f - 2) * hop); i < to; i++) {
        sum += voice[i] * (double) voice[i];
      }
      levels[f] = 10 * Math.log10(sum / (4 * hop));
    }
    double loud = Arrays.stream(levels).max().orElse(0);
    double[] spoken = Arrays.stream(levels).filter(l -> l > loud - 30).sorted().toArray();
    double middle = spoken[spoken.length / 2];
    double now = 0;
    double rise = 1 - Math.exp(-5.0 / 10);
    double fall = 1 - Math.exp(-5.0 / 120);
    double before = 0;
    for (int f = 0; f < count; f++) {
      double wanted = -how.even() / 100.0 * 0.5 * Math.max(0, levels[f] - middle);
      now += (wanted < now ? rise : fall) * (wanted - now);
      double gain = Decibels.factor(before);
      double step = Decibels.factor((now - before) / hop);
      for (int i = 0; i < hop && f * hop + i < voice.length; i++) {
        voice[f * hop + i] *= (float) gain;
        gain *= step;
      }
      before = now;
    }
  }
}
