package app.latethistle.media;

import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.take.PictureShape;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Whole pictures of a file in full colour, for looking at their colours. */
public final class ColourPictures {
  private static final int SECONDS = 60;

  private ColourPictures() {}

  /**
   * Some pictures from all over a clip; the one of a still.
   *
   * @param most how many of a clip
   * @throws IOException if it has no picture, or one cannot be decoded
   */
  public static List<ColourPicture> read(Path file, MediaFacts facts, int most) throws IOException {
    PictureShape shape =
        facts.shape().orElseThrow(() -> new IOException("There is no picture in " + file + "."));
    int count = facts.kind() == MediaFacts.Kind.STILL ? 1 : most;
    List<ColourPicture> pictures = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double at = facts.seconds() * (i + 0.5) / count;
      pictures.add(picture(file, facts, shape, count == 1 ? 0 : at));
    }
    return pictures;
  }

  private static ColourPicture picture(
      Path file, MediaFacts facts, PictureShape shape, double seconds) throws IOException {
    byte[] bytes =
        Child.output(
            Sandbox.ffmpeg(
                file,
                facts.container(),
                seconds == 0
                    ? List.of()
                    : List.of("-ss", String.format(Locale.ROOT, "%.3f", seconds)),
                List.of(
                    "-an",
                    "-vf",
                    PictureFilters.fullColour(facts),
                    "-frames:v",
                    "1",
                    "-f",
                    "rawvideo",
                    "pipe:1")),
            new byte[0],
            SECONDS);
    int[] rgb = new int[shape.width() * shape.height()];
    if (bytes.length != 3 * rgb.length) {
      throw new IOException("A picture of " + file + " could not be decoded.");
    }
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] =
          (bytes[3 * i] & 0xff) << 16 | (bytes[3 * i + 1] & 0xff) << 8 | (bytes[3 * i + 2] & 0xff);
    }
    return new ColourPicture(shape.width(), shape.height(), rgb);
  }
}
