package app.latethistle.core.measure;

import java.util.Arrays;

/**
 * Finds how a picture has moved against a reference: the shift, zoom and turn, and a change of
 * brightness, that bring the two together best. What moves by itself in the picture weighs little.
 *
 * <p>Inverse compositional alignment (Baker and Matthews, "Lucas-Kanade 20 years on", 2004) of the
 * reference's strongest-edged points, coarse to fine over three sizes, with Tukey's biweight whose
 * scale is set from the median residual. Formulas from memory.
 */
final class PictureAlignment {
  private static final int LEVELS = 3;
  private static final int MOST_POINTS = 2500;
  private static final int STEPS = 14;
  private static final float WEAKEST_EDGE = 1.2f;

  /** Result: the movement, the share of points that agree, and their mean residual in codes. */
  record Fit(Travel travel, double agreeing, double residual, double overlap) {}

  private final Gray[] pyramid;
  private final Level[] levels = new Level[LEVELS];

  /** A size of the reference with the points that are compared. */
  private static final class Level {
    final int width;
    final int height;
    final int points;
    final float[] x;
    final float[] y;
    final float[] value;
    final float[] gx;
    final float[] gy;

    Level(Gray g) {
      width = g.width;
      height = g.height;
      float[] strength = new float[width * height];
      for (int py = 2; py < height - 2; py++) {
        for (int px = 2; px < width - 2; px++) {
          int i = py * width + px;
          strength[i] =
              Math.max(
                  Math.abs(g.data[i + 1] - g.data[i - 1]),
                  Math.abs(g.data[i + width] - g.data[i - width]));
        }
      }
      float least = threshold(strength);
      int n = 0;
      for (float s : strength) {
        n += s > least ? 1 : 0;
      }
      int stride = Math.max(1, n / MOST_POINTS);
      int size = n / stride + 1;
      x = new float[size];
      y = new float[size];
      value = new float[size];
      gx = new float[size];
      gy = new float[size];
      int seen = 0;
      int kept = 0;
      for (int i = 0; i < strength.length; i++) {
        if (strength[i] > least && seen++ % stride == 0) {
          // Positions from the middle, in widths, keep the equations well conditioned.
          x[kept] = (i % width - (width - 1) / 2f) / width;
          y[kept] = (i / width - (height - 1) / 2f) / width;
          value[kept] = g.data[i];
          gx[kept] = (g.data[i + 1] - g.data[i - 1]) * 0.5f * width;
          gy[kept] = (g.data[i + width] - g.data[i - width]) * 0.5f * width;
          kept++;
        }
      }
      points = kept;
    }

    /** Leaves at most about four times the points that are kept, the strongest. */
    private static float threshold(float[] strength) {
      int[] counts = new int[256];
      for (float s : strength) {
        counts[Math.min(255, (int) s)]++;
      }
      int sum = 0;
      for (int v = 255; v >= 1; v--) {
        sum += counts[v];
        if (sum > 4 * MOST_POINTS) {
          return v;
        }
      }
      return WEAKEST_EDGE;
    }
  }

  /** A reference; its sizes are prepared when they are first compared. */
  PictureAlignment(Gray[] pyramid) {
    this.pyramid = pyramid;
  }

  private Level level(int size) {
    if (levels[size] == null) {
      levels[size] = new Level(pyramid[size]);
    }
    return levels[size];
  }

  /** The sizes that are compared, largest first, of a picture of about 320 pixels. */
  static Gray[] pyramid(Gray picture) {
    Gray[] sizes = new Gray[LEVELS];
    sizes[0] = picture.smooth();
    for (int i = 1; i < LEVELS; i++) {
      sizes[i] = sizes[i - 1].half();
    }
    return sizes;
  }

  /** Whether there is anything in the reference to hold on to. */
  boolean hasDetail() {
    return level(0).points >= 60;
  }

  /**
   * Aligns a picture.
   *
   * @param from where to begin looking
   */
  Fit fit(Gray[] picture, Travel from) {
    double[] p = parameters(from);
    Fit fit = null;
    for (int level = LEVELS - 1; level >= 0; level--) {
      fit = refine(level(level), picture[level], p);
    }
    return fit;
  }

