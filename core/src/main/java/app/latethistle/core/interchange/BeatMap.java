package app.latethistle.core.interchange;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.time.Samples;
import java.util.Locale;

/** A song's beats as CSV (RFC 4180): seconds, the bar and the beat in it, both from 1 on. */
public final class BeatMap {
  private BeatMap() {}

  /** The table. */
  public static String of(BeatGrid grid) {
    StringBuilder text = new StringBuilder("time_s,bar,beat\n");
    for (int i = 0; i < grid.size(); i++) {
      text.append(
          String.format(
              Locale.ROOT,
              "%.4f,%d,%d%n",
              Samples.toSeconds(grid.sampleOf(i)),
              grid.barOf(i),
              grid.placeOf(i)));
    }
    return text.toString();
  }
}
