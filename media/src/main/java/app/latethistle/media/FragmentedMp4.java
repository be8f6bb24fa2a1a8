package app.latethistle.media;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/**
 * A fragmented MP4 (ISO/IEC 14496-12), parted into what says how to decode and the fragments, which
 * are moved in time without being encoded again.
 */
public final class FragmentedMp4 {
  private final byte[] init;
  private final byte[] fragments;

  private FragmentedMp4(byte[] init, byte[] fragments) {
    this.init = init;
    this.fragments = fragments;
  }

  /** The boxes before the first fragment. */
  public byte[] init() {
    return init;
  }

  /** The fragments and nothing else. */
  byte[] fragments() {
    return fragments;
  }

  /**
   * Parts a file.
   *
   * @throws IOException if it is not such a file
   */
  public static FragmentedMp4 of(byte[] file) throws IOException {
    ByteArrayOutputStream init = new ByteArrayOutputStream();
    ByteArrayOutputStream fragments = new ByteArrayOutputStream();
    int at = 0;
    while (at + 8 <= file.length) {
      int size = size(file, at);
      String type = type(file, at);
      if (size < 8 || at + size > file.length) {
        throw new IOException("A box of " + size + " bytes does not fit at byte " + at + ".");
      }
      if (type.equals("moof") || type.equals("mdat")) {
        fragments.write(file, at, size);
      } else if (fragments.size() == 0) {
        init.write(file, at, size);
      }
      at += size;
    }
    if (init.size() == 0 || fragments.size() == 0) {
      throw new IOException("The file is no fragmented MP4.");
    }
    return new FragmentedMp4(init.toByteArray(), fragments.toByteArray());
  }

  /** The fragments, later by so many of the track's ticks. */
  public byte[] later(long ticks) {
    byte[] moved = fragments.clone();
    shift(moved, 0, moved.length, ticks);
    return moved;
  }

  private static void shift(byte[] boxes, int from, int to, long ticks) {
    for (int at = from; at + 8 <= to; at += size(boxes, at)) {
      switch (type(boxes, at)) {
        case "moof", "traf" -> shift(boxes, at + 8, at + size(boxes, at), ticks);
        case "tfdt" -> {
          ByteBuffer time = ByteBuffer.wrap(boxes);
          boolean wide = boxes[at + 8] == 1;
          if (wide) {
            time.putLong(at + 12, time.getLong(at + 12) + ticks);
          } else {
            time.putInt(at + 12, (int) (time.getInt(at + 12) + ticks));
          }
        }
        default -> {
          // Nothing else says when it is.
        }
      }
    }
  }

  private static int size(byte[] boxes, int at) {
    return ByteBuffer.wrap(boxes).getInt(at);
  }

  private static String type(byte[] boxes, int at) {
    return new String(boxes, at + 4, 4, StandardCharsets.ISO_8859_1);
  }
}
