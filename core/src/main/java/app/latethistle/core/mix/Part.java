package app.latethistle.core.mix;

import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Decibels;
import app.latethistle.core.time.SampleRange;

/**
 * A piece of sound in the film.
 *
 * @param bus what it is taken together with
 * @param media SHA-256 of the file's bytes
 * @param at when it is heard, in samples of the film, without what an effect adds; what lies
 *     outside the film is not heard
 * @param course which of the medium's samples
 * @param gain in decibels
 * @param edges how it comes and goes
 * @param effect what else is done to it
 */
public record Part(
    Bus bus, String media, SampleRange at, Course course, double gain, Edges edges, Effect effect) {
  /** How loud lines are made, in LUFS: common practice for a voice over music, no source. */
  public static final double VOICE_LOUDNESS = -17;

  /** Decibels a soft reading is raised at most. */
  private static final double MOST = 15;

  /** A part that is there at once, and nothing else is done to it. */
  public Part(Bus bus, String media, SampleRange at, Course course, double gain) {
    this(bus, media, at, course, gain, Edges.NONE, Effect.none());
  }

  /** The gain that makes a reading of a loudness as loud as every other; 0 if it has none. */
  public static double voiceGain(double loudness) {
    return Double.isFinite(loudness) ? Math.min(MOST, VOICE_LOUDNESS - loudness) : 0;
  }

  /** When anything of it is heard. */
  public SampleRange heard() {
    return new SampleRange(at.start(), at.end() + effect.tail());
  }

  /** When it is heard beside its echoes. */
  SampleRange straight() {
    return new SampleRange(at.start(), at.end() + effect.rings());
  }

  /** Its gain as a factor. */
  double level() {
    return Decibels.factor(gain);
  }

  /** The same elsewhere. */
  Part shift(long by) {
    return new Part(bus, media, at.shift(by), course, gain, edges, effect);
  }
}
