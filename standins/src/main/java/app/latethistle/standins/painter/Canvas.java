package app.latethistle.standins.painter;

import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RadialGradientPaint;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.SplittableRandom;

/**
 * One frame being painted, in units of a picture 1280 wide and 720 high around its middle, seen
 * through a moving camera: near layers move more than far ones.
 */
final class Canvas {
  static final double W = 1280;
  static final double H = 720;

  private final BufferedImage image;
  private final Graphics2D g;
  private final AffineTransform whole;
  private final Move move;
  private final double strength;
  private final double part;
  private final double seconds;
  private final long seed;

  /**
   * @param part how far into the clip, 0 to 1
   * @param seconds the time in the clip
   */
  Canvas(BufferedImage image, Move move, double strength, double part, double seconds, long seed) {
    this.image = image;
    this.move = move;
    this.strength = strength;
    this.part = part;
    this.seconds = seconds;
    this.seed = seed;
    g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    double scale = Math.max(image.getWidth() / W, image.getHeight() / H);
    whole = new AffineTransform();
    whole.translate(image.getWidth() / 2.0, image.getHeight() / 2.0);
    whole.scale(scale, scale);
    // Each seed frames the scene a little differently.
    SplittableRandom framing = random(3);
    whole.translate(framing.nextDouble(-26, 26), framing.nextDouble(-14, 14));
    double nearer = 1 + framing.nextDouble(0.07);
    whole.scale(nearer, nearer);
  }

  double seconds() {
    return seconds;
  }

  double part() {
    return part;
  }

  SplittableRandom random(int salt) {
    return new SplittableRandom(seed * 7919 + salt);
  }

  /** Sets the camera for a layer: 0 is the far sky, 1 the nearest thing. */
  Canvas depth(double depth) {
    double zoom = 1 + 0.06 + (move.zoomAt(part) - 1.06) * strength * (0.6 + 0.4 * depth);
    double pan = 0.4 + 0.6 * depth;
    AffineTransform at = new AffineTransform(whole);
    at.scale(zoom, zoom);
    at.translate(-move.rightAt(part) * strength * pan, -move.downAt(part) * strength * pan);
    at.translate(-W / 2, -H / 2);
    g.setTransform(at);
    return this;
  }

  Graphics2D g() {
    return g;
  }

  static Color color(int rgb, double alpha) {
    return new Color(rgb >> 16 & 255, rgb >> 8 & 255, rgb & 255, (int) Math.round(255 * alpha));
  }

  void fill(Shape shape, int rgb, double alpha) {
    g.setPaint(color(rgb, alpha));
    g.fill(shape);
  }

  void shade(Shape shape, int top, int bottom) {
    Rectangle2D b = shape.getBounds2D();
    g.setPaint(
        new GradientPaint(
            0, (float) b.getMinY(), color(top, 1), 0, (float) b.getMaxY(), color(bottom, 1)));
    g.fill(shape);
  }

