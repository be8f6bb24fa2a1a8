package app.latethistle.core.measure;

import java.awt.geom.AffineTransform;
import java.util.Random;

/**
 * A world of soft spots without end, seen by a camera whose place is known exactly, so that what is
 * measured can be held against what was done.
 */
final class Scene {
  static final int WIDTH = 320;
  static final int HEIGHT = 180;

  private static final int WAVES = 12;

  private final double[] across = new double[WAVES];
  private final double[] down = new double[WAVES];
  private final double[] phase = new double[WAVES];

  Scene(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < WAVES; i++) {
      // Periods of 12 to 100 pixels, in every direction.
      double period = 12 * Math.pow(100 / 12.0, random.nextDouble());
      double direction = 2 * Math.PI * random.nextDouble();
      across[i] = 2 * Math.PI / period * Math.cos(direction);
      down[i] = 2 * Math.PI / period * Math.sin(direction);
      phase[i] = 2 * Math.PI * random.nextDouble();
    }
  }

  /**
   * The picture after the world's picture moved as a whole.
   *
   * @param moved by the JDK's own transforms: turned and zoomed around the middle, then shifted
   */
  byte[] seen(Travel moved) {
    AffineTransform back = new AffineTransform();
    back.translate(WIDTH / 2.0, HEIGHT / 2.0);
    back.translate(moved.right() * WIDTH, moved.down() * WIDTH);
    back.rotate(Math.toRadians(moved.turn()));
    back.scale(moved.zoom(), moved.zoom());
    double[] m = new double[6];
    try {
      back.createInverse().getMatrix(m);
    } catch (java.awt.geom.NoninvertibleTransformException e) {
      throw new IllegalArgumentException(e);
    }
    byte[] plane = new byte[WIDTH * HEIGHT];
    for (int y = 0; y < HEIGHT; y++) {
      for (int x = 0; x < WIDTH; x++) {
        double u = m[0] * (x + 0.5) + m[2] * (y + 0.5) + m[4];
        double v = m[1] * (x + 0.5) + m[3] * (y + 0.5) + m[5];
        double sum = 0;
        for (int i = 0; i < WAVES; i++) {
          sum += Math.cos(across[i] * u + down[i] * v + phase[i]);
        }
        plane[y * WIDTH + x] = (byte) Math.round(128 + 16 * Math.max(-7, Math.min(7, sum / 2)));
      }
    }
    return plane;
  }

  /** A picture of one grey. */
  static byte[] plain(int code) {
    byte[] plane = new byte[WIDTH * HEIGHT];
    java.util.Arrays.fill(plane, (byte) code);
    return plane;
  }
}
