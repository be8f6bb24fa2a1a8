package app.latethistle.media;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.file.Path;

/** The first picture of a file, of any kind that can be brought in. */
public final class StillPicture {
  private StillPicture() {}

  /**
   * Decodes it in a process of its own.
   *
   * @return as RGB, each side made even
   * @throws IOException if it cannot be decoded
   */
  public static BufferedImage read(Path file, MediaFacts facts) throws IOException {
    try (ClipReader reader = ClipReader.open(file, facts, FrameRate.FPS_24, new FrameRange(0, 1))) {
      Frame frame = reader.next();
      BufferedImage image =
          new BufferedImage(frame.width(), frame.height(), BufferedImage.TYPE_INT_RGB);
      Rgb.fromFrame(frame, ((DataBufferInt) image.getRaster().getDataBuffer()).getData());
      return image;
    }
  }
}
