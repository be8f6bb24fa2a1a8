package app.latethistle.core.film;

import app.latethistle.core.Refused;

/**
 * A clip's sound that goes its own way, detached from its picture.
 *
 * @param id names it among the film's sounds
 * @param take the take whose sound it is
 * @param in the take's frame at which it begins
 * @param start the tie of its first frame
 * @param length in frames, 1 or more
 * @param gain in decibels, -60 to 12
 */
public record FilmSound(String id, String take, long in, Tie start, long length, int gain) {
  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public FilmSound {
    if (in < 0 || length < 1) {
      throw new Refused(
          "A sound begins at frame 0 or later of its clip and lasts a frame or more.");
    }
    if (gain < -60 || gain > 12) {
      throw new Refused("A gain is from -60 to 12 dB, not " + gain + ".");
    }
  }

  FilmSound withStart(Tie newStart) {
    return new FilmSound(id, take, in, newStart, length, gain);
  }
}
