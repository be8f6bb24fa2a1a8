package app.latethistle.standins.painter;

import java.awt.Color;
import java.awt.Font;
import java.awt.GradientPaint;
import java.awt.RadialGradientPaint;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;
import java.util.SplittableRandom;

/** The things that stand in the valley. Each is drawn around the point given, at the layer set. */
final class Things {
  private static final int DARK = 0x0B0E1A;
  private static final int FLAME = 0xFFE3A3;
  private static final int WARM = 0xFFA64D;

  private Things() {}

  /** A small flicker around 1 that no two lights share. */
  static double flicker(Canvas c, double phase) {
    double t = c.seconds();
    return 1 + 0.06 * Math.sin(t * 11 + phase * 3) + 0.05 * Math.sin(t * 7.3 + phase * 5);
  }

  /** The mail balloon, lit from inside; {@code s} is the radius of its envelope. */
  static void balloon(Canvas c, double x, double y, double s) {
    double burn = flicker(c, x * 0.01) * (0.92 + 0.08 * Math.sin(c.seconds() * 2.1));
    c.glow(x, y + s * 0.3, s * 4.2, 0xFF8A3A, 0.30 * burn);
    Path2D skin = envelope(x, y, s);
    c.g()
        .setPaint(
            new RadialGradientPaint(
                (float) x,
                (float) (y + s * 0.75),
                (float) (s * 2.1),
                new float[] {0, 0.35f, 0.75f, 1},
                new Color[] {
                  Canvas.color(0xFFD08A, 1),
                  Canvas.color(0xF08A3C, 1),
                  Canvas.color(0xA84A2A, 1),
                  Canvas.color(0x4E2436, 1)
                }));
    c.g().fill(skin);
    for (double k : new double[] {-0.72, -0.4, 0, 0.4, 0.72}) {
      Path2D seam = new Path2D.Double();
      seam.moveTo(x, y - s);
      seam.curveTo(
          x + k * s * 1.5,
          y - s * 0.6,
          x + k * s * 1.25,
          y + s * 0.55,
          x + k * s * 0.36,
          y + s * 1.22);
      c.stroke(seam, Math.max(0.6, s * 0.014), 0x5A2A2A, 0.55);
    }
    Path2D band = new Path2D.Double();
    band.moveTo(x - s * 0.99, y + s * 0.04);
    band.curveTo(x - s * 0.4, y + s * 0.26, x + s * 0.4, y + s * 0.26, x + s * 0.99, y + s * 0.04);
    c.stroke(band, s * 0.07, 0x6E3044, 0.75);
    double basket = y + s * 1.62;
    for (double k : new double[] {-1, -0.35, 0.35, 1}) {
      c.line(
          x + k * s * 0.34,
          y + s * 1.2,
          x + k * s * 0.2,
          basket,
          Math.max(0.5, s * 0.012),
          0x2A1A18,
          0.9);
    }
    c.glow(x, y + s * 1.28, s * 0.5, FLAME, 0.9 * burn);
    c.fill(
        new Ellipse2D.Double(x - s * 0.05, y + s * 1.12, s * 0.1, s * 0.3 * burn), 0xFFF6DC, 0.95);
    c.shade(
        new RoundRectangle2D.Double(x - s * 0.22, basket, s * 0.44, s * 0.3, s * 0.08, s * 0.08),
        0x6A4226,
        0x2C1A14);
    c.rect(x - s * 0.24, basket - s * 0.02, s * 0.48, s * 0.06, 0x8A5A34, 1);
    for (double k : new double[] {-0.3, 0.28}) {
      c.fill(
          new Ellipse2D.Double(x + k * s - s * 0.09, basket + s * 0.08, s * 0.18, s * 0.24),
          0x4A3426,
          1);
    }
  }

