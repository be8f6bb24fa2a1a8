package app.latethistle.core.mix;

import app.latethistle.core.time.SampleRange;

/**
 * A piece of sound in the film.
 *
 * @param bus what it is taken together with
 * @param media SHA-256 of the file's bytes
 * @param at when it is heard, in samples of the film; what lies outside the film is not heard
 * @param course which of the medium's samples
 * @param gain in decibels
 * @param crossing how its ends cross with what it follows and what follows it
 */
public record Part(
    Bus bus, String media, SampleRange at, Course course, double gain, Crossing crossing) {
  /** Over so many samples the ends of a clip's sound rise and fall, so that they do not click. */
  private static final int EDGE = 240;

  /** How loud lines are made, in LUFS: common practice for a voice over music, no source. */
  private static final double VOICE_LOUDNESS = -17;

  /** Decibels a soft reading is raised at most. */
  private static final double MOST = 15;

  /** A part that is there at once. */
  public Part(Bus bus, String media, SampleRange at, Course course, double gain) {
    this(bus, media, at, course, gain, Crossing.NONE);
  }

  /** The gain that makes a reading of a loudness as loud as every other; 0 if it has none. */
  public static double voiceGain(double loudness) {
    return Double.isFinite(loudness) ? Math.min(MOST, VOICE_LOUDNESS - loudness) : 0;
  }

  /** The factor at a sample of the film that lies in it. */
  double factor(double level, long sample) {
    if (bus != Bus.CLIPS) {
      return level;
    }
    long near = Math.min(sample - at.start() + 1, at.end() - sample);
    return level
        * Math.min(1, near / (double) EDGE)
        * crossing.factor(sample - at.start(), at.end() - sample);
  }

  /** Its gain as a factor. */
  double level() {
    return Math.pow(10, gain / 20);
  }
}
