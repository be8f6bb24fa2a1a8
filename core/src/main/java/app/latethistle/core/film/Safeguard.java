package app.latethistle.core.film;

import app.latethistle.core.time.FrameRange;
import java.util.List;
import java.util.Objects;

/**
 * What no edit may do: move a locked shot or change what it shows, or lay two shots over one
 * another on one layer.
 */
public final class Safeguard {
  private Safeguard() {}

  /**
   * Looks at what an edit would do.
   *
   * @throws IllegalArgumentException if it may not, naming the shot
   */
  public static void hold(Resolved before, Resolved after) {
    for (int i = 0; i < before.film().placements().size(); i++) {
      Placement shot = before.film().placements().get(i);
      if (shot.locked() && !isHeld(shot, before.range(i), after)) {
        throw new IllegalArgumentException(
            Resolved.named(i) + " is locked and would move; unlock it first, or edit elsewhere.");
      }
    }
    for (Overlay overlay : before.film().overlays()) {
      if (overlay.placement().locked() && !isHeld(overlay, before, after)) {
        throw new IllegalArgumentException(
            "A locked shot on layer " + overlay.layer() + " would move; unlock it first.");
      }
    }
    layersAreClear(after);
  }

  /** Being unlocked is a change that a lock allows. */
  private static boolean isHeld(Placement shot, FrameRange range, Resolved after) {
    int now = after.film().indexOfId(shot.id());
    return now >= 0
        && (!after.film().placements().get(now).locked() || after.range(now).equals(range));
  }

  private static boolean isHeld(Overlay overlay, Resolved before, Resolved after) {
    String name = overlay.name();
    return after
        .film()
        .overlay(name)
        .filter(
            o ->
                !o.placement().locked()
                    || Objects.equals(
                        before.cutting().beside().overlays().get(name),
                        after.cutting().beside().overlays().get(name)))
        .isPresent();
  }

  private static void layersAreClear(Resolved film) {
    List<Overlay> overlays = film.film().overlays();
    for (int i = 0; i < overlays.size(); i++) {
      for (int j = i + 1; j < overlays.size(); j++) {
        FrameRange a = film.cutting().beside().overlays().get(overlays.get(i).name());
        FrameRange b = film.cutting().beside().overlays().get(overlays.get(j).name());
        boolean oneLayer = overlays.get(i).layer() == overlays.get(j).layer();
        if (oneLayer && a != null && b != null && a.start() < b.end() && b.start() < a.end()) {
          throw new IllegalArgumentException(
              "Two shots would lie over one another on layer "
                  + overlays.get(i).layer()
                  + "; move one of them first.");
        }
      }
    }
  }
}