  void line(double x1, double y1, double x2, double y2, double width, int rgb, double alpha) {
    g.setPaint(color(rgb, alpha));
    g.setStroke(new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    Path2D path = new Path2D.Double();
    path.moveTo(x1, y1);
    path.lineTo(x2, y2);
    g.draw(path);
  }

  void stroke(Shape shape, double width, int rgb, double alpha) {
    g.setPaint(color(rgb, alpha));
    g.setStroke(new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    g.draw(shape);
  }

  void circle(double x, double y, double r, int rgb, double alpha) {
    fill(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r), rgb, alpha);
  }

  void rect(double x, double y, double w, double h, int rgb, double alpha) {
    fill(new Rectangle2D.Double(x, y, w, h), rgb, alpha);
  }

  /** Soft light around a point. */
  void glow(double x, double y, double r, int rgb, double alpha) {
    g.setPaint(
        new RadialGradientPaint(
            (float) x,
            (float) y,
            (float) r,
            new float[] {0, 0.25f, 0.6f, 1},
            new Color[] {
              color(rgb, alpha), color(rgb, alpha * 0.5), color(rgb, alpha * 0.13), color(rgb, 0)
            }));
    g.fill(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
  }

  /** A closed path through points given as x, y, x, y. */
  static Path2D polygon(double... xy) {
    Path2D path = new Path2D.Double();
    path.moveTo(xy[0], xy[1]);
    for (int i = 2; i < xy.length; i += 2) {
      path.lineTo(xy[i], xy[i + 1]);
    }
    path.closePath();
    return path;
  }

  /** A sky from top to horizon, past the edges of the picture. */
  void sky(int top, int middle, int low, double horizon) {
    depth(0);
    g.setPaint(
        new GradientPaint(0, -120, color(top, 1), 0, (float) (horizon * 0.62), color(middle, 1)));
    g.fill(new Rectangle2D.Double(-300, -200, W + 600, 200 + horizon * 0.62 + 1));
    g.setPaint(
        new GradientPaint(
            0, (float) (horizon * 0.62), color(middle, 1), 0, (float) horizon, color(low, 1)));
    g.fill(new Rectangle2D.Double(-300, horizon * 0.62, W + 600, H * 1.4));
  }

  /** Stars, a few of them breathing. */
  void stars(int count, double low) {
    depth(0);
    SplittableRandom random = random(11);
    for (int i = 0; i < count; i++) {
      double x = -80 + random.nextDouble() * (W + 160);
      double y = -60 + random.nextDouble() * (low + 60);
      double size = 0.5 + random.nextDouble() * random.nextDouble() * 1.7;
      double phase = random.nextDouble() * 6.28;
      double light = 0.35 + 0.5 * random.nextDouble();
      double breath = size > 1.1 ? 0.8 + 0.2 * Math.sin(seconds * 2.4 + phase) : 1;
      double fade = Math.min(1, Math.max(0, (low - y) / (low * 0.5)));
      circle(x, y, size, 0xEAF0FF, light * breath * fade);
    }
  }

  void moon(double x, double y, double r) {
    depth(0.02);
    glow(x, y, r * 7, 0xBFD0F0, 0.30);
    circle(x, y, r, 0xF3EBD8, 1);
    circle(x - r * 0.3, y - r * 0.2, r * 0.22, 0xDCD3C0, 0.8);
    circle(x + r * 0.25, y + r * 0.3, r * 0.3, 0xE0D7C4, 0.8);
    circle(x + r * 0.1, y - r * 0.45, r * 0.14, 0xDCD3C0, 0.7);
  }

  /** A ridge of hills across the picture; {@code trees} sets pines along it. */
  void ridge(int salt, double base, double height, int rgb, double trees) {
    SplittableRandom random = random(100 + salt);
    double[] phase = new double[6];
    for (int k = 0; k < phase.length; k++) {
      phase[k] = random.nextDouble() * 6.28;
    }
    Path2D path = new Path2D.Double();
    path.moveTo(-300, base + 500);
    double next = -300;
    for (double x = -300; x <= W + 300; x += 4) {
      double y = 0;
      for (int k = 0; k < phase.length; k++) {
        y += Math.sin(x * 0.0021 * Math.pow(1.9, k) + phase[k]) / Math.pow(1.8, k);
      }
      double at = base - height * (0.5 + 0.32 * y);
      path.lineTo(x, at);
      if (trees > 0 && x >= next) {
        double h = trees * (0.5 + random.nextDouble());
        path.lineTo(x + 1, at - h * 0.3);
        path.lineTo(x + h * 0.14, at - h);
        path.lineTo(x + h * 0.28, at - h * 0.25);
        path.lineTo(x + h * 0.30, at);
        next = x + h * (0.32 + random.nextDouble() * 0.5);
        x += h * 0.30;
      }
    }
    path.lineTo(W + 300, base + 500);
    path.closePath();
    fill(path, rgb, 1);
  }

  /** Mist lying along a line. */
  void mist(double y, double thickness, int rgb, double alpha) {
    for (int side = -1; side <= 1; side += 2) {
      double to = y + side * thickness;
      g.setPaint(new GradientPaint(0, (float) y, color(rgb, alpha), 0, (float) to, color(rgb, 0)));
      g.fill(new Rectangle2D.Double(-300, Math.min(y, to), W + 600, thickness));
    }
  }

  /**
   * Water below a line of the layer last set: what is painted above it, upside down, darker and
   * moved by ripples that grow towards the front.
   */
  void water(double line, int rgb, double clearness) {
    AffineTransform at = g.getTransform();
    int width = image.getWidth();
    int height = image.getHeight();
    int horizon = (int) Math.round(at.getScaleY() * line + at.getTranslateY());
    if (horizon <= 1 || horizon >= height) {
      return;
    }
    double unit = at.getScaleY();
    int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    int wr = rgb >> 16 & 255;
    int wg = rgb >> 8 & 255;
    int wb = rgb & 255;
    for (int y = horizon; y < height; y++) {
      double deep = (y - horizon) / (double) Math.max(1, height - horizon);
      double near = (y - horizon) / unit;
      double wave =
          Math.sin(near * 0.42 / (1 + deep * 2.2) - seconds * 2.1)
              + 0.6 * Math.sin(near * 0.19 / (1 + deep) + seconds * 1.3);
      double lift = wave * (0.8 + deep * 5) * unit;
      int from = (int) Math.max(0, Math.min(horizon - 1, horizon - 1 - (y - horizon) * 0.9 - lift));
      int shift = (int) Math.round(wave * (0.6 + deep * 7) * unit);
      int mix = (int) (256 * (clearness * (1 - deep * 0.45)));
      int dark = 256 - mix;
      int light = (int) (8 * Math.max(0, wave - 0.9) * (1 - deep));
      for (int x = 0; x < width; x++) {
        int sx = Math.max(0, Math.min(width - 1, x + shift));
        int p = pixels[from * width + sx];
        int r = (((p >> 16 & 255) * mix + wr * dark) >> 8) + light;
        int gr = (((p >> 8 & 255) * mix + wg * dark) >> 8) + light;
        int b = (((p & 255) * mix + wb * dark) >> 8) + light;
        pixels[y * width + x] = Math.min(255, r) << 16 | Math.min(255, gr) << 8 | Math.min(255, b);
      }
    }
  }

  /** Falling snow; near flakes are larger and quicker. */
  void snow(int count, double wind) {
    SplittableRandom random = random(77);
    for (int i = 0; i < count; i++) {
      double near = random.nextDouble();
      double speed = 40 + 120 * near;
      double x = random.nextDouble() * (W + 400);
      double y = random.nextDouble() * (H + 80);
      double phase = random.nextDouble() * 6.28;
      double fallen = (y + seconds * speed) % (H + 80) - 40;
      double blown = x + seconds * wind * (0.4 + near) + 12 * Math.sin(seconds * 1.4 + phase);
      double wrapped = (blown % (W + 400) + W + 400) % (W + 400) - 200;
      depth(0.4 + 0.6 * near);
      circle(wrapped, fallen, 0.9 + 2.2 * near * near, 0xEEF3FC, 0.35 + 0.45 * near);
    }
  }

  /** Darker towards the edges. */
  void vignette(double strength) {
    g.setTransform(whole);
    g.setPaint(
        new RadialGradientPaint(
            0,
            0,
            (float) (W * 0.72),
            new float[] {0.45f, 1},
            new Color[] {color(0x05070F, 0), color(0x05070F, strength)}));
    g.fill(new Rectangle2D.Double(-W, -H, 2 * W, 2 * H));
  }

  /** Brightens or darkens all by a flat layer. */
  void wash(int rgb, double alpha) {
    g.setTransform(new AffineTransform());
    g.setComposite(AlphaComposite.SrcOver);
    g.setPaint(color(rgb, alpha));
    g.fillRect(0, 0, image.getWidth(), image.getHeight());
  }

  void dispose() {
    g.dispose();
  }
}
