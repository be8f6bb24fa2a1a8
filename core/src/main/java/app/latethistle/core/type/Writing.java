package app.latethistle.core.type;

import app.latethistle.core.key.KeyWriter;
import app.latethistle.core.time.FrameRange;
import java.util.function.LongUnaryOperator;

/** Words that stand on the picture for some time. */
public sealed interface Writing permits WrittenTitle, WrittenCaption {
  /** The frames of the film in which something of it is seen. */
  FrameRange range();

  /** The same on other frames. */
  Writing at(LongUnaryOperator to);

  /** Writes all that can change a pixel in some of the film's frames, counted from the first. */
  void writeKey(KeyWriter key, FrameRange part);
}
