package app.latethistle.media;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The first picture of a file, of any kind that can be brought in. */
public final class StillPicture {
  /**
   * The longer side of a still that is worked with: twice that of a film of 1920 pixels, and room.
   */
  public static final int WORKABLE = 4096;

  private static final int SECONDS = 60;

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

  /** Whether a still is larger than is worked with. */
  public static boolean isLarge(MediaFacts facts) {
    return facts.kind() == MediaFacts.Kind.STILL
        && facts.shape().filter(s -> Math.max(s.width(), s.height()) > WORKABLE).isPresent();
  }

  /**
   * A large still at a workable size, as a PNG: its longer side has {@link #WORKABLE} pixels.
   *
   * @throws IOException if it cannot be decoded
   */
  public static byte[] reduced(Path file, MediaFacts facts) throws IOException {
    String filter =
        "scale=%1$s:%1$s:force_original_aspect_ratio=decrease:force_divisible_by=2"
                .formatted(WORKABLE)
            + ":flags=area+accurate_rnd+full_chroma_int,setsar=1";
    return png(file, facts, List.of("-vf", filter));
  }

  /**
   * A still as a PNG, decoded in a process of its own.
   *
   * @param how it is drawn
   * @throws IOException if it cannot be decoded
   */
  static byte[] png(Path file, MediaFacts facts, List<String> how) throws IOException {
    List<String> command = new ArrayList<>(how);
    command.addAll(List.of("-frames:v", "1", "-c:v", "png", "-f", "image2pipe", "pipe:1"));
    return Child.output(
        Sandbox.ffmpeg(file, facts.container(), List.of(), command), new byte[0], SECONDS);
  }
}
