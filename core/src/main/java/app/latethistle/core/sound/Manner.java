package app.latethistle.core.sound;

import app.latethistle.core.Refused;

/**
 * How a sound is heard.
 *
 * @param gain in decibels, -60 to 12
 * @param in how it comes in
 * @param out how it goes out
 * @param pan from -100, left, to 100, right
 * @param distance from 0, near, to 100, far
 * @param room where it is heard
 * @param equaliser its filters
 * @param time how it runs
 * @param repeat how often it strikes
 */
public record Manner(
    double gain,
    Fade in,
    Fade out,
    int pan,
    int distance,
    Room room,
    Equaliser equaliser,
    Timing time,
    Repeat repeat) {
  /** As it is, once. */
  public static final Manner PLAIN =
      new Manner(
          0, Fade.NONE, Fade.NONE, 0, 0, Room.NONE, Equaliser.NONE, Timing.PLAIN, Repeat.ONCE);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public Manner {
    Decibels.checked(gain);
    if (pan < -100 || pan > 100) {
      throw new Refused("A sound lies from -100, left, to 100, right; not at " + pan + ".");
    }
    if (distance < 0 || distance > 100) {
      throw new Refused("A distance is from 0, near, to 100, far; not " + distance + ".");
    }
  }

  /** The same as loud as said. */
  public Manner withGain(double other) {
    return new Manner(other, in, out, pan, distance, room, equaliser, time, repeat);
  }

  /** The same coming and going otherwise. */
  public Manner withFades(Fade otherIn, Fade otherOut) {
    return new Manner(gain, otherIn, otherOut, pan, distance, room, equaliser, time, repeat);
  }

  /** The same elsewhere from left to right. */
  public Manner withPan(int other) {
    return new Manner(gain, in, out, other, distance, room, equaliser, time, repeat);
  }

  /** The same nearer or farther. */
  public Manner withDistance(int other) {
    return new Manner(gain, in, out, pan, other, room, equaliser, time, repeat);
  }

  /** The same in another room. */
  public Manner withRoom(Room other) {
    return new Manner(gain, in, out, pan, distance, other, equaliser, time, repeat);
  }

  /** The same through other filters. */
  public Manner withEqualiser(Equaliser other) {
    return new Manner(gain, in, out, pan, distance, room, other, time, repeat);
  }

  /** The same running otherwise. */
  public Manner withTime(Timing other) {
    return new Manner(gain, in, out, pan, distance, room, equaliser, other, repeat);
  }

  /** The same so often. */
  public Manner withRepeat(Repeat other) {
    return new Manner(gain, in, out, pan, distance, room, equaliser, time, other);
  }
}
