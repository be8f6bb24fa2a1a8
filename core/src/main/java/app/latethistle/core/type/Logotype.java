package app.latethistle.core.type;

import java.awt.Graphics2D;
import java.awt.Paint;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.TexturePaint;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;

/** A picture that stands in place of words, as high as a line of their letters. */
final class Logotype {
  private final BufferedImage image;

  Logotype(BufferedImage image) {
    this.image = image;
  }

  /**
   * The line it makes in place of words: one letter.
   *
   * @param words that it stands for
   * @param size of the letters, in pixels
   */
  ShapedLine line(String words, double size) {
    double high = (SetLine.ABOVE + SetLine.BELOW) * size;
    double wide = high * image.getWidth() / image.getHeight();
    Shape box = new Rectangle2D.Double(0, -SetLine.ABOVE * size, wide, high);
    return new ShapedLine(words, List.of(new Letter(box, 0, wide, 0)), wide, false, List.of());
  }

  /**
   * What fills a box with it; halved until it is nearly as small, so that no line of it is lost.
   */
  Paint in(Rectangle2D box) {
    BufferedImage scaled = image;
    while (scaled.getWidth() > 2 * box.getWidth() && scaled.getHeight() > 2 * box.getHeight()) {
      scaled = halved(scaled);
    }
    return new TexturePaint(scaled, box);
  }

  private static BufferedImage halved(BufferedImage image) {
    int width = Math.max(1, image.getWidth() / 2);
    int height = Math.max(1, image.getHeight() / 2);
    BufferedImage half = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB_PRE);
    Graphics2D onto = half.createGraphics();
    onto.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    onto.drawImage(image, 0, 0, width, height, null);
    onto.dispose();
    return half;
  }
}
