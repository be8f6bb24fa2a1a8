package app.latethistle.core.subject;

import app.latethistle.core.grade.ColourPicture;
import java.util.Arrays;
import java.util.Random;

/**
 * How usual a colour is among some: a mixture of Gaussians, each pixel counted with the one it fits
 * best (Rother, Kolmogorov and Blake 2004, "GrabCut").
 */
final class Mixture {
  private static final int ROUNDS = 6;

  /** The variance that noise and 8 bits leave in any colour, in squared codes; from experience. */
  private static final double NOISE = 6;

  private final int parts;
  private final double[] share;
  private final double[][] mean;
  private final double[][] inverse;
  private final double[] scale;

  private Mixture(int parts) {
    this.parts = parts;
    share = new double[parts];
    mean = new double[parts][3];
    inverse = new double[parts][6];
    scale = new double[parts];
  }

  /**
   * The mixture of a picture's pixels.
   *
   * @param pixels counted row by row; one or more
   * @param parts how many Gaussians at most
   */
  static Mixture of(ColourPicture picture, int[] pixels, int parts) {
    int[] colours = new int[pixels.length];
    for (int i = 0; i < pixels.length; i++) {
      colours[i] = picture.at(pixels[i]);
    }
    Mixture mixture = new Mixture(Math.min(parts, colours.length));
    int[] belongs = mixture.begin(colours);
    for (int round = 0; round < ROUNDS; round++) {
      mixture.learn(colours, belongs);
      for (int i = 0; i < colours.length; i++) {
        belongs[i] = mixture.best(colours[i]);
      }
    }
    mixture.learn(colours, belongs);
    return mixture;
  }

  /** Means far apart (Arthur and Vassilvitskii 2007, "k-means++"), and who is nearest to which. */
  private int[] begin(int[] colours) {
    Random random = new Random(colours.length);
    double[] least = new double[colours.length];
    Arrays.fill(least, Double.MAX_VALUE);
    int[] nearest = new int[colours.length];
    int next = colours[random.nextInt(colours.length)];
    for (int part = 0; part < parts; part++) {
      double sum = 0;
      for (int i = 0; i < colours.length; i++) {
        double far = apart(colours[i], next);
        if (far < least[i]) {
          least[i] = far;
          nearest[i] = part;
        }
        sum += least[i];
      }
      double left = random.nextDouble() * sum;
      int i = 0;
      while (i < colours.length - 1 && left >= least[i]) {
        left -= least[i++];
      }
      next = colours[i];
    }
    return nearest;
  }

  private static double apart(int one, int other) {
    double sum = 0;
    for (int shift = 0; shift <= 16; shift += 8) {
      double d = (one >> shift & 0xff) - (other >> shift & 0xff);
      sum += d * d;
    }
    return sum;
  }

  private void learn(int[] colours, int[] belongs) {
    double[][] moments = new double[parts][10];
    for (int i = 0; i < colours.length; i++) {
      double r = colours[i] >> 16 & 0xff;
      double g = colours[i] >> 8 & 0xff;
      double b = colours[i] & 0xff;
      double[] m = moments[belongs[i]];
      m[0]++;
      m[1] += r;
      m[2] += g;
      m[3] += b;
      m[4] += r * r;
      m[5] += r * g;
      m[6] += r * b;
      m[7] += g * g;
      m[8] += g * b;
      m[9] += b * b;
    }
    for (int part = 0; part < parts; part++) {
      set(part, moments[part], colours.length);
    }
  }

  private void set(int part, double[] m, int all) {
    share[part] = m[0] / all;
    if (m[0] == 0) {
      return;
    }
    double r = m[1] / m[0];
    double g = m[2] / m[0];
    double b = m[3] / m[0];
    mean[part][0] = r;
    mean[part][1] = g;
    mean[part][2] = b;
    double rr = m[4] / m[0] - r * r + NOISE;
    double rg = m[5] / m[0] - r * g;
    double rb = m[6] / m[0] - r * b;
    double gg = m[7] / m[0] - g * g + NOISE;
    double gb = m[8] / m[0] - g * b;
    double bb = m[9] / m[0] - b * b + NOISE;
    double determinant =
        rr * (gg * bb - gb * gb) - rg * (rg * bb - gb * rb) + rb * (rg * gb - gg * rb);
    double[] n = inverse[part];
    n[0] = (gg * bb - gb * gb) / determinant;
    n[1] = (rb * gb - rg * bb) / determinant;
    n[2] = (rg * gb - rb * gg) / determinant;
    n[3] = (rr * bb - rb * rb) / determinant;
    n[4] = (rb * rg - rr * gb) / determinant;
    n[5] = (rr * gg - rg * rg) / determinant;
    scale[part] = share[part] / Math.sqrt(determinant);
  }

  private double density(int part, int colour) {
    if (share[part] == 0) {
      return 0;
    }
    double r = (colour >> 16 & 0xff) - mean[part][0];
    double g = (colour >> 8 & 0xff) - mean[part][1];
    double b = (colour & 0xff) - mean[part][2];
    double[] n = inverse[part];
    double far =
        n[0] * r * r
            + 2 * n[1] * r * g
            + 2 * n[2] * r * b
            + n[3] * g * g
            + 2 * n[4] * g * b
            + n[5] * b * b;
    return scale[part] * Math.exp(-far / 2);
  }

  private int best(int colour) {
    int best = 0;
    double most = -1;
    for (int part = 0; part < parts; part++) {
      double density = density(part, colour);
      if (density > most) {
        most = density;
        best = part;
      }
    }
    return best;
  }

  /** How usual a colour is, up to a factor that is the same for all mixtures; 0 or more. */
  double of(int colour) {
    double sum = 0;
    for (int part = 0; part < parts; part++) {
      sum += density(part, colour);
    }
    return sum;
  }
}
