package app.latethistle.server.film;

import app.latethistle.core.film.Revoice;
import java.util.List;

/** Where a film's lines come from. */
public interface Voice {
  /** The lines of a production's script, in order. */
  List<ReadLine> lines(long productionId);

  /**
   * What has a line start with a shot that it speaks of.
   *
   * @param number its place in the script, from 1
   */
  Revoice startingWith(String line, int number, String shot);

  /** Settles a line anew, as undo asks; a reading that is gone is not taken up again. */
  void settle(String line, Revoice.Settled settled);
}
