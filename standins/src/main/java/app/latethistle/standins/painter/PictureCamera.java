package app.latethistle.standins.painter;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;

/** A flat picture seen through a moving camera. */
public final class PictureCamera {
  private PictureCamera() {}

  /**
   * Draws it, filling a size.
   *
   * @param part how far into the move, 0 to 1, or beyond
   */
  public static BufferedImage draw(
      BufferedImage picture, int width, int height, Move move, double strength, double part) {
    BufferedImage seen = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = seen.createGraphics();
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    double fill =
        Math.max((double) width / picture.getWidth(), (double) height / picture.getHeight());
    double room = move == Move.STILL ? 1 : 1.09;
    double scale = fill * room * (1 + (move.zoomAt(part) - 1.06) * strength);
    double unit = width / 1280.0;
    AffineTransform at = new AffineTransform();
    at.translate(width / 2.0, height / 2.0);
    at.translate(
        -move.rightAt(part) * strength * unit * 0.6, -move.downAt(part) * strength * unit * 0.6);
    at.scale(scale, scale);
    at.translate(-picture.getWidth() / 2.0, -picture.getHeight() / 2.0);
    g.drawImage(picture, at, null);
    g.dispose();
    return seen;
  }
}
