package app.latethistle.core.render;

import app.latethistle.core.grade.GivenTable;
import app.latethistle.core.look.Framing;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.Faces;
import java.io.Closeable;
import java.io.IOException;
import java.util.Optional;

/** Where decoded frames of takes come from. */
public interface PictureSource {

  /**
   * Opens frames of a medium for reading in order.
   *
   * @param media SHA-256 of the file's bytes
   * @param frames at the film's rate
   * @param wish how they are going to be drawn, if they are drawn as they come; a source that can
   *     draw them so more cheaply may
   * @throws IOException if they cannot be had, naming the file
   */
  Reader open(String media, FrameRange frames, Optional<Wish> wish) throws IOException;

  /**
   * A table of colours that was brought in.
   *
   * @param file SHA-256 of the .cube file's bytes
   * @throws IOException if it cannot be had, naming it
   */
  default GivenTable table(String file) throws IOException {
    throw new IOException("The table of colours " + file + " is not here; bring it in again.");
  }

  /**
   * The faces that words are set in.
   *
   * @throws IOException if they cannot be had
   */
  default Faces faces() throws IOException {
    throw new IOException("There are no faces here to write with.");
  }

  /**
   * Frames drawn into a picture.
   *
   * @param width of the picture, even
   * @param height of the picture, even
   */
  record Wish(int width, int height, Framing framing) {}

  /** Frames in order. */
  interface Reader extends Closeable {
    /** The shape of the frames it gives. */
    PictureShape shape();

    /** Whether they come drawn as was wished. */
    boolean isDrawn();

    /** The next frame, valid until the next call and not to be changed. */
    Frame next() throws IOException;
  }
}