  private static Path2D envelope(double x, double y, double s) {
    Path2D skin = new Path2D.Double();
    skin.moveTo(x, y - s);
    skin.curveTo(x + s * 1.32, y - s, x + s * 1.22, y + s * 0.45, x + s * 0.36, y + s * 1.22);
    skin.lineTo(x - s * 0.36, y + s * 1.22);
    skin.curveTo(x - s * 1.22, y + s * 0.45, x - s * 1.32, y - s, x, y - s);
    skin.closePath();
    return skin;
  }

  /** A lantern; {@code lit} is how bright, 0 to 1. */
  static void lantern(Canvas c, double x, double y, double s, double lit) {
    double burn = lit * flicker(c, x * 0.02 + y * 0.03);
    if (lit > 0) {
      c.glow(x, y, s * 5, WARM, Math.min(1, 0.5 * burn));
    }
    c.fill(
        new RoundRectangle2D.Double(x - s * 0.5, y - s * 0.62, s, s * 1.24, s * 0.2, s * 0.2),
        0x221A1C,
        1);
    c.g()
        .setPaint(
            new RadialGradientPaint(
                (float) x,
                (float) (y + s * 0.15),
                (float) (s * 0.8),
                new float[] {0, 1},
                new Color[] {
                  Canvas.color(0xFFE9B8, Math.min(1, 0.15 + 0.85 * burn)),
                  Canvas.color(0xC4641E, Math.min(1, 0.1 + 0.8 * burn))
                }));
    c.g()
        .fill(
            new RoundRectangle2D.Double(
                x - s * 0.42, y - s * 0.52, s * 0.84, s * 1.04, s * 0.14, s * 0.14));
    if (lit > 0.05) {
      Path2D flame = new Path2D.Double();
      double lean = 0.04 * s * Math.sin(c.seconds() * 8 + x);
      flame.moveTo(x, y + s * 0.4);
      flame.curveTo(x - s * 0.24, y + s * 0.3, x - s * 0.12, y, x + lean, y - s * 0.34 * burn);
      flame.curveTo(x + s * 0.12, y, x + s * 0.24, y + s * 0.3, x, y + s * 0.4);
      c.fill(flame, 0xFFFBEA, Math.min(1, burn));
    }
    c.fill(
        Canvas.polygon(
            x - s * 0.62,
            y - s * 0.56,
            x - s * 0.3,
            y - s * 0.95,
            x + s * 0.3,
            y - s * 0.95,
            x + s * 0.62,
            y - s * 0.56),
        DARK,
        1);
    c.rect(x - s * 0.62, y + s * 0.56, s * 1.24, s * 0.2, DARK, 1);
    for (double k : new double[] {-0.46, 0, 0.46}) {
      c.line(x + k * s, y - s * 0.56, x + k * s, y + s * 0.58, s * 0.05, 0x1A1216, 1);
    }
    c.stroke(new Ellipse2D.Double(x - s * 0.2, y - s * 1.3, s * 0.4, s * 0.42), s * 0.06, DARK, 1);
  }

  /** The sunken church: its steeple and the ridge of its roof. */
  static void steeple(Canvas c, double x, double water, double s) {
    int stone = 0x0E1526;
    c.rect(x - s * 0.17, water - s * 0.9, s * 0.34, s * 0.95, stone, 1);
    c.fill(
        Canvas.polygon(
            x - s * 0.22, water - s * 0.88, x, water - s * 1.7, x + s * 0.22, water - s * 0.88),
        0x0B1120,
        1);
    c.line(x, water - s * 1.68, x, water - s * 1.9, s * 0.02, stone, 1);
    c.line(x - s * 0.06, water - s * 1.82, x + s * 0.06, water - s * 1.82, s * 0.02, stone, 1);
    c.fill(new Ellipse2D.Double(x - s * 0.07, water - s * 0.72, s * 0.14, s * 0.2), 0x2A3A5C, 0.9);
    c.fill(
        Canvas.polygon(
            x + s * 0.17,
            water - s * 0.34,
            x + s * 0.95,
            water - s * 0.34,
            x + s * 1.1,
            water,
            x + s * 0.17,
            water),
        stone,
        1);
  }

