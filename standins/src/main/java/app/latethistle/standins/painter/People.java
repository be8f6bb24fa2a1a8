package app.latethistle.standins.painter;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;

/** People of the fair. Measures are parts of a person's height. */
final class People {
  private static final int COAT = 0x2A2038;
  private static final int LIT = 0xE08A6A;
  private static final int BOOT = 0x17111E;
  private static final int SKIN = 0xB98572;
  private static final int HAIR = 0x3B2230;
  private static final int SCARF = 0xD0566A;

  private People() {}

  /** Somebody who walks away, seen from behind: a long coat, a scarf, arms that swing. */
  static void walker(Canvas c, double x, double foot, double s) {
    fromBehind(c, x, foot, s, Math.sin(c.seconds() * 4.4));
  }

  /** The same, standing. */
  static void standing(Canvas c, double x, double foot, double s) {
    fromBehind(c, x, foot, s, 0);
  }

  /**
   * Somebody seen from behind.
   *
   * @param step how far the right leg is behind in its step, -1 to 1
   */
  private static void fromBehind(Canvas c, double x, double foot, double s, double step) {
    AffineTransform place = new AffineTransform(s, 0, 0, s, x, foot);
    leg(c, place, -1, Math.max(0, step));
    leg(c, place, 1, Math.max(0, -step));
    arm(c, place, -1, -step);
    arm(c, place, 1, step);
    // The last light lies on the side that is towards the sun.
    c.fill(moved(place, coat(), 0.014), LIT, 0.75);
    c.fill(place.createTransformedShape(coat()), COAT, 1);
    line(c, place, 0, -0.50, 0, -0.24, 0.006, BOOT);
    head(c, place);
    scarf(c, place);
  }

  private static void leg(Canvas c, AffineTransform place, int side, double lifted) {
    double x = side * 0.055;
    line(c, place, x, -0.36, x * 1.1, -0.05 - 0.05 * lifted, 0.075, BOOT);
    double y = -0.06 - 0.05 * lifted;
    fill(c, place, new Ellipse2D.Double(x * 1.1 - 0.045, y, 0.09, 0.06), BOOT);
  }

  /** An arm from the shoulder over the elbow to the hand; {@code forward} is -1 to 1. */
  private static void arm(Canvas c, AffineTransform place, int side, double forward) {
    double elbowX = side * (0.175 - 0.012 * forward);
    double handX = side * (0.178 - 0.05 * forward);
    double handY = -0.405 - 0.045 * Math.max(0, forward);
    line(c, place, side * 0.125, -0.735, elbowX, -0.575, 0.072, COAT);
    line(c, place, elbowX, -0.575, handX, handY, 0.058, COAT);
    fill(c, place, new Ellipse2D.Double(handX - 0.024, handY - 0.012, 0.048, 0.056), SKIN);
  }

  private static Shape coat() {
    Path2D path = new Path2D.Double();
    path.moveTo(-0.045, -0.80);
    path.curveTo(-0.12, -0.79, -0.155, -0.77, -0.155, -0.71);
    path.curveTo(-0.15, -0.62, -0.115, -0.56, -0.11, -0.50);
    path.curveTo(-0.13, -0.40, -0.175, -0.30, -0.19, -0.20);
    path.curveTo(-0.09, -0.165, 0.09, -0.165, 0.19, -0.20);
    path.curveTo(0.175, -0.30, 0.13, -0.40, 0.11, -0.50);
    path.curveTo(0.115, -0.56, 0.15, -0.62, 0.155, -0.71);
    path.curveTo(0.155, -0.77, 0.12, -0.79, 0.045, -0.80);
    path.closePath();
    return path;
  }

  private static void head(Canvas c, AffineTransform place) {
    fill(c, place, new Ellipse2D.Double(-0.038, -0.85, 0.076, 0.09), SKIN);
    fill(c, place, new Ellipse2D.Double(-0.068, -0.985, 0.136, 0.165), HAIR);
    // A knot of hair at the back of the head.
    fill(c, place, new Ellipse2D.Double(-0.03, -0.905, 0.06, 0.05), 0x4E2E3C);
    fill(c, place, new Ellipse2D.Double(0.058, -0.915, 0.02, 0.038), SKIN);
    fill(c, place, new Ellipse2D.Double(-0.078, -0.915, 0.02, 0.038), SKIN);
  }

  private static void scarf(Canvas c, AffineTransform place) {
    double wave = 0.02 * Math.sin(c.seconds() * 3);
    Path2D tail = new Path2D.Double();
    tail.moveTo(0.03, -0.80);
    tail.curveTo(0.12, -0.84, 0.16, -0.74 + wave, 0.27, -0.77 + wave);
    tail.lineTo(0.28, -0.71 + wave);
    tail.curveTo(0.17, -0.68 + wave, 0.12, -0.77, 0.03, -0.75);
    tail.closePath();
    fill(c, place, tail, SCARF);
    fill(c, place, new Ellipse2D.Double(-0.075, -0.835, 0.15, 0.065), SCARF);
  }

