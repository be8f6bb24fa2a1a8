package app.latethistle.core.subject;

import app.latethistle.core.grade.ColourPicture;
import java.util.ArrayList;
import java.util.List;

/**
 * Carries a subject's outline from picture to picture (after Bai, Wang, Simons and Sapiro 2009,
 * "Video SnapCut"): along its edge lie windows that overlap; each moves as the part of the subject
 * in it has moved, and says of its pixels how likely they are the subject's, by its own colours and
 * by the shape that came along. What they say together is parted along the picture's edges.
 */
final class NextOutline {
  /** Windows lie so far apart along the edge, in pixels: a third of their width. */
  private static final int APART = 10;

  /** What parting costs, as odds. */
  private static final double WEIGHT = 2;

  /** No window is surer of a pixel than this. */
  private static final double SUREST = 0.99;

  /** Odds of what no window sees. */
  private static final double UNSEEN = 20;

  /** The shape moves as its windows do, weighed by a Gaussian of this size in pixels. */
  private static final double SMOOTH = 15;

  private final List<LocalWindow> windows = new ArrayList<>();
  private ColourPicture picture;
  private Silhouette now;

  /** Begins with a picture whose subject is known. */
  NextOutline(ColourPicture picture, Silhouette now) {
    this.picture = picture;
    this.now = now;
  }

  /** Finds it in the picture beside. */
  Silhouette next(ColourPicture to) {
    if (now.count() == 0) {
      picture = to;
      return now;
    }
    float[] depth = now.depth();
    place(depth);
    windows.forEach(w -> w.learn(picture, depth));
    Drift drift = new Drift(picture, to);
    Drift.Shift whole = drift.whole(now);
    List<Drift.Shift> shifts = windows.stream().map(w -> drift.part(w, depth, whole)).toList();
    List<Move> moves = windows.stream().map(w -> smooth(w, shifts)).toList();
    Votes votes = new Votes(to.count());
    for (int n = 0; n < windows.size(); n++) {
      ask(windows.get(n), moves.get(n), to, depth, votes);
    }
    Silhouette before = now;
    now =
        new Parting(to, WEIGHT)
            .part(
                i -> {
                  int x = i % to.width() - whole.right();
                  int y = i / to.width() - whole.down();
                  return votes.has(i) ? votes.odds(i) : before.has(x, y) ? UNSEEN : -UNSEEN;
                },
                Said.nothing(to.width(), to.height()));
    picture = to;
    return now;
  }

  /** How far a window goes. */
  private record Move(double right, double down) {}

  /** What windows say of pixels, the more the nearer their middles are. */
  private static final class Votes {
    private final double[] sum;
    private final double[] weight;

    Votes(int pixels) {
      sum = new double[pixels];
      weight = new double[pixels];
    }

    void add(int pixel, double likely, double near) {
      sum[pixel] += near * likely;
      weight[pixel] += near;
    }

    boolean has(int pixel) {
      return weight[pixel] > 0;
    }

    double odds(int pixel) {
      double p = Math.max(1 - SUREST, Math.min(SUREST, sum[pixel] / weight[pixel]));
      return Math.log(p / (1 - p));
    }
  }

  /** Moves a window, and has it say what it thinks of its pixels. */
  private static void ask(
      LocalWindow window, Move move, ColourPicture to, float[] depth, Votes votes) {
    window.move(move.right, move.down);
    window.each(
        to.width(),
        to.height(),
        (pixel, x, y) -> {
          double along = Bilinear.at(depth, to.width(), to.height(), x - move.right, y - move.down);
          double near = 1 / (Math.hypot(x - window.x(), y - window.y()) + 0.1);
          votes.add(pixel, window.likely(to.at(pixel), along), near);
        });
  }

  /** Windows where the edge is, and none where there is none any more. */
  private void place(float[] depth) {
    int width = now.width();
    int height = now.height();
    windows.removeIf(
        w -> {
          int x = (int) Math.max(0, Math.min(width - 1, Math.round(w.x())));
          int y = (int) Math.max(0, Math.min(height - 1, Math.round(w.y())));
          return Math.abs(depth[y * width + x]) > LocalWindow.REACH / 2.0;
        });
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        if (isEdge(x, y) && isFarFromAll(x, y)) {
          windows.add(new LocalWindow(x, y));
        }
      }
    }
  }

  /** Whether the subject ends beside a pixel of it; it does not end at the picture's rim. */
  private boolean isEdge(int x, int y) {
    return now.has(x, y)
        && !(now.has(x - 1, y) && now.has(x + 1, y) && now.has(x, y - 1) && now.has(x, y + 1));
  }

  private boolean isFarFromAll(int x, int y) {
    return windows.stream().allMatch(w -> Math.hypot(w.x() - x, w.y() - y) >= APART);
  }

  /** A window's shift as the mean of those around it, so that they keep together. */
  private Move smooth(LocalWindow window, List<Drift.Shift> shifts) {
    double right = 0;
    double down = 0;
    double all = 0;
    for (int n = 0; n < windows.size(); n++) {
      double far = Math.hypot(windows.get(n).x() - window.x(), windows.get(n).y() - window.y());
      double share = Math.exp(-far * far / (2 * SMOOTH * SMOOTH));
      right += share * shifts.get(n).right();
      down += share * shifts.get(n).down();
      all += share;
    }
    return new Move(right / all, down / all);
  }
}
