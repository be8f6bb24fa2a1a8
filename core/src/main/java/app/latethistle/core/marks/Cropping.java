package app.latethistle.core.marks;

import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.View;
import app.latethistle.core.look.Window;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Frames a take so that a box of it is not seen, as close as that needs and no closer.
 *
 * @param framing that leaves it out
 * @param enlarged by how much more the take is enlarged, 1 or more
 * @param lost the share of the picture that is not seen any more, 0 to 1
 */
public record Cropping(Framing framing, double enlarged, double lost) {
  /**
   * Closer than this, as a view's size, another take or filling is the better way: common practice,
   * no source.
   */
  public static final int CLOSEST = 1350;

  /** A hair of the take beside the box is left out too, for marks have soft edges. */
  private static final double HAIR = 0.004;

  private static Optional<FramingPath> path(Framing framing) {
    if (framing.path().isPresent()) {
      return framing.path();
    }
    return framing.equals(Framing.FILL)
        ? Optional.of(FramingPath.still(View.WHOLE))
        : Optional.empty();
  }

  /**
   * The framing that leaves boxes out and is otherwise as near as may be.
   *
   * @param aspect the film's width over its height
   * @param most how far a take may be enlarged in all, as a view's size
   * @return empty if it would have to come closer than that
   */
  public static Optional<Cropping> around(
      List<Box> boxes, Framing framing, PictureShape clip, double aspect, int most) {
    FramingPath now = path(framing).orElse(FramingPath.still(View.WHOLE));
    List<Limits> ways = new ArrayList<>(List.of(Limits.NONE));
    for (Box box : boxes) {
      ways = ways.stream().flatMap(limits -> limits.beside(box).stream()).toList();
    }
    return ways.stream()
        .filter(Limits::leavesRoom)
        .flatMap(limits -> along(limits, now, clip, aspect, most).stream())
        .min(Comparator.comparingDouble(Cropping::enlarged));
  }

  /** The part of a take that may be seen, in shares of its sides. */
  private record Limits(double left, double top, double right, double bottom) {
    static final Limits NONE = new Limits(0, 0, 1, 1);

    /** What is left of it to each side of a box. */
    List<Limits> beside(Box box) {
      return List.of(
          new Limits(left, top, Math.min(right, box.left() - HAIR), bottom),
          new Limits(left, top, right, Math.min(bottom, box.top() - HAIR)),
          new Limits(Math.max(left, box.right() + HAIR), top, right, bottom),
          new Limits(left, Math.max(top, box.bottom() + HAIR), right, bottom));
    }

    boolean leavesRoom() {
      return right - left > 0.1 && bottom - top > 0.1;
    }
  }

  private static Optional<Cropping> along(
      Limits limits, FramingPath now, PictureShape clip, double aspect, int most) {
    List<FramingPath.Point> points = new ArrayList<>();
    double enlarged = 1;
    double lost = 0;
    for (FramingPath.Point point : now.points()) {
      View before = point.view();
      if (before.turn() != 0) {
        return Optional.empty();
      }
      View after = inside(limits, before, clip, aspect);
      if (after == null || after.size() > most) {
        return Optional.empty();
      }
      double by = (double) after.size() / before.size();
      enlarged = Math.max(enlarged, by);
      lost = Math.max(lost, 1 - 1 / (by * by));
      points.add(new FramingPath.Point(point.at(), after));
    }
    FramingPath path = new FramingPath(points, now.easing(), now.from(), now.to());
    return Optional.of(new Cropping(Framing.along(path), enlarged, lost));
  }

  /** The nearest view within limits; null if there is none. */
  private static View inside(Limits limits, View view, PictureShape clip, double aspect) {
    Window window = FramingPath.still(view).at(0, clip, aspect);
    double across = clip.width() * clip.pixelAspect();
    double width = (limits.right - limits.left) * across;
    double height = (limits.bottom - limits.top) * clip.height();
    double closer = Math.max(1, Math.max(window.width() / width, window.height() / height));
    int size = (int) Math.ceil(view.size() * closer);
    if (size > View.MOST_SIZE) {
      return null;
    }
    double halfAcross = window.width() / closer / 2;
    double halfDown = window.height() / closer / 2;
    double x =
        Math.max(
            limits.left * across + halfAcross,
            Math.min(limits.right * across - halfAcross, window.x()));
    double y =
        Math.max(
            limits.top * clip.height() + halfDown,
            Math.min(limits.bottom * clip.height() - halfDown, window.y()));
    return new View(
        size,
        (int) Math.round(10_000 * (x / across - 0.5)),
        (int) Math.round(10_000 * (y / clip.height() - 0.5)),
        0);
  }
}
