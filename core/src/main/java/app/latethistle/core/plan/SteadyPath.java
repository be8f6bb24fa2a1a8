package app.latethistle.core.plan;

import app.latethistle.core.look.Easing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.View;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.take.PictureShape;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A camera's path over a take that takes the take's own movement out of it: a window that goes
 * along with the picture, so that what is filmed stands still in it, or moves smoothly.
 */
public final class SteadyPath {
  /** What is taken out. */
  public enum Manner {
    /** All movement: the picture stands as in the middle of the shot. */
    LOCKED,
    /** What is quicker than half a second: a pan stays, a shake goes. */
    SMOOTHED
  }

  /** The most a picture is enlarged for it, in thousandths: common practice, no source. */
  private static final int MOST = 1500;

  private static final int STEP = 5;

  /** One standard deviation of what counts as smooth, in seconds: common practice, no source. */
  private static final double SMOOTH = 0.5;

  /** Views of a path at most; between them it goes evenly. */
  private static final int VIEWS = 400;

  private static final int PLACE = 10_000;
  private static final int TURN = 100;
  private static final int END = 1000;

  private SteadyPath() {}

  /**
   * The path; empty if the picture moves too far for it.
   *
   * @param travels how the picture moved from the first frame to each
   * @param rate frames a second
   */
  public static Optional<FramingPath> of(
      List<Travel> travels, Manner manner, double rate, PictureShape clip, double filmAspect) {
    if (travels.size() < 2) {
      return Optional.empty();
    }
    List<Travel> off = manner == Manner.LOCKED ? fromMiddle(travels) : fromSmooth(travels, rate);
    for (int size = View.LEAST_SIZE; size <= MOST; size += STEP) {
      Optional<List<View>> views = views(off, size, clip, filmAspect);
      if (views.isPresent()) {
        return Optional.of(path(views.get()));
      }
    }
    return Optional.empty();
  }

  private static List<Travel> fromMiddle(List<Travel> travels) {
    Travel back = travels.get(travels.size() / 2).inverse();
    return travels.stream().map(back::then).toList();
  }

  /** How each lies against the mean of those around it, weighed by a Gaussian. */
  private static List<Travel> fromSmooth(List<Travel> travels, double rate) {
    double sigma = SMOOTH * rate;
    int reach = (int) Math.ceil(3 * sigma);
    List<Travel> off = new ArrayList<>();
    for (int k = 0; k < travels.size(); k++) {
      double right = 0;
      double down = 0;
      double zoom = 0;
      double turn = 0;
      double all = 0;
      // As far to either side: at its ends a pan would seem to slow down.
      int near = Math.min(reach, Math.min(k, travels.size() - 1 - k));
      for (int i = k - near; i <= k + near; i++) {
        double weight = Math.exp(-(i - k) * (i - k) / (2 * sigma * sigma));
        Travel t = travels.get(i);
        right += weight * t.right();
        down += weight * t.down();
        zoom += weight * Math.log(t.zoom());
        turn += weight * t.turn();
        all += weight;
      }
      Travel smooth = new Travel(right / all, down / all, Math.exp(zoom / all), turn / all);
      off.add(smooth.inverse().then(travels.get(k)));
    }
    return off;
  }

  /** Windows that go along with the picture; empty if one would leave the take. */
  private static Optional<List<View>> views(
      List<Travel> off, int size, PictureShape clip, double filmAspect) {
    double high = clip.height() / (clip.width() * clip.pixelAspect());
    List<View> views = new ArrayList<>();
    for (Travel t : off) {
      int across = (int) Math.round(PLACE * t.right());
      int down = (int) Math.round(PLACE * t.down() / high);
      if (Math.max(Math.abs(across), Math.abs(down)) > PLACE / 2) {
        return Optional.empty();
      }
      int enlarged = (int) Math.round(size / t.zoom());
      if (enlarged < View.LEAST_SIZE) {
        return Optional.empty();
      }
      View view = new View(enlarged, across, down, (int) Math.round(TURN * t.turn()));
      if (!isInside(view, clip, filmAspect)) {
        return Optional.empty();
      }
      views.add(view);
    }
    return Optional.of(views);
  }

  private static boolean isInside(View view, PictureShape clip, double filmAspect) {
    View inside = view.within(clip, filmAspect);
    return Math.abs(inside.right() - view.right()) <= 1
        && Math.abs(inside.down() - view.down()) <= 1
        && inside.size() <= view.size() + 1;
  }

  /** Each view at the middle of its frame's time. */
  private static FramingPath path(List<View> views) {
    int n = views.size();
    int every = (n + VIEWS - 1) / VIEWS;
    List<FramingPath.Point> points =
        new ArrayList<>(List.of(new FramingPath.Point(0, views.get(0))));
    for (int k = 0; k < n; k += every) {
      int at = (int) Math.round(END * (k + 0.5) / n);
      if (at > points.get(points.size() - 1).at()) {
        points.add(new FramingPath.Point(at, views.get(k)));
      }
    }
    if (points.size() < 2) {
      points.add(new FramingPath.Point(END, views.get(n - 1)));
    }
    return new FramingPath(points, Easing.EVEN, /* from= */ 0, /* to= */ 1);
  }
}
