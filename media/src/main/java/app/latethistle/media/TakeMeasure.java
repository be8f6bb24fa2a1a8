package app.latethistle.media;

import app.latethistle.core.measure.PictureMeter;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicLong;
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
    if (facts.shape().isEmpty()) {
      throw new RefusedMedia("There is no picture.");
    }
    SmallPictures small =
        SmallPictures.of(file, facts, LONGER_SIDE / SmallPictures.longerSide(facts));
    double rate = facts.rate().map(r -> r.perSecond()).orElse(STILL_RATE);
    PictureMeter meter = new PictureMeter(small.width(), small.height(), rate);
    AtomicLong done = new AtomicLong();
    SmallPictures.Ended ended =
        small.decode(
            ":in_range=tv:out_range=pc",
            "gray",
            small.width() * small.height(),
            plane -> {
              meter.add(plane);
              progress.accept(done.incrementAndGet());
            });
    if (!ended.well() || ended.pictures() == 0) {
      throw new RefusedMedia("The file could not be measured: " + ended.said());
    }
    return meter.finish();
  }
}
