package app.latethistle.server.film;

import app.latethistle.core.film.Run;
import app.latethistle.media.ClipPart;
import app.latethistle.media.Container;
import app.latethistle.media.ContentStore;

/**
 * What is heard of a clip in a film, by the hash of the clip; the rest as {@link ClipPart} has it.
 * It can be stored with the order of a master.
 */
public record HeardClip(
    String clip,
    Container container,
    Run run,
    long in,
    long material,
    long at,
    long length,
    long lead,
    long tail,
    double gain) {
  /** The sound of it. */
  public ClipPart part(ContentStore store) {
    return new ClipPart(
        store.path(clip), container, run, in, material, at, length, lead, tail, gain);
  }
}
