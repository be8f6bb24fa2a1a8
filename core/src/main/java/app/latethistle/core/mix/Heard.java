package app.latethistle.core.mix;

import app.latethistle.core.time.SampleRange;
import java.io.Closeable;
import java.io.IOException;

/** One of the sounds that a bus is the sum of; it is read by one thread at a time. */
interface Heard extends Closeable {
  /** A range of it, left and right in turn. */
  float[] read(SampleRange range) throws IOException;

  /** Closes what is not heard any more from a sample on. */
  void closeAllBefore(long sample) throws IOException;
}