  /** How well a picture agrees with the reference if it moved so; nothing is searched. */
  Fit judge(Gray[] picture, Travel travel) {
    Level level = level(0);
    float[] residual = new float[level.points];
    double[] p = parameters(travel);
    int inside = Math.max(1, residuals(level, picture[0], p, residual));
    return quality(p, residual, inside, inside / (double) Math.max(1, level.points));
  }

  /** p: zoom-cosine, zoom-sine, shift right, shift down, change of brightness. */
  private static double[] parameters(Travel t) {
    double angle = Math.toRadians(t.turn());
    return new double[] {
      t.zoom() * Math.cos(angle), t.zoom() * Math.sin(angle), t.right(), t.down(), 0
    };
  }

  private static Travel travel(double[] p) {
    return new Travel(p[2], p[3], Math.hypot(p[0], p[1]), Math.toDegrees(Math.atan2(p[1], p[0])));
  }

  private static Fit refine(Level level, Gray picture, double[] p) {
    float[] residual = new float[level.points];
    Fit fit = new Fit(travel(p), 0, 255, 0);
    for (int step = 0; step < STEPS; step++) {
      int inside = residuals(level, picture, p, residual);
      double overlap = level.points == 0 ? 0 : inside / (double) level.points;
      if (inside < 40) {
        return new Fit(travel(p), 0, 255, overlap);
      }
      double scale = Math.max(0.8, 1.4826 * medianSize(residual, inside));
      double[] change = solve(level, residual, 4.685 * scale);
      fit = quality(p, residual, inside, overlap);
      if (change.length == 0) {
        return fit;
      }
      compose(p, change);
      double moved =
          Math.abs(change[2]) + Math.abs(change[3]) + Math.abs(change[0]) + Math.abs(change[1]);
      if (moved * level.width < 0.004) {
        break;
      }
    }
    int inside = residuals(level, picture, p, residual);
    return quality(p, residual, Math.max(1, inside), inside / (double) Math.max(1, level.points));
  }

  private static Fit quality(double[] p, float[] residual, int inside, double overlap) {
    double sum = 0;
    int agreeing = 0;
    for (float r : residual) {
      if (!Float.isNaN(r)) {
        sum += Math.abs(r);
        agreeing += Math.abs(r) < 6 ? 1 : 0;
      }
    }
    return new Fit(travel(p), agreeing / (double) inside, sum / inside, overlap);
  }

  /** Fills in picture minus reference at each point, NaN outside; returns how many are inside. */
  private static int residuals(Level level, Gray g, double[] p, float[] residual) {
    float a = (float) p[0];
    float b = (float) p[1];
    float w = level.width;
    float tx = (float) p[2] * w + (level.width - 1) / 2f;
    float ty = (float) p[3] * w + (level.height - 1) / 2f;
    float bias = (float) p[4];
    int inside = 0;
    for (int i = 0; i < level.points; i++) {
      float x = (a * level.x[i] - b * level.y[i]) * w + tx;
      float y = (b * level.x[i] + a * level.y[i]) * w + ty;
      if (x < 1 || y < 1 || x >= g.width - 2 || y >= g.height - 2) {
        residual[i] = Float.NaN;
        continue;
      }
      int ix = (int) x;
      int iy = (int) y;
      float fx = x - ix;
      float fy = y - iy;
      int at = iy * g.width + ix;
      float top = g.data[at] + fx * (g.data[at + 1] - g.data[at]);
      int below = at + g.width;
      float bottom = g.data[below] + fx * (g.data[below + 1] - g.data[below]);
      residual[i] = top + fy * (bottom - top) - level.value[i] - bias;
      inside++;
    }
    return inside;
  }

  private static double medianSize(float[] residual, int inside) {
    int[] counts = new int[1024];
    for (float r : residual) {
      if (!Float.isNaN(r)) {
        counts[Math.min(1023, (int) (Math.abs(r) * 4))]++;
      }
    }
    int sum = 0;
    int i = 0;
    while (i < 1023 && sum + counts[i] < inside / 2) {
      sum += counts[i++];
    }
    return (i + 0.5) / 4;
  }

