package app.latethistle.core.people;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;

/** A wall and simple faces before it. */
final class PaintedFaces {
  private final BufferedImage picture;
  private final Graphics2D to;

  PaintedFaces(int width, int height) {
    picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    to = picture.createGraphics();
    to.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    to.setPaint(new GradientPaint(0, 0, new Color(0x465a6e), 0, height, new Color(0x82876e)));
    to.fillRect(0, 0, width, height);
  }

  /**
   * A face that looks here.
   *
   * @param at its middle, in pixels
   * @param r half its height in pixels
   */
  PaintedFaces face(Point2D at, double r, Color skin) {
    disc(at, 0, -0.25, 0.84, 0.9, r, new Color(0x3c281e));
    disc(at, 0, 0, 0.78, 0.95, r, skin);
    for (int side = -1; side <= 1; side += 2) {
      disc(at, side * 0.32, -0.32, 0.2, 0.06, r, new Color(0x3c281e));
      disc(at, side * 0.32, -0.12, 0.17, 0.09, r, new Color(0xf5f5f5));
      disc(at, side * 0.32, -0.12, 0.085, 0.085, r, new Color(0x281e14));
    }
    disc(at, 0, 0.2, 0.09, 0.06, r, skin.darker());
    disc(at, 0, 0.5, 0.28, 0.09, r, new Color(0xaa4646));
    return this;
  }

  private void disc(
      Point2D at, double x, double y, double across, double down, double r, Color colour) {
    to.setColor(colour);
    to.fill(
        new Ellipse2D.Double(
            at.getX() + (x - across) * r,
            at.getY() + (y - down) * r,
            2 * across * r,
            2 * down * r));
  }

  Frame frame() {
    return frameOf(picture);
  }

  /** A picture as a frame; its sides are even. */
  static Frame frameOf(BufferedImage picture) {
    int width = picture.getWidth();
    int height = picture.getHeight();
    Frame frame = new Frame(width, height);
    Rgb.toFrame(picture.getRGB(0, 0, width, height, null, 0, width), frame);
    return frame;
  }
}
