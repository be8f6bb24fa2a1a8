package app.latethistle.core.type;

import java.awt.Graphics2D;
import java.awt.Paint;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.TexturePaint;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;

/** A picture that stands in place of words, as high as a line of their letters. */
final class Logotype {
  /** As it is, and again and again half as large. */
  private final List<BufferedImage> sizes = new ArrayList<>();

  Logotype(BufferedImage image) {
    sizes.add(image);
    for (BufferedImage now = image; now.getWidth() > 1 && now.getHeight() > 1; ) {
      now = halved(now);
      sizes.add(now);
    }
  }

  /**
   * The line it makes in place of words: one letter.
   *
   * @param words that it stands for
   * @param size of the letters, in pixels
   */
  ShapedLine line(String words, double size) {
    double high = (SetLine.ABOVE + SetLine.BELOW) * size;
    BufferedImage image = sizes.get(0);
    double wide = high * image.getWidth() / image.getHeight();
    Shape box = new Rectangle2D.Double(0, -SetLine.ABOVE * size, wide, high);
    return new ShapedLine(words, List.of(new Letter(box, 0, wide, 0)), wide, false, List.of());
  }

  /** What fills a box with it: the first that is nearly as small, so that no line of it is lost. */
  Paint in(Rectangle2D box) {
    BufferedImage near =
        sizes.stream()
            .filter(s -> s.getWidth() <= 2 * box.getWidth() || s.getHeight() <= 2 * box.getHeight())
            .findFirst()
            .orElseGet(() -> sizes.get(sizes.size() - 1));
    return new TexturePaint(near, box);
  }

  private static BufferedImage halved(BufferedImage image) {
    int width = image.getWidth() / 2;
    int height = image.getHeight() / 2;
    BufferedImage half = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB_PRE);
    Graphics2D onto = half.createGraphics();
    onto.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    onto.drawImage(image, 0, 0, width, height, null);
    onto.dispose();
    return half;
  }
}
