package app.latethistle.core.repair;

import app.latethistle.core.measure.CameraTravel;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.picture.Frame;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Fills a hole in every picture of a take, such as one that a service's mark stands in. Where the
 * camera moves, other moments show what is behind it: they are laid on by the camera's movement and
 * by what is around the hole. What no moment shows goes on from the picture before, as the camera
 * moves, and at the first one is filled from its surroundings ({@link SurroundingsFill}); so
 * nothing shimmers. At last a {@link Membrane} makes it meet its surroundings.
 */
public final class Filling {
  /** So much around the hole is kept: what is put in comes from there. */
  private static final int AROUND = 48;

  /** So much around the hole tells whether another moment fits. */
  private static final int RING = 16;

  /** Moments that are laid on each other, before and after: their noise averages out. */
  private static final int EACH_WAY = 2;

  /** More codes than this beside each other's surroundings are another thing. */
  private static final double WORST_FIT = 9;

  /** Pictures are made as wide as this to follow the camera. */
  private static final int SMALL = 320;

  private final Clip clip;
  private final Hole hole;
  private final Hole part;
  private final Hole ring;
  private final List<Frame> crops = new ArrayList<>();
  private final boolean[] beside;
  private List<Travel> travel = List.of();
  private final Map<Integer, Gathered> gathered = new HashMap<>();

  /** What other moments say of a picture's hole and what is around it. */
  private static final class Gathered {
    final Crop sum;
    final float[] weight;

    Gathered(int width, int height) {
      sum = new Crop(width, height);
      weight = new float[width * height];
    }
  }

  private Filling(Clip clip, Hole hole) {
    this.clip = clip;
    this.hole = hole;
    part = hole.around(AROUND, clip.width(), clip.height());
    ring = hole.around(RING, clip.width(), clip.height());
    beside = new boolean[ring.width() * ring.height()];
    Hole inside = hole.within(ring);
    for (int i = 0; i < beside.length; i++) {
      beside[i] = !inside.isNear(i % ring.width(), i / ring.width(), 1);
    }
  }

  /**
   * Fills the hole in every picture.
   *
   * @param taker takes the filled pictures in order
   */
  public static void fill(Clip clip, Hole hole, Clip.Taker taker, Clip.Progress progress)
      throws IOException {
    Filling filling = new Filling(clip, hole);
    filling.look(progress);
    filling.gather(progress);
    filling.put(taker, progress);
  }

  /** Follows the camera and keeps what is around the hole. */
  private void look(Clip.Progress progress) throws IOException {
    int high = SmallLuma.heightFor(clip, SMALL);
    CameraTravel camera = new CameraTravel(SMALL, high);
    clip.each(
        (number, frame) -> {
          camera.add(SmallLuma.of(frame, SMALL, high));
          Frame kept = new Frame(part.width(), part.height());
          Crop.of(frame, part).write(kept, new Hole(0, 0, part.width(), part.height()), 0, 0);
          crops.add(kept);
          progress.at(0);
        });
    travel = camera.fromFirst();
  }

  /** Where a place of one picture is in another. */
  private record Way(double c, double s, double right, double down, double midX, double midY) {
    double x(double x, double y) {
      return c * (x - midX) - s * (y - midY) + right + midX;
    }

    double y(double x, double y) {
      return s * (x - midX) + c * (y - midY) + down + midY;
    }
  }

  private Way way(int from, int to) {
    Travel moved = travel.get(from).inverse().then(travel.get(to));
    double angle = Math.toRadians(moved.turn());
    return new Way(
        moved.zoom() * Math.cos(angle),
        moved.zoom() * Math.sin(angle),
        moved.right() * clip.width(),
        moved.down() * clip.width(),
        clip.width() / 2.0,
        clip.height() / 2.0);
  }

  /** The share of the hole that another picture shows. */
  private double shown(int from, int to) {
    Way way = way(from, to);
    int shown = 0;
    int all = 0;
    for (int row = 0; row <= 4; row++) {
      for (int column = 0; column <= 4; column++) {
        double x = hole.x() + hole.width() * column / 4.0;
        double y = hole.y() + hole.height() * row / 4.0;
        all++;
        if (shows(way.x(x, y), way.y(x, y))) {
          shown++;
        }
      }
    }
    return (double) shown / all;
  }

