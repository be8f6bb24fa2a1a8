package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.time.FrameRange;

/** Edits of what lies over the cut. The film's length stays. */
public final class Layers {
  private Layers() {}

  /**
   * Lays a shot over the cut, on the lowest layer that is free there.
   *
   * @throws IllegalArgumentException if all layers are taken, or the end is not after the start
   */
  public static Edit layOver(Resolved film, Placement placement, Tie start, Tie end) {
    FrameRange range = ahead(film, start, end);
    Placement fresh = placement.withId(film.film().freshId(placement.id()));
    for (int layer = 1; layer <= Overlay.LAYERS; layer++) {
      if (isFree(film, layer, range, "")) {
        return Put.overlay(Overlay.whole(layer, fresh, start, end));
      }
    }
    throw new Refused("All layers over the cut are taken there; take one out.");
  }

  /**
   * Changes an overlay.
   *
   * @throws IllegalArgumentException if another lies on its layer there, or the end is not after
   *     the start
   */
  public static Edit change(Resolved film, Overlay overlay) {
    FrameRange range = ahead(film, overlay.start(), overlay.end());
    if (!isFree(film, overlay.layer(), range, overlay.name())) {
      throw new Refused(
          "Another shot lies on layer " + overlay.layer() + " there; choose another layer.");
    }
    return Put.overlay(overlay);
  }

  /**
   * Looks whether no two overlays of one layer are seen at once.
   *
   * @throws IllegalArgumentException if two are
   */
  static void checkClear(Resolved film) {
    for (Overlay overlay : film.film().overlays()) {
      FrameRange range = film.cutting().beside().overlays().get(overlay.name());
      if (range != null && !isFree(film, overlay.layer(), range, overlay.name())) {
        throw new Refused(
            "Two shots would lie over one another on layer "
                + overlay.layer()
                + "; move one of them first.");
      }
    }
  }

  private static FrameRange ahead(Resolved film, Tie start, Tie end) {
    long from = film.frameOrRefuse(start);
    long to = film.frameOrRefuse(end);
    if (from < 0 || to <= from) {
      throw new Refused("A shot laid over the cut ends after it starts.");
    }
    return new FrameRange(from, to);
  }

  private static boolean isFree(Resolved film, int layer, FrameRange range, String but) {
    return film.film().overlays().stream()
        .filter(o -> o.layer() == layer && !o.name().equals(but))
        .map(o -> film.cutting().beside().overlays().get(o.name()))
        .noneMatch(other -> other != null && other.overlaps(range));
  }
}
