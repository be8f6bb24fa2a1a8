package app.latethistle.core.look;

import app.latethistle.core.Refused;

/**
 * The fade to black at the film's end: a raised cosine from 1 to 0. The film's sound follows the
 * same curve, so that both are gone together.
 *
 * @param frames how long it lasts; 0 for none
 */
public record EndFade(long frames) {
  /** The film ends as it is. */
  public static final EndFade NONE = new EndFade(0);

  /**
   * @throws IllegalArgumentException if it is negative
   */
  public EndFade {
    if (frames < 0) {
      throw new Refused("A fade of " + frames + " frames cannot be; 0 is none.");
    }
  }

  /**
   * The gain at a frame.
   *
   * @param frame from the film's start
   * @param length of the film in frames
   * @return 1 before the fade, falling to 0 at {@code length}
   */
  public double gain(long frame, long length) {
    return gain(frame, length, frames);
  }

  /**
   * The curve in any unit.
   *
   * @param position from the film's start
   * @param length of the film
   * @param fade how long the fade lasts; 0 for none
   */
  public static double gain(long position, long length, long fade) {
    long into = position - (length - fade);
    if (fade <= 0 || into <= 0) {
      return 1;
    }
    double x = Math.min(1, (double) into / fade);
    return 0.5 + 0.5 * Math.cos(Math.PI * x);
  }
}
