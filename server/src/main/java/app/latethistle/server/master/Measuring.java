package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.render.Segment;
import app.latethistle.media.MasterRender;
import app.latethistle.media.OutputFile;
import app.latethistle.server.config.ServerOnly;
import java.io.IOException;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Makes a few seconds of an output, by which its size is told before it is rendered. They are
 * segments of it, so that nothing is drawn twice.
 */
@ServerOnly
@Component
class Measuring {
  /** Where in an output segments are made, as shares of it: neither its start nor its end. */
  private static final List<Double> PLACES = List.of(0.3, 0.7);

  private final MasterOrders orders;

  Measuring(MasterOrders orders) {
    this.orders = orders;
  }

  /** Whether an output is joined of segments whose sizes tell its own. */
  static boolean suits(Ordering ordering) {
    return OutputFile.isJoined(ordering.output().encoding(), ordering.output().megabytes());
  }

  /**
   * Makes them, unless they are made already.
   *
   * @throws IllegalArgumentException if an output is not joined of segments
   */
  void measure(Ordering ordering) throws IOException {
    if (!suits(ordering)) {
      throw new Refused(
          "Only films as MP4 by their quality are measured before; others when they are made.");
    }
    MasterRender render = orders.render(ordering);
    List<Segment> segments = render.segments();
    for (double place : PLACES) {
      Segment segment = segments.get((int) (place * segments.size()));
      render.make(segment, new Quietly());
    }
  }

  /** Nobody is told, and nobody stops it: it is a few seconds' work. */
  private static final class Quietly implements MasterRender.Progress {
    @Override
    public void frames(long done) {
      // The request ends when they are made.
    }

    @Override
    public boolean isCancelled() {
      return false;
    }
  }
}
