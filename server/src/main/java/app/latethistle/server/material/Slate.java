package app.latethistle.server.material;

import app.latethistle.core.take.PictureShape;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;

/** A picture that stands in for a shot that has no take: its number and what will be seen. */
final class Slate {
  private static final int SHORTER = 720;

  private Slate() {}

  /** Draws one as PNG in the film's shape. */
  static byte[] draw(PictureShape film, String label, String seen) throws IOException {
    double scale = (double) SHORTER / Math.min(film.width(), film.height());
    int width = (int) Math.round(film.width() * scale / 2) * 2;
    int height = (int) Math.round(film.height() * scale / 2) * 2;
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(new Color(0x5F5F5F));
    g.fillRect(0, 0, width, height);
    g.setColor(new Color(0xB4B4B4));
    float[] dash = {18, 14};
    g.setStroke(new BasicStroke(3, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER, 4, dash, 0));
    g.drawRect(40, 40, width - 80, height - 80);
    g.setColor(new Color(0xF0F0F0));
    g.setFont(new Font(Font.SERIF, Font.PLAIN, 120));
    g.drawString(label, 80, 200);
    g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 40));
    int y = 290;
    StringBuilder row = new StringBuilder();
    for (String word : seen.split("\\s+")) {
      if (g.getFontMetrics().stringWidth(row + " " + word) > width - 160 && !row.isEmpty()) {
        g.drawString(row.toString(), 80, y);
        row.setLength(0);
        y += 54;
      }
      row.append(row.isEmpty() ? "" : " ").append(word);
    }
    if (y < height - 80) {
      g.drawString(row.toString(), 80, y);
    }
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }
}
