package app.latethistle.standins.painter;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;

/** A carved horse at the gallop, facing right. Its measures are parts of its height at the back. */
final class CarouselHorse {
  private static final int DARK = 0x1B1424;
  private static final int GOLD = 0xE9C878;
  private static final int SADDLE = 0xD0566A;

  /** The legs: hip, knee and hoof of each, those of the far side first. */
  private static final double[][] LEGS = {
    {0.40, 0.14, 0.60, 0.50, 0.46, 0.80},
    {-0.46, 0.10, -0.58, 0.46, -0.86, 0.70},
    {0.48, 0.10, 0.86, 0.30, 0.76, 0.62},
    {-0.52, 0.06, -0.76, 0.40, -0.62, 0.80}
  };

  private final Canvas canvas;
  private final AffineTransform place;
  private final double x;
  private final double y;
  private final double s;

  private CarouselHorse(Canvas canvas, double x, double y, double s) {
    this.canvas = canvas;
    this.x = x;
    this.y = y;
    this.s = s;
    place = new AffineTransform(s, 0, 0, s, x, y);
  }

  /** Draws one on its pole, its back around a point. */
  static void draw(Canvas c, double x, double y, double s, int coat, int mane, double poleTop) {
    new CarouselHorse(c, x, y, s).draw(coat, mane, poleTop);
  }

  private void draw(int coat, int mane, double poleTop) {
    int far = mixed(coat, DARK);
    canvas.line(x, poleTop, x, y + s * 0.95, s * 0.06, GOLD, 1);
    legs(0, 2, far);
    fill(tail(), mane);
    legs(2, 4, coat);
    fill(body(), coat);
    fill(maneShape(), mane);
    fill(saddle(), SADDLE);
    stroke(-0.02, -0.20, 0.02, 0.27, 0.05, GOLD);
    stroke(1.02, -0.86, 0.98, -0.54, 0.03, GOLD);
    stroke(0.99, -0.62, 0.46, -0.34, 0.025, GOLD);
    dot(0.93, -0.80, 0.035, DARK);
    dot(1.16, -0.55, 0.02, DARK);
    canvas.line(x, poleTop, x, y - s * 0.32, s * 0.06, GOLD, 1);
  }

  private void legs(int from, int to, int colour) {
    for (int i = from; i < to; i++) {
      double[] leg = LEGS[i];
      stroke(leg[0], leg[1], leg[2], leg[3], 0.17, colour);
      stroke(leg[2], leg[3], leg[4], leg[5], 0.10, colour);
      fill(new Ellipse2D.Double(leg[4] - 0.08, leg[5] - 0.03, 0.17, 0.10), DARK);
    }
  }

  private static Shape body() {
    Path2D path = new Path2D.Double();
    path.moveTo(-0.74, -0.05);
    path.curveTo(-0.74, -0.36, -0.36, -0.36, -0.05, -0.24);
    path.curveTo(0.14, -0.18, 0.28, -0.30, 0.38, -0.52);
    path.curveTo(0.48, -0.76, 0.60, -0.92, 0.78, -0.98);
    path.lineTo(0.80, -1.14);
    path.lineTo(0.90, -0.98);
    path.curveTo(1.02, -0.92, 1.14, -0.74, 1.22, -0.60);
    path.curveTo(1.26, -0.50, 1.18, -0.44, 1.08, -0.47);
    path.curveTo(1.00, -0.50, 0.92, -0.56, 0.86, -0.60);
    path.curveTo(0.80, -0.46, 0.74, -0.26, 0.68, -0.06);
    path.curveTo(0.62, 0.16, 0.46, 0.26, 0.26, 0.27);
    path.curveTo(0.00, 0.30, -0.26, 0.24, -0.42, 0.18);
    path.curveTo(-0.62, 0.20, -0.74, 0.12, -0.74, -0.05);
    path.closePath();
    return path;
  }

  private static Shape maneShape() {
    Path2D path = new Path2D.Double();
    path.moveTo(0.92, -1.02);
    path.curveTo(0.70, -1.10, 0.50, -0.92, 0.40, -0.66);
    path.curveTo(0.34, -0.50, 0.26, -0.36, 0.12, -0.30);
    path.curveTo(0.30, -0.24, 0.34, -0.34, 0.42, -0.44);
    path.curveTo(0.46, -0.52, 0.50, -0.50, 0.54, -0.60);
    path.curveTo(0.58, -0.70, 0.62, -0.68, 0.66, -0.76);
    path.curveTo(0.70, -0.84, 0.78, -0.80, 0.92, -1.02);
    path.closePath();
    return path;
  }

  private static Shape tail() {
    Path2D path = new Path2D.Double();
    path.moveTo(-0.68, -0.20);
    path.curveTo(-0.96, -0.28, -1.10, -0.02, -1.02, 0.20);
    path.curveTo(-0.98, 0.34, -1.08, 0.44, -1.16, 0.50);
    path.curveTo(-0.92, 0.52, -0.84, 0.34, -0.88, 0.16);
    path.curveTo(-0.90, 0.04, -0.80, -0.02, -0.70, -0.02);
    path.closePath();
    return path;
  }

  private static Shape saddle() {
    Path2D path = new Path2D.Double();
    path.moveTo(-0.34, -0.30);
    path.curveTo(-0.30, -0.46, -0.20, -0.38, -0.12, -0.30);
    path.curveTo(-0.02, -0.24, 0.08, -0.24, 0.18, -0.36);
    path.curveTo(0.26, -0.34, 0.26, -0.20, 0.20, -0.02);
    path.curveTo(0.04, 0.06, -0.18, 0.04, -0.30, -0.06);
    path.closePath();
    return path;
  }

  private void fill(Shape shape, int colour) {
    canvas.fill(place.createTransformedShape(shape), colour, 1);
  }

  private void dot(double cx, double cy, double r, int colour) {
    canvas.circle(x + cx * s, y + cy * s, r * s, colour, 1);
  }

  private void stroke(double x1, double y1, double x2, double y2, double width, int colour) {
    canvas.line(x + x1 * s, y + y1 * s, x + x2 * s, y + y2 * s, width * s, colour, 1);
  }

  /** Two colours in equal parts, the first twice. */
  private static int mixed(int a, int b) {
    int mixed = 0;
    for (int shift = 0; shift <= 16; shift += 8) {
      mixed |= ((2 * ((a >> shift) & 255) + ((b >> shift) & 255)) / 3) << shift;
    }
    return mixed;
  }
}
