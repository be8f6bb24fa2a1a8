package app.latethistle.standins.painter;

import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.util.SplittableRandom;

/** What stands on the salt plain: a fair at dusk. Everything is drawn around the middle. */
final class Fair {
  private static final int SALT = 0xD8C4C0;
  private static final int WARM = 0xFFC36B;
  private static final int DARK = 0x1B1424;
  private static final int ROSE = 0xD0566A;
  private static final int TEAL = 0x2F7F86;

  private Fair() {}

  /** Sky and salt, with the last light behind the hills. */
  static void plain(Canvas c, double horizon) {
    c.sky(0x241B47, 0x6B3F73, 0xF0936E, horizon);
    c.stars(60, horizon * 0.5);
    c.glow(640, horizon, 520, 0xFFB27A, 0.5);
    c.depth(0.15).ridge(40, horizon + 6, 40, 0x4A2F5C, 0);
    c.depth(0.3).shade(new Rectangle2D.Double(-300, horizon, 1900, 900), SALT, 0x5A4460);
    SplittableRandom random = c.random(44);
    for (int i = 0; i < 46; i++) {
      double near = random.nextDouble();
      double y = horizon + 8 + 400 * near * near;
      double x = -200 + 1700 * random.nextDouble();
      double w = 26 + 200 * near;
      c.line(x, y, x + w, y + 6 * random.nextDouble() * near, 0.7 + 2 * near, 0x8E7388, 0.5);
    }
  }

  /** A row of bulbs that light one after the other. */
  static void bulbs(Canvas c, double x1, double y1, double x2, double y2, int count, double size) {
    for (int i = 0; i < count; i++) {
      double k = i / (double) Math.max(1, count - 1);
      double sag = 4 * k * (1 - k) * Math.hypot(x2 - x1, y2 - y1) * 0.12;
      double x = x1 + k * (x2 - x1);
      double y = y1 + k * (y2 - y1) + sag;
      double on = 0.55 + 0.45 * Math.sin(c.seconds() * 5 - i * 0.9);
      c.glow(x, y, size * 5, WARM, 0.28 * on);
      c.circle(x, y, size, 0xFFE6B0, 0.4 + 0.6 * on);
    }
  }

  /** The carousel: a striped roof, bulbs, horses that rise and sink as they go round. */
  static void carousel(Canvas c, double x, double foot, double s) {
    c.glow(x, foot - s * 0.5, s * 1.9, WARM, 0.35);
    c.fill(new Ellipse2D.Double(x - s, foot - s * 0.1, 2 * s, s * 0.2), 0x33202E, 1);
    c.rect(x - s * 0.14, foot - s * 0.95, s * 0.28, s * 0.95, 0x7A2F4A, 1);
    for (int pass = 0; pass < 2; pass++) {
      for (int i = 0; i < 8; i++) {
        double angle = i * Math.PI / 4 + c.seconds() * 0.9;
        boolean front = Math.sin(angle) > 0;
        if (front == (pass == 1)) {
          double hx = x + Math.cos(angle) * s * 0.82;
          double hy = foot - s * 0.22 + Math.sin(angle) * s * 0.07;
          double bob = s * 0.06 * Math.sin(c.seconds() * 3 + i * 1.7);
          horse(c, hx, hy + bob, s * (0.16 + 0.03 * Math.sin(angle)), i, foot - s * 0.95);
        }
      }
    }
    for (int i = 0; i < 10; i++) {
      double from = x - s * 1.08 + i * s * 0.216;
      c.fill(
          Canvas.polygon(
              x + (from - x) * 0.06,
              foot - s * 1.5,
              from,
              foot - s * 0.98,
              from + s * 0.216,
              foot - s * 0.98,
              x + (from + s * 0.216 - x) * 0.06,
              foot - s * 1.5),
          i % 2 == 0 ? ROSE : 0xF2E4D0,
          1);
    }
    c.rect(x - s * 1.1, foot - s, s * 2.2, s * 0.08, 0x5A2140, 1);
    bulbs(c, x - s * 1.05, foot - s * 0.96, x + s * 1.05, foot - s * 0.96, 21, s * 0.018);
    c.line(x, foot - s * 1.5, x, foot - s * 1.72, s * 0.02, DARK, 1);
    double wave = s * 0.05 * Math.sin(c.seconds() * 4);
    c.fill(
        Canvas.polygon(x, foot - s * 1.72, x + s * 0.22, foot - s * 1.66 + wave, x, foot - s * 1.6),
        TEAL,
        1);
  }

  /** A wooden horse on its pole. */
  static void horse(Canvas c, double x, double y, double s, int colour, double poleTop) {
    int[] coats = {0xF4E9DC, 0x2F7F86, 0xE0A94A, 0x8A4A6A};
    int[] manes = {0xE0A94A, 0x1E4E58, 0x7A3F22, 0x3B2230};
    int which = colour % coats.length;
    CarouselHorse.draw(c, x, y, s, coats[which], manes[which], poleTop);
  }

