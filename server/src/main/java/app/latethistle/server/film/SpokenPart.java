package app.latethistle.server.film;

import app.latethistle.core.voice.Stretch;
import app.latethistle.media.Container;
import app.latethistle.media.ContentStore;
import app.latethistle.media.Speech;
import java.util.List;

/**
 * A line spoken in a film, by the hash of its reading; the rest as {@link Speech} has it. It can be
 * stored with the order of a master.
 */
public record SpokenPart(
    String reading, Container container, List<Stretch> cuts, long at, long length, double gain) {
  /** The sound of it. */
  public Speech speech(ContentStore store) {
    return new Speech(store.path(reading), container, cuts, at, length, gain);
  }
}
