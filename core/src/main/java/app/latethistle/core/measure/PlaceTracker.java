package app.latethistle.core.measure;

import app.latethistle.core.time.FrameRange;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Follows a place through the pictures of a take, both ways from the one on which it was marked.
 *
 * <p>A window about the place is held against each picture by {@link PictureAlignment}, as the
 * whole picture is for the camera: it may shift, grow and turn. The window of the marked picture
 * stays the reference as long as it is known again, so that errors do not add up; where it has
 * changed too much, the picture before becomes the reference (Matthews, Ishikawa and Baker 2004,
 * "The template update problem": what is drawn anew is aligned to what was there first). Hidden for
 * a moment, it is looked for where it was, and went straight meanwhile. Its way is smoothed by
 * {@link Loess}, for what is laid on it must not tremble.
 */
public final class PlaceTracker {
  /**
   * The window's side, in parts of the picture's longer side: a face not too near, no source. Where
   * that holds too little it is larger, up to a third.
   */
  private static final double[] WINDOWS = {0.1, 0.15, 0.22, 0.33};

  /** What a pixel is off by, in codes: noise of a camera or an encoder (no source). */
  private static final double NOISE = 2;

  /** How exactly a window has to tell where it is, in pixels. */
  private static final double EXACT = 0.03;

  /** So many of a window's points agree where it is known again (no source; half is by chance). */
  private static final double KNOWN = 0.6;

  /** So many where it is found again after it was hidden: more windows are tried. */
  private static final double FOUND = 0.75;

  /** So many where it changes by and by; where less do, something else is before it. */
  private static final double CHANGED = 0.35;

  /** What is seen of a window, at least. */
  private static final double OVERLAP = 0.5;

  /** A thing grows or shrinks from picture to picture by this factor at most. */
  private static final double GROWTH = 1.15;

  /** After so many pictures in which it is hidden it is given up: a second. */
  private static final int PATIENCE = 24;

  private final Pictures pictures;
  private final int width;
  private final int height;
  private int side;

  /** The pictures of a take, in grey. */
  @FunctionalInterface
  public interface Pictures {
    /** The luma of a frame, row by row. */
    byte[] luma(long frame) throws IOException;
  }

  /**
   * Of pictures of one size.
   *
   * @param width in pixels; about 640 are enough
   */
  public PlaceTracker(Pictures pictures, int width, int height) {
    this.pictures = pictures;
    this.width = width;
    this.height = height;
  }

  /**
   * Follows a place.
   *
   * @param marked the frame in which it was marked
   * @param across where it is there: share of the picture's width, 0 to 1
   * @param down of its height
   * @param frames in which it is followed, the marked one among them
   * @return as far as it was known again, the marked frame in it
   */
  public Trail follow(long marked, double across, double down, FrameRange frames)
      throws IOException {
    double[] start = {across * width, down * height};
    Gray picture = gray(marked);
    side = side(picture, start);
    List<double[]> places =
        new ArrayList<>(oneWay(picture, start, marked, -1, marked - frames.start()));
    long from = marked - places.size();
    Collections.reverse(places);
    places.add(start);
    places.addAll(oneWay(picture, start, marked, 1, frames.end() - 1 - marked));
    double[] x = Loess.of(places.stream().mapToDouble(p -> p[0] / width).toArray());
    double[] y = Loess.of(places.stream().mapToDouble(p -> p[1] / height).toArray());
    return new Trail(
        from, IntStream.range(0, x.length).mapToObj(i -> Trail.Spot.of(x[i], y[i])).toList());
  }

  /** The least side of a window about a place that tells well enough where it is. */
  private int side(Gray picture, double[] place) {
    Gray smooth = picture.smooth();
    int found = 0;
    for (double share : WINDOWS) {
      int wanted = (int) Math.round(share * Math.max(width, height) / 8) * 8;
      found = Math.max(16, Math.min(wanted, Math.min(width, height) / 8 * 8));
      int left = edge(place[0], width, found);
      int top = edge(place[1], height, found);
      if (NOISE / Math.sqrt(weakest(smooth, left, top, found)) <= EXACT) {
        return found;
      }
    }
    return found;
  }

  /**
   * How much a window's pixels change by a shift in the direction in which they change least: the
   * lesser eigenvalue of its gradients' products (Shi and Tomasi 1994, "Good features to track").
   * By the Cramer-Rao bound noise leaves its place uncertain by as much as one is over the other's
   * root.
   */
  private static double weakest(Gray g, int left, int top, int side) {
    double xx = 0;
    double xy = 0;
    double yy = 0;
    for (int y = Math.max(1, top); y < Math.min(g.height - 1, top + side); y++) {
      for (int x = Math.max(1, left); x < Math.min(g.width - 1, left + side); x++) {
        int i = y * g.width + x;
        double gx = (g.data[i + 1] - g.data[i - 1]) / 2;
        double gy = (g.data[i + g.width] - g.data[i - g.width]) / 2;
        xx += gx * gx;
        xy += gx * gy;
        yy += gy * gy;
      }
    }
    return (xx + yy) / 2 - Math.hypot((xx - yy) / 2, xy);
  }

  private static int edge(double at, int length, int side) {
    return (int) Math.max(0, Math.min(length - side, Math.round(at - (side - 1) / 2.0)));
  }

  private Gray gray(long frame) throws IOException {
    return Gray.of(width, height, pictures.luma(frame));
  }

