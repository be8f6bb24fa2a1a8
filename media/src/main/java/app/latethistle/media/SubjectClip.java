package app.latethistle.media;

import app.latethistle.core.Refused;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.repair.Clip;
import app.latethistle.core.subject.Guide;
import app.latethistle.core.subject.SubjectCut;
import app.latethistle.core.time.FrameRate;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;

/**
 * Cuts the subject out of a clip or a still: writes a file of the same size and length whose
 * pictures say by their luma how opaque the subject is, from 16 to 235, without loss.
 */
public final class SubjectClip {
  /** Small copies of all pictures are kept in memory while it is followed: 230 kB each. */
  private static final long MOST_FRAMES = 900;

  private SubjectClip() {}

  /**
   * Makes it: an MP4 of a clip, a PNG of a still.
   *
   * @param rate of the film; guides count its frames
   * @throws RefusedMedia if it cannot be, with a sentence for the person
   */
  public static void make(
      Path original,
      MediaFacts facts,
      FrameRate rate,
      List<Guide> guides,
      Path target,
      Clip.Progress progress)
      throws IOException {
    boolean still = facts.kind() == MediaFacts.Kind.STILL;
    long frames = still ? 1 : facts.framesAt(rate);
    if (frames > MOST_FRAMES) {
      throw new RefusedMedia(
          "It has "
              + frames
              + " frames; a subject is followed over "
              + MOST_FRAMES
              + " at most. Cut the take shorter.");
    }
    ClipFile clip = new ClipFile(original, facts, rate);
    try {
      if (still) {
        List<Guide> only = guides.stream().map(g -> new Guide(0, g.strokes())).limit(1).toList();
        SubjectCut.cut(clip, only, (number, opacity) -> png(opacity, target), progress);
      } else {
        film(clip, guides, target, progress);
      }
    } catch (Refused e) {
      throw new RefusedMedia(e.getMessage());
    }
  }

  private static void film(ClipFile clip, List<Guide> guides, Path target, Clip.Progress progress)
      throws IOException {
    try (VideoEncoder encoder =
        VideoEncoder.master(target, clip.width(), clip.height(), clip.rate(), Optional.empty())) {
      SubjectCut.cut(clip, guides, (number, opacity) -> encoder.write(opacity), progress);
      encoder.end();
      encoder.await();
    }
  }

  private static void png(Frame opacity, Path target) throws IOException {
    byte[] grey = new byte[opacity.width() * opacity.height()];
    for (int i = 0; i < grey.length; i++) {
      grey[i] = (byte) Math.round(((opacity.data()[i] & 0xff) - 16) * 255 / 219f);
    }
    BufferedImage image =
        new BufferedImage(opacity.width(), opacity.height(), BufferedImage.TYPE_BYTE_GRAY);
    image.getRaster().setDataElements(0, 0, opacity.width(), opacity.height(), grey);
    ImageIO.write(image, "png", target.toFile());
  }
}
