package app.latethistle.server.film;

import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** What is other in a film than in another of the same production, shot by shot. */
final class Differences {
  private Differences() {}

  /**
   * A sentence part for every shot that differs: "030 begins 12 f later".
   *
   * @param label what a shot is called, by its id
   */
  static List<String> of(FilmState from, FilmState to, Function<String, String> label) {
    List<String> found = new ArrayList<>();
    for (int i = 0; i < to.film().placements().size(); i++) {
      Placement placement = to.film().placements().get(i);
      int before = from.film().indexOfId(placement.id());
      List<String> its = new ArrayList<>();
      if (before < 0) {
        its.add("comes in");
      } else {
        Placement was = from.film().placements().get(before);
        if (!was.run().equals(placement.run())) {
          its.add("runs another way");
        }
        if (!was.take().equals(placement.take())) {
          its.add("has another take");
        } else if (was.in() != placement.in()) {
          its.add("shows another part");
        }
        its.addAll(moved(from.cutting().rangeOf(before), to.cutting().rangeOf(i)));
      }
      if (!its.isEmpty()) {
        found.add(name(placement, label) + " " + String.join(", ", its));
      }
    }
    for (Placement gone : from.film().placements()) {
      if (to.film().indexOfId(gone.id()) < 0) {
        found.add(name(gone, label) + " goes out");
      }
    }
    overlays(from, to, label, found);
    return found;
  }

  private static String name(Placement placement, Function<String, String> label) {
    return placement.hasPicture() ? label.apply(placement.shot()) : "a gap";
  }

  private static void overlays(
      FilmState from, FilmState to, Function<String, String> label, List<String> found) {
    for (Overlay overlay : to.film().overlays()) {
      Optional<Overlay> was = from.film().overlay(overlay.name());
      if (was.isEmpty()) {
        found.add(name(overlay.placement(), label) + " is laid over");
      } else if (!was.get().equals(overlay)) {
        found.add(name(overlay.placement(), label) + ", laid over, is another");
      }
    }
    for (Overlay gone : from.film().overlays()) {
      if (to.film().overlay(gone.name()).isEmpty()) {
        found.add(name(gone.placement(), label) + ", laid over, goes out");
      }
    }
  }

  private static List<String> moved(FrameRange was, FrameRange is) {
    List<String> parts = new ArrayList<>();
    long start = is.start() - was.start();
    long length = is.length() - was.length();
    if (start != 0) {
      parts.add("begins " + Math.abs(start) + " f " + (start > 0 ? "later" : "sooner"));
    }
    if (length != 0) {
      parts.add("lasts " + Math.abs(length) + " f " + (length > 0 ? "longer" : "less"));
    }
    return parts;
  }
}
