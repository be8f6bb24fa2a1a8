package app.latethistle.media;

import java.io.OutputStream;

/** Counts the bytes that are written to it, and keeps none. */
public final class ByteCount extends OutputStream {
  private long bytes;

  public long bytes() {
    return bytes;
  }

  @Override
  public void write(int one) {
    bytes++;
  }

  @Override
  public void write(byte[] some, int from, int length) {
    bytes += length;
  }
}
