package app.latethistle.core.render;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import java.io.Closeable;
import java.io.IOException;

/** Where decoded frames of takes come from. */
public interface PictureSource {

  /**
   * Opens frames of a medium for reading in order.
   *
   * @param media SHA-256 of the file's bytes
   * @param frames at the film's rate
   * @throws IOException if they cannot be had, naming the file
   */
  Reader open(String media, FrameRange frames) throws IOException;

  /** Frames in order. */
  interface Reader extends Closeable {
    /** The shape of the frames it gives. */
    PictureShape shape();

    /** The next frame, valid until the next call. */
    Frame next() throws IOException;
  }
}
