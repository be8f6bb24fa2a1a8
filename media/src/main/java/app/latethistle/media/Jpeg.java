package app.latethistle.media;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;

/** Frames to and from JPEG. */
public final class Jpeg {
  private static final byte[] LUMA = toLimitedRange(0, 16, 219);
  private static final byte[] CHROMA = toLimitedRange(128, 128, 224);

  static {
    ImageIO.setUseCache(false);
  }

  private static final ColorModel COLOURS =
      new ComponentColorModel(
          ColorSpace.getInstance(ColorSpace.CS_sRGB),
          false,
          false,
          Transparency.OPAQUE,
          DataBuffer.TYPE_BYTE);

  private Jpeg() {}

  /** Codes of full range as those of limited range: 0 to 255 become {@code span} codes. */
  private static byte[] toLimitedRange(int zero, int limitedZero, int span) {
    byte[] table = new byte[256];
    for (int v = 0; v < 256; v++) {
      table[v] = (byte) Math.round(limitedZero + (v - zero) * span / 255.0);
    }
    return table;
  }

  /**
   * Decodes a JPEG of a proxy: its luma and chroma are taken as BT.709, full range, as they were
   * written, without going through RGB.
   */
  static Frame decode(byte[] jpeg) throws IOException {
    ImageReader reader = ImageIO.getImageReadersByFormatName("jpeg").next();
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(jpeg))) {
      reader.setInput(in, true, true);
      return frame(reader.readRaster(0, null));
    } finally {
      reader.dispose();
    }
  }

  private static Frame frame(Raster raster) {
    int width = raster.getWidth() / 2 * 2;
    int height = raster.getHeight() / 2 * 2;
    Frame frame = new Frame(width, height);
    byte[] from = ((DataBufferByte) raster.getDataBuffer()).getData();
    int stride = 3 * raster.getWidth();
    byte[] to = frame.data();
    int cb = frame.offset(1);
    int cr = frame.offset(2);
    for (int y = 0; y < height; y++) {
      int row = y * stride;
      for (int x = 0; x < width; x++) {
        to[y * width + x] = LUMA[from[row + 3 * x] & 0xff];
      }
      // Chroma lies at the left of each pair of pixels and between two rows.
      if (y % 2 == 0) {
        int below = row + stride;
        for (int x = 0; x < width / 2; x++) {
          to[cb++] = CHROMA[mean(from[row + 6 * x + 1], from[below + 6 * x + 1])];
          to[cr++] = CHROMA[mean(from[row + 6 * x + 2], from[below + 6 * x + 2])];
        }
      }
    }
    return frame;
  }

  private static int mean(byte a, byte b) {
    return ((a & 0xff) + (b & 0xff) + 1) >> 1;
  }

  /** A frame as a JPEG for a browser. */
  public static byte[] encode(Frame frame, float quality) throws IOException {
    BufferedImage image = image(frame);
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream(1 << 16);
    try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionQuality(quality);
      writer.setOutput(out);
      writer.write(null, new IIOImage(image, null, null), param);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }

  /**
   * The pixels in the order in which the writer takes whole rows: red, green, blue, a byte each.
   */
  private static BufferedImage image(Frame frame) {
    int width = frame.width();
    int[] pixels = new int[width * frame.height()];
    Rgb.fromFrame(frame, pixels);
    byte[] bytes = new byte[3 * pixels.length];
    for (int i = 0; i < pixels.length; i++) {
      bytes[3 * i] = (byte) (pixels[i] >> 16);
      bytes[3 * i + 1] = (byte) (pixels[i] >> 8);
      bytes[3 * i + 2] = (byte) pixels[i];
    }
    DataBufferByte buffer = new DataBufferByte(bytes, bytes.length);
    int[] order = {0, 1, 2};
    return new BufferedImage(
        COLOURS,
        Raster.createInterleavedRaster(buffer, width, frame.height(), 3 * width, 3, order, null),
        false,
        null);
  }
}