  /** Where it is in the pictures after the marked one, or before it, as long as it is known. */
  private List<double[]> oneWay(Gray picture, double[] start, long marked, int step, long count)
      throws IOException {
    List<double[]> places = new ArrayList<>();
    Known known = new Known(picture, start);
    double[] last = start;
    int hidden = 0;
    for (int k = 1; k <= count && hidden < PATIENCE; k++) {
      Optional<double[]> place = known.next(gray(marked + (long) step * k), hidden > 0);
      if (place.isEmpty()) {
        hidden++;
        continue;
      }
      for (int i = 1; i <= hidden + 1; i++) {
        places.add(between(last, place.get(), i / (hidden + 1.0)));
      }
      last = place.get();
      hidden = 0;
    }
    return places;
  }

  private static double[] between(double[] a, double[] b, double share) {
    return new double[] {a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share};
  }

  /** What is known of the place, from the pictures so far. */
  private final class Known {
    private Reference first;
    private Reference before;
    private double[] place;
    private double[] speed = {0, 0};

    Known(Gray picture, double[] start) {
      place = start;
      first = new Reference(picture, start);
      before = first;
    }

    /** Where it is in the next picture; empty if it is not known again. */
    Optional<double[]> next(Gray picture, boolean hidden) {
      Optional<double[]> now =
          (hidden ? again(picture) : on(picture)).map(Seen::place).filter(this::inside);
      if (now.isEmpty() || hidden) {
        speed = new double[] {0, 0};
      } else {
        speed = new double[] {now.get()[0] - place[0], now.get()[1] - place[1]};
      }
      if (now.isPresent()) {
        place = now.get();
        before = new Reference(picture, place);
      }
      return now;
    }

    private Optional<Seen> on(Gray picture) {
      double[] expected = {place[0] + speed[0], place[1] + speed[1]};
      Optional<Seen> seen = first.in(picture, expected).filter(s -> s.agreeing >= KNOWN);
      if (seen.isPresent()) {
        return seen;
      }
      // What is covered at once is not what has changed by and by.
      seen =
          before
              .in(picture, expected)
              .or(() -> before.in(picture, place))
              .filter(s -> s.agreeing >= KNOWN)
              .filter(
                  s -> first.in(picture, s.place).filter(f -> f.agreeing >= CHANGED).isPresent());
      first = seen.isPresent() ? before : first;
      return seen;
    }

    /** Looked for in windows that lie about where it was last. */
    private Optional<Seen> again(Gray picture) {
      List<Seen> found = new ArrayList<>();
      double step = WINDOWS[0] / 2 * Math.max(width, height);
      for (int row = -2; row <= 2; row++) {
        for (int column = -2; column <= 2; column++) {
          double[] at = {place[0] + column * step, place[1] + row * step};
          if (inside(at)) {
            first.in(picture, at).ifPresent(found::add);
          }
        }
      }
      return found.stream()
          .filter(s -> s.agreeing >= FOUND)
          .max(Comparator.comparingDouble(Seen::agreeing));
    }

    private boolean inside(double[] at) {
      return at[0] >= 0 && at[1] >= 0 && at[0] < width && at[1] < height;
    }
  }

  /** Where a window was seen again, and how many of its points agree. */
  private static final class Seen {
    private final double[] place;
    private final double agreeing;

    Seen(double[] place, double agreeing) {
      this.place = place;
      this.agreeing = agreeing;
    }

    double[] place() {
      return place;
    }

    double agreeing() {
      return agreeing;
    }
  }

  /** A window about the place in a picture that is behind. */
  private final class Reference {
    private final PictureAlignment window;

    /** Where the place lies from the window's middle. */
    private final double right;

    private final double down;
    private double zoom = 1;
    private double turn;

    Reference(Gray picture, double[] place) {
      int left = edge(place[0], width, side);
      int top = edge(place[1], height, side);
      window = new PictureAlignment(PictureAlignment.pyramid(cut(picture, left, top)));
      right = place[0] - middle(left);
      down = place[1] - middle(top);
    }

    private double middle(int edge) {
      return edge + (side - 1) / 2.0;
    }

    private Gray cut(Gray picture, int left, int top) {
      float[] data = new float[side * side];
      for (int y = 0; y < side; y++) {
        System.arraycopy(picture.data, (top + y) * width + left, data, y * side, side);
      }
      return new Gray(side, side, data);
    }

    /** Where the place is seen in a picture near where it is expected, if it can be. */
    Optional<Seen> in(Gray picture, double[] expected) {
      if (!window.hasDetail()) {
        return Optional.empty();
      }
      int left = edge(expected[0] - right, width, side);
      int top = edge(expected[1] - down, height, side);
      double[] away = turned(right, down, zoom, turn);
      Travel guess =
          new Travel(
              (expected[0] - away[0] - middle(left)) / side,
              (expected[1] - away[1] - middle(top)) / side,
              zoom,
              turn);
      PictureAlignment.Fit fit =
          window.fit(PictureAlignment.pyramid(cut(picture, left, top)), guess);
      Travel travel = fit.travel();
      boolean grown = Math.abs(Math.log(travel.zoom() / zoom)) > Math.log(GROWTH);
      if (fit.overlap() < OVERLAP || grown) {
        return Optional.empty();
      }
      if (fit.agreeing() >= KNOWN) {
        zoom = travel.zoom();
        turn = travel.turn();
      }
      double[] there = turned(right, down, travel.zoom(), travel.turn());
      return Optional.of(
          new Seen(
              new double[] {
                middle(left) + travel.right() * side + there[0],
                middle(top) + travel.down() * side + there[1]
              },
              fit.agreeing()));
    }

    private double[] turned(double x, double y, double by, double degrees) {
      double c = by * Math.cos(Math.toRadians(degrees));
      double s = by * Math.sin(Math.toRadians(degrees));
      return new double[] {c * x - s * y, s * x + c * y};
    }
  }
}