  /** A roof that stands out of the water. */
  static void roof(Canvas c, double x, double water, double s) {
    c.fill(
        Canvas.polygon(
            x - s,
            water,
            x - s * 0.62,
            water - s * 0.5,
            x + s * 0.62,
            water - s * 0.5,
            x + s,
            water),
        0x101829,
        1);
    c.rect(x + s * 0.2, water - s * 0.72, s * 0.16, s * 0.34, 0x0C1322, 1);
    c.line(x - s * 0.62, water - s * 0.5, x + s * 0.62, water - s * 0.5, s * 0.04, 0x8FA6CC, 0.35);
  }

  /** A house on stilts with lit windows and snow on its roof. */
  static void house(Canvas c, double x, double water, double s, double lit) {
    for (double k : new double[] {-0.7, -0.25, 0.25, 0.7}) {
      c.line(x + k * s, water - s * 0.6, x + k * s, water + s * 0.06, s * 0.06, 0x0A0D18, 1);
    }
    c.rect(x - s * 0.85, water - s * 1.35, s * 1.7, s * 0.8, 0x171A28, 1);
    c.rect(x - s, water - s * 0.6, s * 2, s * 0.08, 0x0E111C, 1);
    c.shade(
        Canvas.polygon(
            x - s * 1.05,
            water - s * 1.3,
            x - s * 0.5,
            water - s * 1.9,
            x + s * 0.5,
            water - s * 1.9,
            x + s * 1.05,
            water - s * 1.3),
        0xC3CFE4,
        0x7F90B4);
    c.rect(x + s * 0.3, water - s * 2.15, s * 0.16, s * 0.4, 0x141827, 1);
    for (double k : new double[] {-0.5, 0.12}) {
      double wx = x + k * s;
      c.glow(wx + s * 0.14, water - s * 0.95, s * 0.9, WARM, 0.5 * lit * flicker(c, wx));
      c.rect(wx, water - s * 1.12, s * 0.3, s * 0.34, 0xFFC067, 0.35 + 0.65 * lit);
      c.line(
          wx + s * 0.15, water - s * 1.12, wx + s * 0.15, water - s * 0.78, s * 0.03, 0x3A2418, 1);
      c.line(wx, water - s * 0.95, wx + s * 0.3, water - s * 0.95, s * 0.03, 0x3A2418, 1);
    }
  }

  /** A sealed letter, turned by an angle in radians. */
  static void letter(Canvas c, double x, double y, double s, double angle) {
    AffineTransform before = c.g().getTransform();
    c.g().rotate(angle, x, y);
    c.fill(
        new Rectangle2D.Double(x - s + s * 0.03, y - s * 0.62 + s * 0.05, 2 * s, s * 1.26),
        0x05060C,
        0.4);
    c.shade(new Rectangle2D.Double(x - s, y - s * 0.64, 2 * s, s * 1.28), 0xE9DCC0, 0xC9B48E);
    c.shade(
        Canvas.polygon(x - s, y - s * 0.64, x, y + s * 0.16, x + s, y - s * 0.64),
        0xF1E6CE,
        0xD8C5A0);
    c.stroke(
        Canvas.polygon(x - s, y - s * 0.64, x, y + s * 0.16, x + s, y - s * 0.64),
        s * 0.012,
        0x8A7656,
        0.7);
    c.circle(x, y + s * 0.1, s * 0.2, 0x7E1F22, 1);
    c.circle(x - s * 0.02, y + s * 0.08, s * 0.15, 0xA83230, 1);
    thistle(c, x - s * 0.02, y + s * 0.08, s * 0.1, 0x6E191C);
    c.g().setTransform(before);
  }

