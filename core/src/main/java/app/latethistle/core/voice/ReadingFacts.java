package app.latethistle.core.voice;

import app.latethistle.core.Refused;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import java.util.List;

/**
 * What is measured of a reading.
 *
 * @param wordsPerMinute from the start of its first word to the end of its last, pauses included; 0
 *     if none is heard
 * @param loudness integrated, in LUFS as both channels of a stereo film would play it
 * @param peak the highest sample, in dBFS
 * @param clipped how many times the sound runs into full scale for three samples or more
 * @param noise the level that a twentieth of the reading stays under, in dBFS; -90 is digital
 *     silence
 */
public record ReadingFacts(
    double wordsPerMinute, double loudness, double peak, int clipped, double noise) {
  private static final float FULL = 0.999f;
  private static final int RUN = 3;

  /**
   * Measures a reading.
   *
   * @param reading at 48 kHz
   * @throws IllegalArgumentException if it has another rate
   */
  public static ReadingFacts of(MonoSound reading, List<SpokenWord> words) {
    if (reading.rate() != Samples.RATE) {
      throw new Refused(
          "A reading at " + reading.rate() + " Hz; it is measured at " + Samples.RATE + " Hz.");
    }
    float[] samples = reading.samples();
    float peak = 0;
    int clipped = 0;
    int run = 0;
    for (int i = 0; i < samples.length; i++) {
      float magnitude = Math.abs(samples[i]);
      peak = Math.max(peak, magnitude);
      run = magnitude >= FULL ? run + 1 : 0;
      clipped += run == RUN ? 1 : 0;
    }
    return new ReadingFacts(
        rate(words),
        Math.max(Levels.FLOOR, Loudness.ofMono(samples)),
        Math.max(Levels.FLOOR, 20 * Math.log10(peak + 1e-9)),
        clipped,
        new Levels(reading).noise());
  }

  /** Words a minute of words in their places, heard ones only. */
  public static double rate(List<SpokenWord> words) {
    List<SpokenWord> heard = words.stream().filter(SpokenWord::isHeard).toList();
    if (heard.isEmpty()) {
      return 0;
    }
    long length = heard.get(heard.size() - 1).end() - heard.get(0).start();
    return heard.size() * 60.0 / Samples.toSeconds(length);
  }
}
