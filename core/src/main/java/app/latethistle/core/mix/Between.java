package app.latethistle.core.mix;

import app.latethistle.core.signal.Biquad;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Room;

/** What lies between a sound and the ears: a wall, a small speaker or water. */
final class Between {
  /** Filters that ring on do so for this long: a low cut at 20 Hz is down by 90 dB. */
  static final int RING = 6_000;

  private Between() {}

  /** Whether a sound rings on behind it. */
  static boolean rings(Room room) {
    return room == Room.THROUGH_A_WALL || room == Room.SMALL_SPEAKER || room == Room.UNDER_WATER;
  }

  /** Runs channels through it, in place; it takes most away (common practice, no source). */
  static void run(Room room, float[]... channels) {
    switch (room) {
      case THROUGH_A_WALL -> {
        Biquad.highCut(420, Equaliser.Band.FLAT).run(channels);
        Biquad.highCut(900, Equaliser.Band.FLAT).run(channels);
      }
      case SMALL_SPEAKER -> {
        Biquad.lowCut(380, 0.9).run(channels);
        Biquad.lowCut(250, Equaliser.Band.FLAT).run(channels);
        Biquad.highCut(3_600, Equaliser.Band.FLAT).run(channels);
        Biquad.bell(1_700, 5, 1.2).run(channels);
      }
      case UNDER_WATER -> {
        Biquad.highCut(520, 1.1).run(channels);
        Biquad.highCut(700, Equaliser.Band.FLAT).run(channels);
        Biquad.bell(190, 5, 1).run(channels);
      }
      default -> {
        // Rooms have walls alone.
      }
    }
  }
}
