package app.latethistle.core.sound;

import app.latethistle.core.Refused;

/**
 * What is done to every reading before it is heard. After it each is as loud as all others, so that
 * on and off are compared alike.
 *
 * @param rumble whether what lies under a voice is cut away
 * @param even how much the level inside a line is evened, 0 to 100
 * @param hiss how much of what sounds in the pauses too is taken out, 0 to 100
 * @param sharp how much sharp s are softened, 0 to 100
 * @param breaths how much breaths are softened, 0 to 100
 */
public record VoiceCare(boolean rumble, int even, int hiss, int sharp, int breaths) {
  /** Readings are heard as they are. */
  public static final VoiceCare NONE = new VoiceCare(false, 0, 0, 0, 0);

  /** What is asked for with one click: a little of each. */
  public static final VoiceCare GENTLE = new VoiceCare(true, 40, 30, 30, 40);

  /**
   * @throws IllegalArgumentException if a value is out of its range
   */
  public VoiceCare {
    for (int value : new int[] {even, hiss, sharp, breaths}) {
      if (value < 0 || value > 100) {
        throw new Refused("How much is done to a voice is from 0 to 100, not " + value + ".");
      }
    }
  }

  /** Whether it leaves readings as they are. */
  public boolean leavesAll() {
    return equals(NONE);
  }
}
