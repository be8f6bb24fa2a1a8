package app.latethistle.core.picture;

import app.latethistle.core.measure.Light;

/**
 * More or less light of each colour, all over the picture: its signals R'G'B' are multiplied, which
 * for a display of a power is as much more light everywhere. In Y'CbCr after ITU-R BT.709 that is
 * one matrix.
 */
final class Relight implements TreatmentPainter {
  /** Shares of red, green and blue in luma, and what Cb and Cr are of their differences from it. */
  private static final double[] LUMA = {0.2126, 0.7152, 0.0722};

  private static final double CB = 1.8556;
  private static final double CR = 1.5748;

  /** Codes of chroma against those of luma: 224 for the range of 219. */
  private static final double CHROMA = 224 / 219.0;

  private static final int LEAST_CHROMA = 16;
  private static final int MOST_CHROMA = 240;
  private static final int GREY = 128;

  @Override
  public void draw(Frame from, Frame into, Setting setting) {
    double[][] matrix = matrix(setting);
    int width = from.width();
    byte[] data = from.data();
    byte[] made = into.data();
    int cb = from.offset(1);
    int cr = from.offset(2);
    for (int y = 0; y < from.height(); y += 2) {
      for (int x = 0; x < width; x += 2, cb++, cr++) {
        double blue = (data[cb] & 0xff) - GREY;
        double red = (data[cr] & 0xff) - GREY;
        double shift = (matrix[0][1] * blue + matrix[0][2] * red) / CHROMA + Frame.BLACK + 0.5;
        int at = y * width + x;
        int sum =
            luma(data, made, at, matrix[0][0], shift)
                + luma(data, made, at + 1, matrix[0][0], shift)
                + luma(data, made, at + width, matrix[0][0], shift)
                + luma(data, made, at + width + 1, matrix[0][0], shift);
        double mean = sum / 4.0;
        made[cb] = chroma(matrix[1], mean, blue, red);
        made[cr] = chroma(matrix[2], mean, blue, red);
      }
    }
  }

  /** Draws one sample, and answers how far above black it was. */
  private static int luma(byte[] from, byte[] into, int at, double factor, double shift) {
    int luma = (from[at] & 0xff) - Frame.BLACK;
    into[at] = (byte) held(factor * luma + shift, Frame.BLACK, Frame.WHITE);
    return luma;
  }

  private static byte chroma(double[] row, double luma, double blue, double red) {
    double value = row[0] * luma * CHROMA + row[1] * blue + row[2] * red + GREY + 0.5;
    return (byte) held(value, LEAST_CHROMA, MOST_CHROMA);
  }

  private static int held(double value, int least, int most) {
    return (int) Math.max(least, Math.min(most, value));
  }

  /** From Y', Cb and Cr to R', G' and B', each multiplied, and back. */
  private static double[][] matrix(Setting setting) {
    double[] factors = new double[3];
    for (int c = 0; c < 3; c++) {
      factors[c] = Light.factor(setting.value(c));
    }
    double[][] rgb = {
      {factors[0], 0, factors[0] * CR},
      {factors[1], -factors[1] * LUMA[2] * CB / LUMA[1], -factors[1] * LUMA[0] * CR / LUMA[1]},
      {factors[2], factors[2] * CB, 0}
    };
    double[][] matrix = new double[3][3];
    for (int i = 0; i < 3; i++) {
      for (int c = 0; c < 3; c++) {
        matrix[0][i] += LUMA[c] * rgb[c][i];
      }
      matrix[1][i] = (rgb[2][i] - matrix[0][i]) / CB;
      matrix[2][i] = (rgb[0][i] - matrix[0][i]) / CR;
    }
    return matrix;
  }
}
