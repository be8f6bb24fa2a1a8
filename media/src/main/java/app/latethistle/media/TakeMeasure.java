package app.latethistle.media;

import app.latethistle.core.measure.PictureMeter;
import app.latethistle.core.take.PictureShape;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.LongConsumer;

/** Measures what is right and wrong with a take, from its file. */
public final class TakeMeasure {
  private static final int LONGER_SIDE = 640;

  /** What a still counts as; it has one picture. */
  private static final double STILL_RATE = 24;

  private TakeMeasure() {}

  /**
   * Decodes a clip once, small and grey, and measures it. A clip of variable rate is measured at
   * its mean rate, others picture by picture.
   *
   * @param progress told how many pictures are done
   * @throws RefusedMedia if it has no picture
   */
  public static PictureMeter.Measured measure(Path file, MediaFacts facts, LongConsumer progress)
      throws IOException {
    PictureShape shape = facts.shape().orElseThrow(() -> new RefusedMedia("There is no picture."));
    double seen = shape.width() * shape.pixelAspect();
    double scale = LONGER_SIDE / Math.max(seen, shape.height());
    int width = even(seen * scale);
    int height = even(shape.height() * scale);
    List<String> filters = new ArrayList<>();
    if (facts.variable()) {
      filters.add("fps=" + facts.rate().orElseThrow());
    }
    PictureFilters.colour(facts, "tv").ifPresent(filters::add);
    filters.add("scale=" + width + ":" + height + ":flags=area:in_range=tv:out_range=pc");
    filters.add("format=gray");
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
    double rate = facts.rate().map(r -> r.perSecond()).orElse(STILL_RATE);
    PictureMeter meter = new PictureMeter(width, height, rate);
    try (Child child = Child.start(Sandbox.ffmpeg(file, facts.container(), List.of(), after))) {
      InputStream in = child.stdout();
      byte[] plane = new byte[width * height];
      long done = 0;
      while (in.readNBytes(plane, 0, plane.length) == plane.length) {
        meter.add(plane);
        progress.accept(++done);
      }
      if (child.waitFor() != 0 || done == 0) {
        throw new RefusedMedia("The file could not be measured: " + child.errorLine());
      }
    }
    return meter.finish();
  }

  private static int even(double value) {
    return Math.max(32, (int) Math.round(value / 2) * 2);
  }
}