  /** The mark of the post: a thistle head. */
  static void thistle(Canvas c, double x, double y, double s, int rgb) {
    c.fill(new Ellipse2D.Double(x - s * 0.45, y, s * 0.9, s * 0.75), rgb, 1);
    for (int k = -2; k <= 2; k++) {
      c.line(x + k * s * 0.12, y + s * 0.15, x + k * s * 0.3, y - s * 0.75, s * 0.13, rgb, 1);
    }
    c.line(x, y + s * 0.7, x, y + s * 1.3, s * 0.12, rgb, 1);
  }

  /** A candle with its light. */
  static void candle(Canvas c, double x, double foot, double s) {
    double burn = flicker(c, x);
    c.glow(x, foot - s * 1.35, s * 5.5, WARM, 0.55 * burn);
    c.shade(
        new RoundRectangle2D.Double(x - s * 0.2, foot - s, s * 0.4, s, s * 0.08, s * 0.08),
        0xF5E6C8,
        0xA88A62);
    c.fill(new Ellipse2D.Double(x - s * 0.5, foot - s * 0.1, s, s * 0.22), 0x3A2A20, 1);
    Path2D flame = new Path2D.Double();
    double lean = s * 0.07 * Math.sin(c.seconds() * 6.1) + s * 0.03 * Math.sin(c.seconds() * 13);
    flame.moveTo(x, foot - s);
    flame.curveTo(
        x - s * 0.2,
        foot - s * 1.2,
        x - s * 0.08,
        foot - s * 1.4,
        x + lean,
        foot - s * 1.68 * burn);
    flame.curveTo(x + s * 0.1, foot - s * 1.4, x + s * 0.2, foot - s * 1.2, x, foot - s);
    c.fill(flame, 0xFFF2C9, 1);
  }

  /** A mailbag with a flap, and as much snow on it as has fallen, 0 to 1. */
  static void mailbag(Canvas c, double x, double foot, double s, double snow) {
    Path2D bag = new Path2D.Double();
    bag.moveTo(x - s * 0.3, foot - s * 1.5);
    bag.curveTo(
        x - s * 0.5, foot - s * 1.1, x - s * 1.1, foot - s * 0.8, x - s * 0.95, foot - s * 0.1);
    bag.curveTo(
        x - s * 0.8, foot + s * 0.08, x + s * 0.8, foot + s * 0.08, x + s * 0.95, foot - s * 0.1);
    bag.curveTo(
        x + s * 1.1, foot - s * 0.8, x + s * 0.5, foot - s * 1.1, x + s * 0.3, foot - s * 1.5);
    bag.closePath();
    c.g()
        .setPaint(
            new GradientPaint(
                (float) (x - s),
                0,
                Canvas.color(0xC79A62, 1),
                (float) (x + s),
                0,
                Canvas.color(0x3C2A22, 1)));
    c.g().fill(bag);
    Area folds = new Area(bag);
    for (double k : new double[] {-0.5, -0.1, 0.35}) {
      Path2D fold = new Path2D.Double();
      fold.moveTo(x + k * s * 0.4, foot - s * 1.45);
      fold.quadTo(x + k * s * 1.6, foot - s * 0.8, x + k * s * 1.3, foot - s * 0.1);
      c.stroke(fold, s * 0.02, 0x3A2820, 0.55);
    }
    c.g().setClip(folds);
    letterPatch(c, x - s * 0.1, foot - s * 0.6, s * 0.42);
    c.g().setClip(null);
    c.line(x - s * 0.32, foot - s * 1.42, x + s * 0.32, foot - s * 1.42, s * 0.09, 0x5A3A20, 1);
    for (double k : new double[] {-0.3, -0.1, 0.12, 0.3}) {
      c.shade(
          Canvas.polygon(
              x + k * s - s * 0.12,
              foot - s * 1.44,
              x + k * s * 1.2,
              foot - s * 1.85,
              x + k * s + s * 0.12,
              foot - s * 1.44),
          0xE6D8B8,
          0xA9946C);
    }
    if (snow > 0) {
      Path2D cap = new Path2D.Double();
      cap.moveTo(x - s * 0.9, foot - s * 0.55);
      cap.curveTo(
          x - s * 0.8,
          foot - s * (0.75 + 0.2 * snow),
          x - s * 0.5,
          foot - s * (0.98 + 0.2 * snow),
          x - s * 0.36,
          foot - s * 1.24);
      cap.curveTo(
          x - s * 0.5, foot - s * 0.98, x - s * 0.72, foot - s * 0.8, x - s * 0.9, foot - s * 0.55);
      c.fill(cap, 0xF2F6FF, 0.95);
      c.fill(
          new Ellipse2D.Double(x - s * 1.15, foot - s * 0.14 * snow, s * 2.3, s * 0.3 * snow),
          0xE6ECF8,
          0.9);
    }
  }

