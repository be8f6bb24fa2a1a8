package app.latethistle.core.signal;

import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is measured of a sound, so that it can be found, laid and repeated.
 *
 * @param length in samples at 48 kHz
 * @param strikes where it strikes, the strongest first
 * @param body the samples that have nine tenths of its energy; its tail follows
 * @param loudness of its loudest 3 s, in LUFS; of all of it if it is shorter
 * @param truePeak in dBTP
 * @param brightness the middle of its spectrum, in hertz
 * @param noise 1 for noise, near 0 for a tone: the flatness of its spectrum
 * @param loop what of it can be repeated
 * @param likeness numbers that are near each other for sounds that are alike
 */
public record SoundFacts(
    long length,
    List<Strike> strikes,
    SampleRange body,
    double loudness,
    double truePeak,
    double brightness,
    double noise,
    Optional<SampleRange> loop,
    List<Double> likeness) {
  private static final int RATE = 48_000;
  private static final int SIZE = 2048;

  /** Longer sounds are songs: their spectra are looked into only so far. */
  private static final int LONGEST = 60 * RATE;

  private static final int BANDS = 8;

  /** Copies the lists. */
  public SoundFacts {
    strikes = List.copyOf(strikes);
    likeness = List.copyOf(likeness);
  }

  /**
   * Measures a sound.
   *
   * @param stereo left and right in turn at 48 kHz
   */
  public static SoundFacts of(float[] stereo) {
    int length = stereo.length / 2;
    float[] mono = new float[length];
    for (int i = 0; i < length; i++) {
      mono[i] = (stereo[2 * i] + stereo[2 * i + 1]) / 2;
    }
    Loudness.Meter meter = new Loudness.Meter();
    meter.add(stereo, length);
    PeakMeter peaks = new PeakMeter();
    peaks.add(stereo, length);
    double loudness = meter.shortTermMax();
    Spectrum spectrum = new Spectrum(mono);
    List<Strike> strikes = Strike.in(mono);
    SampleRange body = body(stereo, length);
    return new SoundFacts(
        length,
        strikes,
        body,
        loudness == Loudness.SILENT ? meter.integrated() : loudness,
        peaks.decibels(),
        spectrum.middle,
        spectrum.flatness,
        LoopFinder.find(mono),
        likeness(length, strikes.size(), body, spectrum));
  }

  /** The sample that lands: the strongest strike, or the loudest tenth of a second. */
  public long landing() {
    return strikes.isEmpty() ? body.start() : strikes.get(0).sample();
  }

  /** How unlike another sound is: 0 for the same. */
  public double unlike(SoundFacts other) {
    double sum = 0;
    for (int i = 0; i < likeness.size(); i++) {
      double apart = likeness.get(i) - other.likeness.get(i);
      sum += apart * apart;
    }
    return Math.sqrt(sum);
  }

  private static SampleRange body(float[] stereo, int length) {
    double[] energy = new double[length / 480 + 1];
    double all = 0;
    for (int i = 0; i < 2 * length; i++) {
      double square = stereo[i] * (double) stereo[i];
      energy[i / 960] += square;
      all += square;
    }
    double sum = 0;
    long start = 0;
    long end = length;
    for (int s = 0; s < energy.length; s++) {
      double before = sum;
      sum += energy[s];
      if (before <= 0.05 * all && sum > 0.05 * all) {
        start = s * 480L;
      }
      if (before < 0.95 * all && sum >= 0.95 * all) {
        end = Math.min(length, (s + 1) * 480L);
      }
    }
    return new SampleRange(start, Math.max(start, end));
  }

  /** Each number is of the order of one: octaves, and logarithms of counts and times. */
  private static List<Double> likeness(int length, int strikes, SampleRange body, Spectrum s) {
    List<Double> numbers = new ArrayList<>();
    numbers.add(Math.log(1 + length / (double) RATE) / Math.log(2));
    numbers.add(Math.log(1 + strikes) / Math.log(2));
    numbers.add(Math.log(0.02 + body.length() / (double) RATE) / Math.log(2) / 2);
    numbers.add(Math.log(Math.max(50, s.middle) / 1000) / Math.log(2));
    numbers.add(2 * s.flatness);
    for (double band : s.bands) {
      numbers.add(band);
    }
    return numbers;
  }

  /** The mean spectrum of a sound. */
  private static final class Spectrum {
    private double middle;
    private double flatness;
    private final double[] bands = new double[BANDS];

    Spectrum(float[] mono) {
      Spectra spectra = new Spectra(new MonoSound(mono, RATE), SIZE, SIZE / 2);
      double[] power = new double[SIZE / 2];
      int frames = Math.min(spectra.length(), LONGEST / (SIZE / 2));
      for (int f = 0; f < frames; f++) {
        float[] frame = spectra.frame(f);
        for (int k = 1; k < power.length; k++) {
          power[k] += frame[k] * (double) frame[k];
        }
      }
      double sum = 1e-12;
      double weighted = 0;
      double logs = 0;
      for (int k = 1; k < power.length; k++) {
        sum += power[k];
        weighted += power[k] * k * RATE / SIZE;
        logs += Math.log(power[k] + 1e-12);
        int band = (int) (BANDS * Math.log(k) / Math.log(power.length));
        bands[Math.min(BANDS - 1, band)] += power[k];
      }
      middle = weighted / sum;
      flatness = Math.exp(logs / (power.length - 1)) / (sum / (power.length - 1));
      for (int b = 0; b < BANDS; b++) {
        bands[b] = Math.sqrt(bands[b] / sum) * 2;
      }
    }
  }
}
