package app.latethistle.media;

import app.latethistle.core.Refused;
import app.latethistle.core.grade.ColourPicture;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Pictures whose colours are looked at, to and from PNG. */
public final class ColourPng {
  private ColourPng() {}

  /** A picture as a PNG. */
  public static byte[] of(ColourPicture picture) throws IOException {
    int width = picture.width();
    BufferedImage image = new BufferedImage(width, picture.height(), BufferedImage.TYPE_INT_RGB);
    for (int i = 0; i < picture.count(); i++) {
      image.setRGB(i % width, i / width, picture.at(i));
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  /**
   * The picture in a PNG.
   *
   * @param longest its longer side at most
   * @throws IllegalArgumentException if it is none, or larger
   */
  public static ColourPicture read(byte[] png, int longest) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(png))) {
      ImageReader reader = ImageIO.getImageReadersByFormatName("png").next();
      try {
        reader.setInput(in);
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if (Math.max(width, height) > longest) {
          throw new Refused(
              "A picture of " + width + "x" + height + " is larger than " + longest + " pixels.");
        }
        BufferedImage image = reader.read(0);
        int[] rgb = image.getRGB(0, 0, width, height, null, 0, width);
        for (int i = 0; i < rgb.length; i++) {
          rgb[i] &= 0xffffff;
        }
        return new ColourPicture(width, height, rgb);
      } finally {
        reader.dispose();
      }
    } catch (IOException e) {
      throw new Refused("A picture could not be read: " + e.getMessage());
    }
  }
}