  private static void letterPatch(Canvas c, double x, double y, double s) {
    c.stroke(new Rectangle2D.Double(x - s, y - s * 0.64, 2 * s, s * 1.28), s * 0.07, 0x6E4A2A, 0.8);
    c.stroke(
        Canvas.polygon(x - s, y - s * 0.64, x, y + s * 0.1, x + s, y - s * 0.64),
        s * 0.07,
        0x6E4A2A,
        0.8);
  }

  /** A door with its number; {@code open} is how wide it stands, 0 to 1. */
  static void door(Canvas c, double x, double foot, double s, int rgb, String number, double open) {
    double w = s * 0.9;
    double h = s * 2;
    c.rect(x - w * 0.62, foot - h * 1.07, w * 1.24, h * 1.07, 0x14161F, 1);
    c.shade(new Rectangle2D.Double(x - w / 2, foot - h, w, h), 0xFFD591, 0xE08A3A);
    if (open > 0) {
      c.glow(x, foot - h * 0.5, s * 2.6, WARM, 0.6 * open);
      c.fill(
          Canvas.polygon(
              x - w / 2,
              foot,
              x + w / 2,
              foot,
              x + w * (0.5 + open),
              foot + s * 0.7,
              x - w * (0.5 + 0.4 * open),
              foot + s * 0.7),
          0xFFC57A,
          0.28 * open);
    }
    double leaf = w * (1 - 0.82 * open);
    double drop = h * 0.05 * open;
    Path2D panel =
        Canvas.polygon(
            x - w / 2,
            foot - h,
            x - w / 2 + leaf,
            foot - h - drop,
            x - w / 2 + leaf,
            foot + drop,
            x - w / 2,
            foot);
    c.shade(panel, rgb, darker(rgb));
    for (double row : new double[] {0.1, 0.56}) {
      c.stroke(
          new Rectangle2D.Double(
              x - w / 2 + leaf * 0.14, foot - h * (1 - row), leaf * 0.72, h * 0.34),
          s * 0.015,
          0x0A0C14,
          0.6);
    }
    if (open < 0.5) {
      c.circle(x - w / 2 + leaf * 0.87, foot - h * 0.46, s * 0.045, 0xD9B26A, 1);
      c.fill(
          new RoundRectangle2D.Double(
              x - w / 2 + leaf * 0.36, foot - h * 0.82, leaf * 0.28, h * 0.12, 6, 6),
          0xE8DCC0,
          1);
      c.g().setFont(new Font(Font.SERIF, Font.BOLD, 1).deriveFont((float) (h * 0.09)));
      c.g().setPaint(Canvas.color(0x2A1E18, 1));
      double width = c.g().getFontMetrics().stringWidth(number);
      c.g()
          .drawString(
              number, (float) (x - w / 2 + leaf * 0.5 - width / 2), (float) (foot - h * 0.73));
    }
    c.fill(new Ellipse2D.Double(x - w * 1.2, foot - s * 0.05, w * 2.4, s * 0.34), 0xD9E3F3, 0.85);
  }

