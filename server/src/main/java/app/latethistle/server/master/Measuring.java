package app.latethistle.server.master;

import app.latethistle.core.Refused;
import app.latethistle.core.release.Output;
import app.latethistle.core.render.Segment;
import app.latethistle.media.MasterRender;
import app.latethistle.media.OutputFile;
import app.latethistle.server.config.ServerOnly;
import java.io.IOException;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * Makes a few seconds of an output, by which its size is told before it is rendered. They are
 * segments of it, so that nothing is drawn twice; where its file is encoded once they are drawn,
 * they are encoded too.
 */
@ServerOnly
@Component
class Measuring {
  /** Where in an output segments are made, as shares of it: neither its start nor its end. */
  private static final List<Double> PLACES = List.of(0.15, 0.5, 0.85);

  private final MasterOrders orders;

  Measuring(MasterOrders orders) {
    this.orders = orders;
  }

  /** Whether a few seconds of an output tell how large it will be. */
  static boolean suits(Ordering ordering) {
    Output output = ordering.output();
    return OutputFile.isToldBySeconds(output.encoding(), output.megabytes());
  }

  /** The segments that are made to measure. */
  static List<Segment> some(List<Segment> all) {
    return PLACES.stream().map(place -> all.get((int) (place * all.size()))).distinct().toList();
  }

  /**
   * Makes them, unless they are made already.
   *
   * @throws IllegalArgumentException if its size is not told so
   */
  void measure(Ordering ordering) throws IOException {
    if (!suits(ordering)) {
      throw new Refused(
          "Only films and loops of no wished size are measured before; the size of others is known"
              + " or follows from their length.");
    }
    MasterRender render = orders.render(ordering);
    List<Segment> some = some(render.segments());
    for (Segment segment : some) {
      render.make(segment, MasterRender.Progress.NOBODY);
    }
    if (!OutputFile.isJoined(ordering.output().encoding(), ordering.output().megabytes())) {
      orders.writeSample(ordering, some, MasterRender.Progress.NOBODY);
    }
  }
}
