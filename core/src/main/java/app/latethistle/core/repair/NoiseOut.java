package app.latethistle.core.repair;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.repair.CosineShrink.Plane;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * Noise taken out of pictures by four of them at a time, each plane by as much as was measured of
 * it: {@link CosineShrink}. What stands keeps its edges and grain that does not move; what moves is
 * cleaned less.
 */
final class NoiseOut implements Mending {
  private static final int PLANES = 3;

  /** Cosines under so many deviations of the noise go: Dabov et al. 2007, first step. */
  private static final double LEAST = 2.7;

  private static final int STEP = 4;

  /** From one place at which noise is measured to the next, in pictures. */
  private static final int MEASURED_EVERY = 24;

  private final double strength;

  /**
   * @param strength of what was measured, 1 for as much
   */
  NoiseOut(double strength) {
    this.strength = strength;
  }

  @Override
  public void mend(Clip clip, Clip.Taker taker, Clip.Progress progress) throws IOException {
    Run run = new Run(clip, taker, progress, LEAST * strength);
    run.measure();
    run.clean();
  }

  private static final class Run {
    private final Clip clip;
    private final Clip.Taker taker;
    private final Clip.Progress progress;
    private final double deviations;
    private final List<CosineShrink> shrinks;
    private final double[] noise = new double[PLANES];
    private final Deque<List<Plane>> window = new ArrayDeque<>();
    private final Frame made;
    private int count;
    private int given;

    Run(Clip clip, Clip.Taker taker, Clip.Progress progress, double deviations) {
      this.deviations = deviations;
      this.clip = clip;
      this.taker = taker;
      this.progress = progress;
      made = new Frame(clip.width(), clip.height());
      shrinks = CosineShrink.of(clip, STEP);
    }

    /** A picture on its way; the clip's own is only good until the next. */
    private static List<Plane> kept(Frame frame) {
      return Plane.of(new Frame(frame.width(), frame.height(), frame.data().clone()));
    }

    void measure() throws IOException {
      List<List<Double>> found = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
      clip.each(
          (number, frame) -> {
            count++;
            if (number % MEASURED_EVERY < CosineShrink.DEPTH) {
              window.add(kept(frame));
            }
            if (window.size() == CosineShrink.DEPTH) {
              for (int plane = 0; plane < PLANES; plane++) {
                found.get(plane).add(shrinks.get(plane).noise(planes(plane)));
              }
              window.clear();
            }
            progress.at(0);
          });
      window.clear();
      for (int plane = 0; plane < PLANES; plane++) {
        double[] sorted = found.get(plane).stream().mapToDouble(d -> d).sorted().toArray();
        noise[plane] = sorted.length == 0 ? 0 : sorted[sorted.length / 2];
      }
    }

    private Plane[] planes(int plane) {
      return window.stream().map(one -> one.get(plane)).toArray(Plane[]::new);
    }

    void clean() throws IOException {
      clip.each(
          (number, frame) -> {
            window.add(kept(frame));
            if (window.size() == CosineShrink.DEPTH) {
              for (int plane = 0; plane < PLANES; plane++) {
                if (noise[plane] > 0) {
                  float least = (float) (deviations * noise[plane]);
                  shrinks.get(plane).add(least, planes(plane));
                }
              }
              give();
            }
          });
      while (!window.isEmpty()) {
        give();
      }
    }

    private void give() throws IOException {
      window.remove().forEach(plane -> plane.write(made.data()));
      taker.take(given++, made);
      progress.at((double) given / count);
    }
  }
}
