package app.latethistle.core.repair;

import app.latethistle.core.picture.Frame;
import java.io.IOException;

/** Pictures of a take that can be gone through from the first to the last, more than once. */
public interface Clip {
  int width();

  int height();

  /** Goes through them; a frame is only good until the next one is taken. */
  void each(Taker taker) throws IOException;

  /** Takes frames in order. */
  @FunctionalInterface
  interface Taker {
    /**
     * Takes the next one.
     *
     * @param number from 0 on
     */
    void take(int number, Frame frame) throws IOException;
  }

  /** Told how far something is that is done with its pictures. */
  @FunctionalInterface
  interface Progress {
    /**
     * Told.
     *
     * @param share 0 to 1
     */
    void at(double share);
  }
}