  private boolean shows(double x, double y) {
    return x >= 1
        && y >= 1
        && x <= clip.width() - 2
        && y <= clip.height() - 2
        && !hole.isNear(x, y, 1);
  }

  /** The pictures that show most of what is behind the hole of one, the nearest first. */
  private List<Integer> others(int number) {
    List<Integer> others = new ArrayList<>();
    for (int direction : new int[] {-1, 1}) {
      List<Integer> side =
          direction < 0
              ? IntStream.iterate(number - 1, n -> n >= 0, n -> n - 1).boxed().toList()
              : IntStream.range(number + 1, crops.size()).boxed().toList();
      Map<Integer, Double> share = new HashMap<>();
      side.forEach(n -> share.put(n, shown(number, n)));
      side.stream()
          .filter(n -> share.get(n) > 0)
          // Those that show all of it first; of these the nearest, for light and things change.
          .sorted(
              Comparator.comparingDouble((Integer n) -> -share.get(n))
                  .thenComparingInt(n -> Math.abs(n - number)))
          .limit(EACH_WAY)
          .forEach(others::add);
    }
    return others;
  }

  /** Lays other moments on each picture's hole. */
  private void gather(Clip.Progress progress) throws IOException {
    Map<Integer, List<Integer>> asked = new HashMap<>();
    for (int number = 0; number < crops.size(); number++) {
      for (int other : others(number)) {
        asked.computeIfAbsent(other, n -> new ArrayList<>()).add(number);
      }
    }
    if (asked.isEmpty()) {
      return;
    }
    clip.each(
        (number, frame) -> {
          Crop whole = null;
          for (int of : asked.getOrDefault(number, List.of())) {
            whole = whole == null ? all(frame) : whole;
            lay(of, number, whole);
          }
          progress.at(0.5 * (number + 1) / crops.size());
        });
  }

  private static Crop all(Frame frame) {
    return Crop.of(frame, new Hole(0, 0, frame.width(), frame.height()));
  }

  private void lay(int of, int from, Crop picture) {
    Crop here = around(of);
    Way way = way(of, from);
    Nudge nudge =
        Nudge.between(
            here,
            beside,
            (x, y) -> {
              double placeX = way.x(ring.x() + x, ring.y() + y);
              double placeY = way.y(ring.x() + x, ring.y() + y);
              return shows(placeX, placeY) ? picture.sample(0, placeX, placeY) : Double.NaN;
            });
    if (nudge.off() > WORST_FIT) {
      return;
    }
    Gathered into = gathered.computeIfAbsent(of, n -> new Gathered(ring.width(), ring.height()));
    float weight = (float) (1 / (1 + nudge.off() * nudge.off()));
    for (int y = 0; y < ring.height(); y++) {
      for (int x = 0; x < ring.width(); x++) {
        double placeX = way.x(ring.x() + x + nudge.x(), ring.y() + y + nudge.y());
        double placeY = way.y(ring.x() + x + nudge.x(), ring.y() + y + nudge.y());
        if (shows(placeX, placeY)) {
          int at = y * ring.width() + x;
          into.weight[at] += weight;
          for (int plane = 0; plane < 3; plane++) {
            into.sum.planes[plane][at] += weight * picture.sample(plane, placeX, placeY);
          }
        }
      }
    }
  }

  /** A picture's hole and the ring around it. */
  private Crop around(int number) {
    return Crop.of(crops.get(number), ring.within(part));
  }

  /** Fills each picture and hands it on. */
  private void put(Clip.Taker taker, Clip.Progress progress) throws IOException {
    Membrane membrane = new Membrane(hole.within(part), part.width(), part.height());
    Filled[] before = new Filled[2];
    clip.each(
        (number, frame) -> {
          Crop real = Crop.of(frame, part);
          // From one picture as long as it reaches: what is sampled again and again gets soft.
          if (before[1] == null || !reaches(number, before[1].number)) {
            before[1] = before[0];
          }
          Crop filled = filled(number, real, before[1], membrane);
          filled.write(frame, hole.within(part), part.x(), part.y());
          before[0] = new Filled(number, filled);
          taker.take(number, frame);
          progress.at(0.5 + 0.5 * (number + 1) / crops.size());
        });
  }