  private static int darker(int rgb) {
    return (rgb >> 17 & 0x7f) << 16 | (rgb >> 9 & 0x7f) << 8 | (rgb >> 1 & 0x7f);
  }

  /** A letterbox on a post, with a cap of snow. */
  static void letterbox(Canvas c, double x, double foot, double s, double lean) {
    AffineTransform before = c.g().getTransform();
    c.g().rotate(lean, x, foot);
    c.line(x, foot, x, foot - s * 1.2, s * 0.12, 0x1A1614, 1);
    Path2D box = new Path2D.Double();
    box.moveTo(x - s * 0.45, foot - s * 1.1);
    box.lineTo(x - s * 0.45, foot - s * 1.5);
    box.curveTo(
        x - s * 0.45, foot - s * 1.85, x + s * 0.45, foot - s * 1.85, x + s * 0.45, foot - s * 1.5);
    box.lineTo(x + s * 0.45, foot - s * 1.1);
    box.closePath();
    c.shade(box, 0x51618A, 0x1C2438);
    c.rect(x - s * 0.28, foot - s * 1.42, s * 0.56, s * 0.07, 0x0B0F1A, 1);
    Path2D cap = new Path2D.Double();
    cap.moveTo(x - s * 0.5, foot - s * 1.5);
    cap.curveTo(
        x - s * 0.5, foot - s * 2.02, x + s * 0.5, foot - s * 2.02, x + s * 0.5, foot - s * 1.5);
    cap.curveTo(
        x + s * 0.3, foot - s * 1.66, x - s * 0.3, foot - s * 1.66, x - s * 0.5, foot - s * 1.5);
    c.fill(cap, 0xF1F5FD, 1);
    c.g().setTransform(before);
  }

  /** A jetty running away over the water, with a lantern on every second post. */
  static void jetty(Canvas c, double horizon, double vanishX) {
    Path2D deck =
        Canvas.polygon(vanishX - 5, horizon + 6, vanishX + 5, horizon + 6, 1010, 900, 270, 900);
    c.shade(deck, 0x141A2A, 0x352A26);
    for (int i = 1; i < 26; i++) {
      double p = 1 - Math.pow(0.84, i);
      double y = 900 - (900 - horizon - 6) * p;
      double half = 370 * (1 - p) + 5 * p;
      double mid = 640 + (vanishX - 640) * p;
      c.line(mid - half, y, mid + half, y, Math.max(0.5, 3.4 * (1 - p)), 0x07090F, 0.75);
    }
    for (int i = 12; i >= 1; i--) {
      double p = 1 - Math.pow(0.72, i * 0.9);
      double y = 900 - (900 - horizon - 6) * p;
      double half = 400 * (1 - p) + 6 * p;
      double mid = 640 + (vanishX - 640) * p;
      double s = 150 * (1 - p) + 3;
      for (int side = -1; side <= 1; side += 2) {
        double x = mid + side * half;
        c.line(x, y + s * 0.3, x, y - s * 1.5, s * 0.11, 0x0B0D16, 1);
        lantern(c, x, y - s * 1.75, s * 0.36, 1);
      }
    }
  }

  /** Lanterns of a village seen from straight above. */
  static void lanternsFromAbove(Canvas c) {
    SplittableRandom random = c.random(5);
    for (int i = 0; i < 46; i++) {
      double x = -60 + random.nextDouble() * 1400;
      double y = -40 + random.nextDouble() * 800;
      double s = 9 + random.nextDouble() * 12;
      double turn = random.nextDouble() * 3.14;
      AffineTransform before = c.g().getTransform();
      c.g().rotate(turn, x, y);
      c.rect(x - s * 1.5, y - s, s * 3, s * 2, 0x1B2740, 1);
      c.rect(x - s * 1.5, y - s, s * 3, s, 0x2C3B5C, 1);
      c.line(x - s * 1.5, y, x + s * 1.5, y, 1.4, 0xAFC0DE, 0.6);
      c.g().setTransform(before);
      double lit = Math.min(1, Math.max(0, c.part() * 1.8 - i * 0.017 + 0.25));
      double lx = x + s * 1.9;
      c.glow(lx, y, s * 5, WARM, 0.55 * lit * flicker(c, i));
      c.circle(lx, y, s * 0.3, FLAME, lit);
    }
  }

