package app.latethistle.server.film;

import app.latethistle.core.film.Revoice;
import java.util.List;
import java.util.Map;

/** Where a film's lines come from. */
public interface Voice {
  /** The lines of a production's script, in order. */
  List<ReadLine> lines(long productionId);

  /**
   * The number of the line that speaks of each shot, by the shot's id; shots without are left out.
   */
  Map<Long, Integer> linesOfShots(long productionId);

  /** What has a line start with a shot; the shot is in the story. */
  Revoice startingWith(String line, String shot);

  /** Settles a line anew, as undo asks; a reading that is gone is not taken up again. */
  void settle(String line, Revoice.Settled settled);
}
