package app.latethistle.core.picture;

import app.latethistle.core.Refused;
import java.util.Arrays;

/**
 * A picture in one buffer: the luma plane, then Cb, then Cr, each chroma plane half as wide and
 * high, rows without padding. Luma 16 to 235, chroma 16 to 240 around 128 (ITU-R BT.709, limited
 * range). Mutable, so that it can be used again for the next frame.
 */
public final class Frame {
  /** The luma of black. */
  public static final int BLACK = 16;

  /** The luma of white. */
  public static final int WHITE = 235;

  private final int width;
  private final int height;
  private final byte[] data;

  /**
   * A frame of unset contents.
   *
   * @param width even, 2 or more
   * @param height even, 2 or more
   */
  public Frame(int width, int height) {
    this(width, height, new byte[size(width, height)]);
  }

  /**
   * A frame over a buffer, which is not copied.
   *
   * @throws IllegalArgumentException if a side is odd or the buffer has another size
   */
  public Frame(int width, int height, byte[] data) {
    if (width < 2 || height < 2 || (width | height) % 2 != 0) {
      throw new Refused("A frame has even sides of 2 or more, not " + width + "x" + height + ".");
    }
    if (data.length != size(width, height)) {
      throw new Refused(
          data.length + " bytes do not make a frame of " + width + "x" + height + ".");
    }
    this.width = width;
    this.height = height;
    this.data = data;
  }

  /** Bytes of a frame. */
  public static int size(int width, int height) {
    return width * height * 3 / 2;
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  /** The buffer itself. */
  public byte[] data() {
    return data;
  }

  /** Where a plane begins in the buffer: 0 luma, 1 Cb, 2 Cr. */
  public int offset(int plane) {
    int luma = width * height;
    return plane == 0 ? 0 : luma + (plane - 1) * luma / 4;
  }

  /**
   * Lays a whole frame into this one.
   *
   * @param x where its left side comes, even
   * @param y where its top comes, even
   */
  public void paste(Frame other, int x, int y) {
    for (int plane = 0; plane < 3; plane++) {
      int part = plane == 0 ? 1 : 2;
      int w = other.width / part;
      for (int row = 0; row < other.height / part; row++) {
        System.arraycopy(
            other.data,
            other.offset(plane) + row * w,
            data,
            offset(plane) + (y / part + row) * (width / part) + x / part,
            w);
      }
    }
  }

  /** Makes it the same as a frame of its size. */
  public void copy(Frame other) {
    System.arraycopy(other.data, 0, data, 0, data.length);
  }

  /** Makes it black. */
  public void black() {
    Arrays.fill(data, 0, width * height, (byte) BLACK);
    Arrays.fill(data, width * height, data.length, (byte) 128);
  }

  /** The mean of the four samples of a plane as fine as luma that one chroma sample belongs to. */
  static int meanOfFour(byte[] data, int at, int width) {
    return ((data[at] & 0xff)
            + (data[at + 1] & 0xff)
            + (data[at + width] & 0xff)
            + (data[at + width + 1] & 0xff)
            + 2)
        >> 2;
  }
}
