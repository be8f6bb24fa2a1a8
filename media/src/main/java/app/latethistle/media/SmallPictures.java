package app.latethistle.media;

import app.latethistle.core.take.PictureShape;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A clip decoded once, small. One of variable rate gives pictures at its mean rate, others every
 * picture they have.
 *
 * @param width even, 32 or more
 * @param height the same
 */
record SmallPictures(Path file, MediaFacts facts, int width, int height) {
  /** Takes pictures. */
  @FunctionalInterface
  interface Sink {
    /** Takes the next picture, which is valid only during the call. */
    void accept(byte[] picture);
  }

  /**
   * How decoding ended.
   *
   * @param pictures that were decoded
   * @param well whether the decoder found no fault that ended it
   * @param complained whether it said anything at all
   * @param said the last of it
   */
  record Ended(long pictures, boolean well, boolean complained, String said) {}

  /**
   * Of a file with a picture.
   *
   * @param scale of its upright picture, with square pixels
   */
  static SmallPictures of(Path file, MediaFacts facts, double scale) {
    PictureShape shape = facts.shape().orElseThrow();
    double across = shape.width() * shape.pixelAspect();
    return new SmallPictures(file, facts, even(across * scale), even(shape.height() * scale));
  }

  /** The longer side of a file's picture, with square pixels. */
  static double longerSide(MediaFacts facts) {
    PictureShape shape = facts.shape().orElseThrow();
    return Math.max(shape.width() * shape.pixelAspect(), shape.height());
  }

  private static int even(double value) {
    return Math.max(32, (int) Math.round(value / 2) * 2);
  }

  /**
   * Decodes it.
   *
   * @param scaling what the scaler is told beside the sides, such as ":out_range=pc"
   * @param format of the pictures, by ffmpeg's name
   * @param bytes of a picture
   */
  Ended decode(String scaling, String format, int bytes, Sink sink) throws IOException {
    List<String> filters = new ArrayList<>();
    if (facts.variable()) {
      filters.add("fps=" + facts.rate().orElseThrow());
    }
    PictureFilters.colour(facts, "tv").ifPresent(filters::add);
    filters.add("scale=" + width + ":" + height + ":flags=area" + scaling);
    filters.add("format=" + format);
    List<String> after =
        List.of(
            "-an",
            "-vf",
            String.join(",", filters),
            "-fps_mode",
            "passthrough",
            "-f",
            "rawvideo",
            "pipe:1");
    try (Child child = Child.start(Sandbox.ffmpeg(file, facts.container(), List.of(), after))) {
      InputStream in = child.stdout();
      byte[] picture = new byte[bytes];
      long pictures = 0;
      while (in.readNBytes(picture, 0, bytes) == bytes) {
        sink.accept(picture);
        pictures++;
      }
      boolean well = child.waitFor() == 0;
      return new Ended(pictures, well, !child.errorText().isBlank(), child.errorLine());
    }
  }
}
