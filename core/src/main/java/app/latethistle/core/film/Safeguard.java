package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.time.FrameRange;
import java.util.Objects;

/**
 * What no edit may do: move a locked shot, make it longer or shorter or show another part of its
 * take, or lay two shots over one another on one layer. Another take may be chosen for it.
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
        throw new ShotRefused(
            before.film(), i, "is locked and would move; unlock it first, or edit elsewhere.");
      }
      if (shot.locked() && showsAnother(shot, before, after)) {
        throw new ShotRefused(
            before.film(), i, "is locked and would show another part; unlock it first.");
      }
    }
    for (Overlay overlay : before.film().overlays()) {
      if (overlay.placement().locked() && !isHeld(overlay, before, after)) {
        throw new Refused(
            "A locked shot on layer " + overlay.layer() + " would move; unlock it first.");
      }
      if (overlay.placement().locked() && showsAnother(overlay.placement(), before, after)) {
        throw new Refused(
            "A locked shot on layer "
                + overlay.layer()
                + " would show another part; unlock it first.");
      }
    }
    Layers.checkClear(after);
  }

  /** Being unlocked is a change that a lock allows. */
  private static boolean isHeld(Placement shot, FrameRange range, Resolved after) {
    int now = after.film().indexOfId(shot.id());
    return now >= 0
        && (!after.film().placements().get(now).locked() || after.range(now).equals(range));
  }

  /** The same take, but other frames of it. */
  private static boolean showsAnother(Placement shot, Resolved before, Resolved after) {
    return after
        .film()
        .placement(shot.id())
        .filter(now -> now.locked() && now.take().equals(shot.take()))
        .filter(now -> !before.shown(shot.id()).equals(after.shown(shot.id())))
        .isPresent();
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
}