  /** A wheel with gondolas. */
  static void wheel(Canvas c, double x, double y, double r) {
    double turn = c.seconds() * 0.35;
    c.line(x, y, x - r * 0.5, y + r * 1.25, r * 0.05, DARK, 1);
    c.line(x, y, x + r * 0.5, y + r * 1.25, r * 0.05, DARK, 1);
    c.stroke(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r), r * 0.03, 0x3A2A48, 1);
    c.stroke(
        new Ellipse2D.Double(x - r * 0.8, y - r * 0.8, 1.6 * r, 1.6 * r), r * 0.014, 0x3A2A48, 1);
    for (int i = 0; i < 12; i++) {
      double angle = turn + i * Math.PI / 6;
      double gx = x + r * Math.cos(angle);
      double gy = y + r * Math.sin(angle);
      c.line(x, y, gx, gy, r * 0.014, 0x3A2A48, 1);
      c.glow(gx, gy, r * 0.16, WARM, 0.5);
      c.circle(gx, gy, r * 0.018, 0xFFE6B0, 1);
      c.rect(gx - r * 0.07, gy + r * 0.04, r * 0.14, r * 0.12, i % 2 == 0 ? ROSE : TEAL, 1);
    }
    c.circle(x, y, r * 0.08, 0xE9C878, 1);
  }

  /** A booth with a striped awning and a light in it. */
  static void booth(Canvas c, double x, double foot, double s) {
    c.glow(x, foot - s * 0.6, s * 1.5, WARM, 0.4);
    c.rect(x - s * 0.5, foot - s * 1.1, s, s * 1.1, 0x5A2A44, 1);
    c.rect(x - s * 0.36, foot - s * 0.95, s * 0.72, s * 0.48, 0xFFCE80, 0.95);
    People.vendor(c, x, foot - s * 0.48, s * 0.85);
    c.rect(x - s * 0.36, foot - s * 0.49, s * 0.72, s * 0.05, 0x2A1522, 1);
    for (int i = 0; i < 8; i++) {
      c.rect(
          x - s * 0.6 + i * s * 0.15,
          foot - s * 1.2,
          s * 0.15,
          s * 0.26,
          i % 2 == 0 ? 0xF2E4D0 : TEAL,
          1);
    }
    bulbs(c, x - s * 0.6, foot - s * 1.22, x + s * 0.6, foot - s * 1.22, 9, s * 0.02);
  }

  /** Swings that fly out on their chains. */
  static void swings(Canvas c, double x, double foot, double s) {
    c.rect(x - s * 0.06, foot - s * 2, s * 0.12, s * 2, 0x4A2A4A, 1);
    c.fill(new Ellipse2D.Double(x - s * 0.7, foot - s * 2.16, s * 1.4, s * 0.3), ROSE, 1);
    for (int i = 0; i < 9; i++) {
      double angle = i * Math.PI * 2 / 9 + c.seconds() * 1.3;
      double topX = x + Math.cos(angle) * s * 0.66;
      double topY = foot - s * 2 + Math.sin(angle) * s * 0.1;
      double seatX = x + Math.cos(angle) * s * 1.25;
      double seatY = foot - s * 1.1 + Math.sin(angle) * s * 0.2;
      c.line(topX, topY, seatX, seatY, s * 0.012, 0xD8C4C0, 0.9);
      c.line(seatX - s * 0.07, seatY, seatX + s * 0.07, seatY, s * 0.03, DARK, 1);
      int[] coats = {0x2F5A62, 0x7A2F4A, 0x4A3A6A};
      int towards = Math.sin(angle) > 0 ? -1 : 1;
      People.rider(c, seatX, seatY, s * 0.5, towards, coats[i % coats.length]);
    }
    bulbs(c, x - s * 0.68, foot - s * 2.02, x + s * 0.68, foot - s * 2.02, 13, s * 0.022);
  }

  /** A mirror in which the lights stand. */
  static void mirror(Canvas c, double x, double y, double s) {
    c.fill(new Ellipse2D.Double(x - s * 0.62, y - s, s * 1.24, 2 * s), 0xE9C878, 1);
    c.shade(
        new Ellipse2D.Double(x - s * 0.55, y - s * 0.92, s * 1.1, s * 1.84), 0x3A2A5C, 0xD88A78);
    for (int i = 0; i < 7; i++) {
      double k = (i - 3) / 3.0;
      double on = 0.5 + 0.5 * Math.sin(c.seconds() * 4 + i);
      c.glow(x + k * s * 0.4, y - s * 0.2 + k * k * s * 0.3, s * 0.16, WARM, 0.7 * on);
    }
    People.standing(c, x, y + s * 0.8, s * 0.9);
  }
}