  /** The balloon seen from straight above. */
  static void balloonTop(Canvas c, double x, double y, double s) {
    c.glow(x, y, s * 3, 0xFF8A3A, 0.4);
    for (int i = 0; i < 12; i++) {
      double a = 30.0 * i;
      c.fill(
          new java.awt.geom.Arc2D.Double(
              x - s, y - s, 2 * s, 2 * s, a, 30, java.awt.geom.Arc2D.PIE),
          i % 2 == 0 ? 0xB4532C : 0xD4743C,
          1);
    }
    c.circle(x - s * 0.2, y - s * 0.2, s * 0.5, 0xFFD9A0, 0.25);
    c.circle(x, y, s * 0.14, 0x5A2A2A, 1);
  }

  /** Inside the envelope, looking up: cloth in strips around the crown. */
  static void crown(Canvas c) {
    double burn = flicker(c, 1);
    int strips = 24;
    for (int i = 0; i < strips; i++) {
      double a = 2 * Math.PI * i / strips + c.seconds() * 0.05;
      double b = 2 * Math.PI * (i + 1) / strips + c.seconds() * 0.05;
      double wave = 1 + 0.02 * Math.sin(c.seconds() * 2 + i * 1.7);
      Path2D strip =
          Canvas.polygon(
              640,
              330,
              640 + 1200 * wave * Math.cos(a),
              330 + 1200 * Math.sin(a),
              640 + 1200 * wave * Math.cos(b),
              330 + 1200 * Math.sin(b));
      boolean dark = i % 2 == 0;
      c.g()
          .setPaint(
              new RadialGradientPaint(
                  640,
                  330,
                  760,
                  new float[] {0, 0.12f, 0.5f, 1},
                  new Color[] {
                    Canvas.color(0xFFF3D2, 1),
                    Canvas.color(dark ? 0xFFC36E : 0xFFCF86, 1),
                    Canvas.color(dark ? 0xC45A2A : 0xD9703A, 1),
                    Canvas.color(dark ? 0x3A1626 : 0x4A1E2E, 1)
                  }));
      c.g().fill(strip);
      c.line(640, 330, 640 + 1200 * Math.cos(a), 330 + 1200 * Math.sin(a), 2, 0x4A1C1C, 0.6);
    }
    for (double r : new double[] {90, 190, 320, 480}) {
      c.stroke(new Ellipse2D.Double(640 - r, 330 - r, 2 * r, 2 * r), 3, 0x5A2420, 0.45);
    }
    c.circle(640, 330, 46, 0x0E1830, 1);
    c.stroke(new Ellipse2D.Double(594, 284, 92, 92), 7, 0x6A2A22, 1);
    c.circle(652, 322, 2, 0xEAF0FF, 0.9);
    c.circle(626, 340, 1.4, 0xEAF0FF, 0.7);
    c.glow(640, 700, 620, 0xFFE0A0, 0.55 * burn);
  }

  /** A bolt of lightning from above, while its flash lasts. */
  static void bolt(Canvas c, double x, double strength, int salt) {
    SplittableRandom random = c.random(salt);
    Path2D path = new Path2D.Double();
    double at = x;
    path.moveTo(at, -40);
    for (double y = -10; y < 380; y += 26) {
      at += (random.nextDouble() - 0.5) * 60;
      path.lineTo(at, y);
    }
    c.stroke(path, 9, 0x9FB6FF, 0.25 * strength);
    c.stroke(path, 2.6, 0xF2F5FF, strength);
  }
}
