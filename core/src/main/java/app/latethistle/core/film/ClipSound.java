package app.latethistle.core.film;

import app.latethistle.core.sound.Decibels;

/**
 * What is heard of a clip's own sound, in step with its picture. It may come before the picture (a
 * J cut) and go on after it (an L cut).
 *
 * @param on whether it is heard at all
 * @param lead frames it comes before the picture; negative if it comes after
 * @param tail frames it goes on after the picture; negative if it ends before
 * @param gain in decibels, -60 to 12
 */
public record ClipSound(boolean on, int lead, int tail, int gain) {
  /** Clips are silent unless somebody asks for their sound. */
  public static final ClipSound OFF = new ClipSound(false, 0, 0, 0);

  /**
   * @throws IllegalArgumentException if the gain is outside -60 to 12 dB
   */
  public ClipSound {
    Decibels.checked(gain);
  }
}
