package app.latethistle.core.grade;

import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.factory.DecompositionFactory_DDRM;
import org.ejml.interfaces.decomposition.EigenDecomposition_F64;
import org.ejml.simple.SimpleMatrix;

/** Published ways of bringing a picture's colours to another's, to be compared with. */
final class Rivals {
  private static final int CODES = 256;

  private Rivals() {}

  /** Each channel's histogram becomes the key's. */
  static ColourPicture histograms(ColourPicture key, ColourPicture shot) {
    int[][] become = new int[3][];
    for (int c = 0; c < 3; c++) {
      become[c] = become(shares(shot, c), shares(key, c));
    }
    int[] rgb = new int[shot.count()];
    for (int i = 0; i < rgb.length; i++) {
      int v = shot.at(i);
      rgb[i] =
          (become[0][v >> 16 & 0xff] << 16) | (become[1][v >> 8 & 0xff] << 8) | become[2][v & 0xff];
    }
    return new ColourPicture(shot.width(), shot.height(), rgb);
  }

  /** The share of pixels up to each code. */
  private static double[] shares(ColourPicture picture, int channel) {
    double[] shares = new double[CODES];
    for (int i = 0; i < picture.count(); i++) {
      shares[picture.at(i) >> (16 - 8 * channel) & 0xff] += 1.0 / picture.count();
    }
    for (int i = 1; i < CODES; i++) {
      shares[i] += shares[i - 1];
    }
    return shares;
  }

  private static int[] become(double[] from, double[] to) {
    int[] become = new int[CODES];
    int code = 0;
    for (int i = 0; i < CODES; i++) {
      while (code < CODES - 1 && to[code] < from[i] - 1e-9) {
        code++;
      }
      become[i] = code;
    }
    return become;
  }

  /** Means and deviations in CIE Lab become the key's: Reinhard et al., "Color transfer", 2001. */
  static ColourPicture meansAndDeviations(ColourPicture key, ColourPicture shot) {
    double[][] wanted = moments(key);
    double[][] is = moments(shot);
    int[] rgb = new int[shot.count()];
    for (int i = 0; i < rgb.length; i++) {
      double[] lab = lab(shot.at(i));
      for (int c = 0; c < 3; c++) {
        lab[c] = wanted[0][c] + (lab[c] - is[0][c]) * wanted[1][c] / Math.max(1e-6, is[1][c]);
      }
      rgb[i] = signal(lab).rgb();
    }
    return new ColourPicture(shot.width(), shot.height(), rgb);
  }

  private static double[][] moments(ColourPicture picture) {
    double[] sum = new double[3];
    double[] squares = new double[3];
    for (int i = 0; i < picture.count(); i++) {
      double[] lab = lab(picture.at(i));
      for (int c = 0; c < 3; c++) {
        sum[c] += lab[c] / picture.count();
        squares[c] += lab[c] * lab[c] / picture.count();
      }
    }
    double[] deviations = new double[3];
    for (int c = 0; c < 3; c++) {
      deviations[c] = Math.sqrt(Math.max(0, squares[c] - sum[c] * sum[c]));
    }
    return new double[][] {sum, deviations};
  }

  private static double[] lab(int rgb) {
    Lab lab = Lab.of(Signal.of(rgb));
    return new double[] {lab.lightness(), lab.a(), lab.b()};
  }

  private static Signal signal(double[] lab) {
    double y = (lab[0] + 16) / 116;
    double x = white(y + lab[1] / 500) * White.D65[0];
    double z = white(y - lab[2] / 200) * White.D65[2];
    double[] light = Matrix.FROM_XYZ.times(x, white(y), z);
    return new Signal(
        Transfer.toShow(light[0]), Transfer.toShow(light[1]), Transfer.toShow(light[2]));
  }

  private static double white(double f) {
    double cube = f * f * f;
    return cube > 216.0 / 24389 ? cube : (116 * f - 16) * 27 / 24389;
  }

  /**
   * The linear transport between both distributions: Pitie and Kokaram, "The linear
   * Monge-Kantorovitch linear colour mapping", 2007.
   */
  static ColourPicture transport(ColourPicture key, ColourPicture shot) {
    SimpleMatrix from = covariance(shot);
    SimpleMatrix root = root(from, 0.5);
    SimpleMatrix unroot = root(from, -0.5);
    SimpleMatrix t = unroot.mult(root(root.mult(covariance(key)).mult(root), 0.5)).mult(unroot);
    SimpleMatrix fromMean = mean(shot);
    SimpleMatrix toMean = mean(key);
    int[] rgb = new int[shot.count()];
    for (int i = 0; i < rgb.length; i++) {
      SimpleMatrix v = t.mult(vector(shot.at(i)).minus(fromMean)).plus(toMean);
      rgb[i] = new Signal(v.get(0), v.get(1), v.get(2)).rgb();
    }
    return new ColourPicture(shot.width(), shot.height(), rgb);
  }

  private static SimpleMatrix vector(int rgb) {
    Signal s = Signal.of(rgb);
    return new SimpleMatrix(3, 1, true, s.red(), s.green(), s.blue());
  }

  private static SimpleMatrix mean(ColourPicture picture) {
    SimpleMatrix mean = new SimpleMatrix(3, 1);
    for (int i = 0; i < picture.count(); i++) {
      mean = mean.plus(vector(picture.at(i)));
    }
    return mean.divide(picture.count());
  }

  private static SimpleMatrix covariance(ColourPicture picture) {
    SimpleMatrix mean = mean(picture);
    SimpleMatrix covariance = new SimpleMatrix(3, 3);
    for (int i = 0; i < picture.count(); i++) {
      SimpleMatrix v = vector(picture.at(i)).minus(mean);
      covariance = covariance.plus(v.mult(v.transpose()));
    }
    return covariance.divide(picture.count());
  }

  /** A power of a symmetric matrix; of a positive one, that is. */
  private static SimpleMatrix root(SimpleMatrix m, double power) {
    EigenDecomposition_F64<DMatrixRMaj> eigen = DecompositionFactory_DDRM.eig(3, true, true);
    eigen.decompose(m.copy().getDDRM());
    SimpleMatrix sum = new SimpleMatrix(3, 3);
    for (int i = 0; i < 3; i++) {
      SimpleMatrix v = SimpleMatrix.wrap(eigen.getEigenVector(i));
      double value = Math.max(1e-9, eigen.getEigenvalue(i).getReal());
      sum = sum.plus(v.mult(v.transpose()).scale(Math.pow(value, power)));
    }
    return sum;
  }
}