  /**
   * The weighted least-squares change, or nothing if it has no solution. Most of a take's measuring
   * is spent here: the sums are kept apart so that they stay in registers.
   */
  private static double[] solve(Level level, float[] residual, double reach) {
    double m00 = 0;
    double m01 = 0;
    double m02 = 0;
    double m03 = 0;
    double m04 = 0;
    double m11 = 0;
    double m12 = 0;
    double m13 = 0;
    double m14 = 0;
    double m22 = 0;
    double m23 = 0;
    double m24 = 0;
    double m33 = 0;
    double m34 = 0;
    double m44 = 0;
    double r0 = 0;
    double r1 = 0;
    double r2 = 0;
    double r3 = 0;
    double r4 = 0;
    float[] xs = level.x;
    float[] ys = level.y;
    float[] gxs = level.gx;
    float[] gys = level.gy;
    for (int i = 0; i < level.points; i++) {
      float r = residual[i];
      if (!(Math.abs(r) < reach)) {
        continue;
      }
      double u = r / reach;
      double weight = (1 - u * u) * (1 - u * u);
      double gx = gxs[i];
      double gy = gys[i];
      double zoom = gx * xs[i] + gy * ys[i];
      double turn = gy * xs[i] - gx * ys[i];
      double w0 = weight * zoom;
      m00 += w0 * zoom;
      m01 += w0 * turn;
      m02 += w0 * gx;
      m03 += w0 * gy;
      m04 += w0;
      r0 += w0 * r;
      double w1 = weight * turn;
      m11 += w1 * turn;
      m12 += w1 * gx;
      m13 += w1 * gy;
      m14 += w1;
      r1 += w1 * r;
      double w2 = weight * gx;
      m22 += w2 * gx;
      m23 += w2 * gy;
      m24 += w2;
      r2 += w2 * r;
      double w3 = weight * gy;
      m33 += w3 * gy;
      m34 += w3;
      r3 += w3 * r;
      m44 += weight;
      r4 += weight * r;
    }
    double[][] m = {
      {m00, m01, m02, m03, m04, r0},
      {m01, m11, m12, m13, m14, r1},
      {m02, m12, m22, m23, m24, r2},
      {m03, m13, m23, m33, m34, r3},
      {m04, m14, m24, m34, m44, r4}
    };
    for (int j = 0; j < m.length; j++) {
      m[j][j] += 1e-9 + 1e-6 * m[j][j];
    }
    return eliminate(m);
  }

  private static double[] eliminate(double[][] m) {
    int n = m.length;
    for (int i = 0; i < n; i++) {
      int pivot = i;
      for (int j = i + 1; j < n; j++) {
        if (Math.abs(m[j][i]) > Math.abs(m[pivot][i])) {
          pivot = j;
        }
      }
      double[] row = m[pivot];
      m[pivot] = m[i];
      m[i] = row;
      if (Math.abs(m[i][i]) < 1e-12) {
        return new double[0];
      }
      for (int j = i + 1; j < n; j++) {
        double f = m[j][i] / m[i][i];
        for (int k = i; k <= n; k++) {
          m[j][k] -= f * m[i][k];
        }
      }
    }
    double[] solved = new double[n];
    for (int i = n - 1; i >= 0; i--) {
      double sum = m[i][n];
      for (int k = i + 1; k < n; k++) {
        sum -= m[i][k] * solved[k];
      }
      solved[i] = sum / m[i][i];
    }
    return Arrays.stream(solved).allMatch(Double::isFinite) ? solved : new double[0];
  }

  /** Warps by the inverse of the change, then by what was. */
  private static void compose(double[] p, double[] change) {
    double c = 1 + change[0];
    double s = change[1];
    double norm = c * c + s * s;
    double ia = c / norm;
    double ib = -s / norm;
    double itx = -(ia * change[2] - ib * change[3]);
    double ity = -(ib * change[2] + ia * change[3]);
    double a = p[0] * ia - p[1] * ib;
    double b = p[1] * ia + p[0] * ib;
    p[2] += p[0] * itx - p[1] * ity;
    p[3] += p[1] * itx + p[0] * ity;
    p[0] = a;
    p[1] = b;
    p[4] += change[4];
  }
}
