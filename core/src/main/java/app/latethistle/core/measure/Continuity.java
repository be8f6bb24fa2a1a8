package app.latethistle.core.measure;

import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Where a take does not run on: jumps, after which another picture stands there, and warps, in
 * which the picture bends or boils for a while.
 *
 * @param jumps the first frame after each
 * @param warps their spans
 */
record Continuity(List<Integer> jumps, List<FrameRange> warps) {
  private static final int NEAR = 8;

  /** A jump moves the picture this many times as far as its neighbours, and this far in widths. */
  private static final double TIMES = 4;

  private static final double LEAST_JUMP = 0.004;

  /** A break leaves a difference this many times that of its neighbours, and so many codes. */
  private static final double LEAST_RESIDUAL = 4;

  /**
   * Judges the steps between frames.
   *
   * @param thumbnails of all frames, about 80 pixels wide, to tell a flash from a jump
   * @param repeats frames that repeat the one before; steps are judged between those that do not
   */
  static Continuity of(
      List<CameraTrack.Step> steps,
      boolean[] repeats,
      List<FrameRange> flicker,
      List<FrameRange> black,
      List<byte[]> thumbnails) {
    List<Integer> frames = new ArrayList<>();
    for (int i = 1; i < repeats.length; i++) {
      if (!repeats[i]) {
        frames.add(i);
      }
    }
    double[] moved = new double[frames.size()];
    double[] residual = new double[frames.size()];
    for (int k = 0; k < moved.length; k++) {
      CameraTrack.Step step = steps.get(frames.get(k) - 1);
      moved[k] = step.travel().greatest();
      residual[k] = step.residual();
    }
    List<Integer> jumps = new ArrayList<>();
    boolean[] bent = new boolean[moved.length];
    for (int k = 0; k < moved.length; k++) {
      int frame = frames.get(k);
      boolean dark = edgeOf(black, frame);
      boolean leaps = moved[k] > TIMES * near(moved, k) + LEAST_JUMP;
      boolean differs = residual[k] > TIMES * near(residual, k) + LEAST_RESIDUAL;
      boolean lost = !steps.get(frame - 1).sure() && residual[k] > 2 * LEAST_RESIDUAL;
      boolean flashes = PictureMeter.inside(flicker, frame) || isFlash(thumbnails, frame);
      bent[k] = !dark && (leaps || ((differs || lost) && !flashes));
    }
    List<FrameRange> warps = new ArrayList<>();
    int from = 0;
    for (int k = 0; k <= moved.length; k++) {
      boolean on = k < moved.length && bent[k];
      if (on && (k == 0 || !bent[k - 1])) {
        from = k;
      }
      if (!on && k > 0 && bent[k - 1]) {
        if (k - from <= 1) {
          jumps.add(frames.get(from));
        } else {
          warps.add(new FrameRange(frames.get(from), frames.get(k - 1) + 1));
        }
      }
    }
    return new Continuity(jumps, warps);
  }

  /** Whether the picture comes back to what it was, or had just left it: lightning, a lamp. */
  private static boolean isFlash(List<byte[]> thumbnails, int frame) {
    double change = difference(thumbnails, frame - 1, frame);
    for (int k : new int[] {1, 2, 4, 7, 10}) {
      boolean comesBack = difference(thumbnails, frame - 1, frame + k) < change / 2;
      boolean cameBack = difference(thumbnails, frame - 1 - k, frame) < change / 2;
      if (comesBack || cameBack) {
        return true;
      }
    }
    return false;
  }

  private static double difference(List<byte[]> thumbnails, int a, int b) {
    if (a < 0 || b >= thumbnails.size()) {
      return Double.MAX_VALUE;
    }
    byte[] x = thumbnails.get(a);
    byte[] y = thumbnails.get(b);
    double sum = 0;
    for (int i = 0; i < x.length; i++) {
      sum += Math.abs((x[i] & 0xff) - (y[i] & 0xff));
    }
    return sum / x.length;
  }

  private static boolean edgeOf(List<FrameRange> black, int frame) {
    return black.stream()
        .anyMatch(s -> Math.abs(s.start() - frame) <= 1 || Math.abs(s.end() - frame) <= 1);
  }

  /** The median of the neighbours. */
  private static double near(double[] values, int at) {
    int from = Math.max(0, at - NEAR);
    int to = Math.min(values.length, at + NEAR + 1);
    double[] others = new double[to - from - 1];
    int n = 0;
    for (int i = from; i < to; i++) {
      if (i != at) {
        others[n++] = values[i];
      }
    }
    Arrays.sort(others);
    return others.length == 0 ? 0 : others[others.length / 2];
  }

  /** The camera's travel, with jumps left out. */
  Travel travel(List<CameraTrack.Step> steps) {
    Travel travel = Travel.NONE;
    for (int i = 0; i < steps.size(); i++) {
      if (!jumps.contains(i + 1)) {
        travel = travel.then(steps.get(i).travel());
      }
    }
    return travel;
  }
}