  /** A picture that has been filled. */
  private record Filled(int number, Crop crop) {}

  /** Whether all that is behind the hole of a picture lies in what is kept of another. */
  private boolean reaches(int number, int from) {
    Way way = way(number, from);
    for (int x : new int[] {ring.x(), ring.x() + ring.width() - 1}) {
      for (int y : new int[] {ring.y(), ring.y() + ring.height() - 1}) {
        double placeX = way.x(x, y) - part.x();
        double placeY = way.y(x, y) - part.y();
        boolean atEdge = x == 0 || y == 0 || x == clip.width() - 1 || y == clip.height() - 1;
        if (!atEdge
            && (placeX < 0
                || placeY < 0
                || placeX > part.width() - 1
                || placeY > part.height() - 1)) {
          return false;
        }
      }
    }
    return true;
  }

  private Crop filled(int number, Crop real, Filled before, Membrane membrane) {
    Crop filled = real.copy();
    boolean[] unknown = new boolean[part.width() * part.height()];
    Hole inside = hole.within(part);
    for (int i = 0; i < unknown.length; i++) {
      unknown[i] = inside.isNear(i % part.width(), i / part.width(), 0);
    }
    boolean some = fromOthers(number, filled, unknown);
    if (before != null && anyIn(unknown)) {
      some |= fromBefore(way(number, before.number), filled, before.crop, unknown);
    }
    if (some) {
      membrane.meet(filled, real);
    }
    if (anyIn(unknown)) {
      SurroundingsFill.fill(filled, unknown, inside);
    }
    for (int i = 0; i < unknown.length; i++) {
      if (!inside.isNear(i % part.width(), i / part.width(), 0)) {
        for (int plane = 0; plane < 3; plane++) {
          filled.planes[plane][i] = real.planes[plane][i];
        }
      }
    }
    return filled;
  }

  private static boolean anyIn(boolean[] flags) {
    for (boolean flag : flags) {
      if (flag) {
        return true;
      }
    }
    return false;
  }

  /** Puts in what other moments show, with what they show around it. */
  private boolean fromOthers(int number, Crop filled, boolean[] unknown) {
    Gathered found = gathered.remove(number);
    if (found == null) {
      return false;
    }
    Hole at = ring.within(part);
    boolean some = false;
    for (int y = 0; y < ring.height(); y++) {
      for (int x = 0; x < ring.width(); x++) {
        int from = y * ring.width() + x;
        if (found.weight[from] > 0) {
          int to = (at.y() + y) * part.width() + at.x() + x;
          some |= unknown[to];
          unknown[to] = false;
          for (int plane = 0; plane < 3; plane++) {
            filled.planes[plane][to] = found.sum.planes[plane][from] / found.weight[from];
          }
        }
      }
    }
    return some;
  }

  /** Puts in what was there in a picture before, moved as the camera moved. */
  private boolean fromBefore(Way way, Crop filled, Crop before, boolean[] unknown) {
    Hole ringed = ring.within(part);
    Hole inside = hole.within(part);
    boolean some = false;
    for (int y = ringed.y(); y < ringed.y() + ringed.height(); y++) {
      for (int x = ringed.x(); x < ringed.x() + ringed.width(); x++) {
        int at = y * part.width() + x;
        boolean hidden = inside.isNear(x, y, 0);
        if (hidden && !unknown[at]) {
          continue;
        }
        double placeX = way.x(part.x() + x, part.y() + y) - part.x();
        double placeY = way.y(part.x() + x, part.y() + y) - part.y();
        if (before.has(placeX, placeY)) {
          some |= hidden;
          unknown[at] = false;
          for (int plane = 0; plane < 3; plane++) {
            filled.planes[plane][at] = before.sample(plane, placeX, placeY);
          }
        }
      }
    }
    return some;
  }
}