  /** Somebody on a swing, seen from the side; {@code towards} is 1 to the right, -1 to the left. */
  static void rider(Canvas c, double x, double seat, double s, int towards, int coat) {
    AffineTransform place = new AffineTransform(s * towards, 0, 0, s, x, seat);
    line(c, place, -0.02, -0.03, 0.20, -0.01, 0.11, coat);
    line(c, place, 0.20, -0.01, 0.25, 0.22, 0.075, BOOT);
    line(c, place, 0.25, 0.22, 0.32, 0.23, 0.06, BOOT);
    line(c, place, 0, -0.06, -0.03, -0.32, 0.15, coat);
    line(c, place, -0.02, -0.31, 0.07, -0.42, 0.055, coat);
    line(c, place, 0.07, -0.42, 0.02, -0.52, 0.045, SKIN);
    fill(c, place, new Ellipse2D.Double(-0.085, -0.54, 0.125, 0.15), SKIN);
    Path2D hair = new Path2D.Double();
    hair.moveTo(0.03, -0.53);
    hair.curveTo(-0.02, -0.60, -0.13, -0.55, -0.11, -0.44);
    hair.curveTo(-0.16, -0.40, -0.20, -0.41, -0.24, -0.38);
    hair.curveTo(-0.16, -0.36, -0.07, -0.38, -0.06, -0.46);
    hair.curveTo(-0.04, -0.50, 0.00, -0.51, 0.03, -0.53);
    hair.closePath();
    fill(c, place, hair, HAIR);
  }

  /** Somebody behind a counter, seen from the waist up; {@code counter} is its height. */
  static void vendor(Canvas c, double x, double counter, double s) {
    AffineTransform place = new AffineTransform(s, 0, 0, s, x, counter);
    Path2D chest = new Path2D.Double();
    chest.moveTo(-0.20, 0);
    chest.curveTo(-0.21, -0.16, -0.17, -0.23, -0.05, -0.25);
    chest.lineTo(0.05, -0.25);
    chest.curveTo(0.17, -0.23, 0.21, -0.16, 0.20, 0);
    chest.closePath();
    fill(c, place, chest, 0x2F5A62);
    line(c, place, -0.17, -0.15, -0.22, -0.02, 0.075, 0x2F5A62);
    line(c, place, -0.22, -0.02, -0.08, -0.015, 0.06, 0x2F5A62);
    line(c, place, 0.17, -0.15, 0.22, -0.02, 0.075, 0x2F5A62);
    line(c, place, 0.22, -0.02, 0.10, -0.015, 0.06, 0x2F5A62);
    fill(c, place, new Ellipse2D.Double(-0.09, -0.04, 0.06, 0.045), SKIN);
    fill(c, place, new Ellipse2D.Double(0.05, -0.04, 0.06, 0.045), SKIN);
    fill(c, place, new Ellipse2D.Double(-0.035, -0.30, 0.07, 0.09), SKIN);
    fill(c, place, new Ellipse2D.Double(-0.07, -0.45, 0.14, 0.19), SKIN);
    Path2D cap = new Path2D.Double();
    cap.moveTo(-0.085, -0.375);
    cap.curveTo(-0.09, -0.50, 0.09, -0.50, 0.085, -0.375);
    cap.lineTo(0.11, -0.36);
    cap.curveTo(0.04, -0.385, -0.04, -0.385, -0.085, -0.375);
    cap.closePath();
    fill(c, place, cap, HAIR);
    for (double eye : new double[] {-0.028, 0.028}) {
      fill(c, place, new Ellipse2D.Double(eye - 0.008, -0.355, 0.016, 0.018), BOOT);
    }
    line(c, place, -0.02, -0.295, 0.02, -0.295, 0.008, HAIR);
  }

  private static Shape moved(AffineTransform place, Shape shape, double by) {
    return place.createTransformedShape(
        AffineTransform.getTranslateInstance(by, 0).createTransformedShape(shape));
  }

  private static void fill(Canvas c, AffineTransform place, Shape shape, int colour) {
    c.fill(place.createTransformedShape(shape), colour, 1);
  }

  private static void line(
      Canvas c,
      AffineTransform place,
      double x1,
      double y1,
      double x2,
      double y2,
      double width,
      int colour) {
    double[] ends = {x1, y1, x2, y2};
    place.transform(ends, 0, ends, 0, 2);
    c.line(ends[0], ends[1], ends[2], ends[3], width * place.getScaleY(), colour, 1);
  }
}
