package app.latethistle.core.mix;

import app.latethistle.core.signal.Biquad;
import app.latethistle.core.sound.Decibels;
import app.latethistle.core.sound.Equaliser;
import app.latethistle.core.sound.Room;

/**
 * What a sound becomes on its way straight to the ears: softer and duller with distance, out of
 * doors with the ground's echo, and behind what lies {@link Between}; and filtered.
 */
final class StraightWay {
  private static final int RATE = 48_000;
  private static final double SOUND_SPEED = 343;

  /** A sound at distance 0 is a metre away, at 100 it is this many (common practice, no source). */
  private static final double FARTHEST = 24;

  /** What is highest of a far sound, in hertz (common practice, no source). */
  private static final double DULLEST = 2_800;

  /**
   * What distance alone leaves: a high cut there is down by 90 dB within 60 samples, and the ground
   * answers within 340.
   */
  private static final int SHORT_RING = 400;

  private StraightWay() {}

  /** Samples for which a sound rings on after it; 0 if it stays as it is. */
  static int rings(Effect.Placed how) {
    if (Between.rings(how.room()) || !how.equaliser().bands().isEmpty()) {
      return Between.RING;
    }
    return how.distance() > 0 || how.room() == Room.OUT_OF_DOORS ? SHORT_RING : 0;
  }

  /** Runs channels through it, in place; there was silence before them. */
  static void run(Effect.Placed how, float[]... channels) {
    double metres = Math.pow(FARTHEST, how.distance() / 100.0);
    if (how.distance() > 0) {
      for (float[] samples : channels) {
        for (int i = 0; i < samples.length; i++) {
          samples[i] *= (float) (1 / metres);
        }
      }
      Biquad.highCut(
              20_000 * Math.pow(DULLEST / 20_000, how.distance() / 100.0), Equaliser.Band.FLAT)
          .run(channels);
    }
    if (how.room() == Room.OUT_OF_DOORS) {
      for (float[] samples : channels) {
        ground(samples, metres);
      }
    }
    Between.run(how.room(), channels);
    Equalising.run(how.equaliser(), channels);
  }

  /** The ground sends one echo, from a source and an ear 1.6 m above it; it is soft ground. */
  private static void ground(float[] samples, double metres) {
    double way = Math.hypot(metres, 3.2);
    int late = (int) Math.round((way - metres) / SOUND_SPEED * RATE);
    double share = 0.5 * metres / way;
    for (int i = samples.length - 1; i >= late; i--) {
      samples[i] += (float) (share * samples[i - late]);
    }
  }

  /** How loud a distance leaves a sound, in decibels. */
  static double level(int distance) {
    return -Decibels.of(Math.pow(FARTHEST, distance / 100.0));
  }
}
