package app.latethistle.media.credentials;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** A file of boxes: the ISO base media file format (ISO/IEC 14496-12), as MP4 and MOV are. */
final class BoxedFile {
  /** What of a film's description leads to where its samples lie in the file. */
  private static final Set<String> WITHIN = Set.of("moov", "trak", "mdia", "minf", "stbl");

  private static final int HEAD = 8;
  private static final int LARGE_HEAD = 16;

  /** A description larger than this is no film's of ours. */
  private static final long LARGEST_DESCRIPTION = 1L << 28;

  private BoxedFile() {}

  /**
   * A box at the file's highest level.
   *
   * @param start where it begins, in bytes
   * @param length with its length and type
   */
  record Box(String type, long start, long length) {
    long end() {
      return start + length;
    }
  }

  /** The boxes of a file, in order. */
  static List<Box> boxes(FileChannel file) throws IOException {
    List<Box> all = new ArrayList<>();
    long at = 0;
    while (at + HEAD <= file.size()) {
      ByteBuffer head = read(file, at, (int) Math.min(LARGE_HEAD, file.size() - at));
      long length = Integer.toUnsignedLong(head.getInt(0));
      String type = type(head, 4);
      if (length == 1 && head.limit() == LARGE_HEAD) {
        length = head.getLong(HEAD);
      } else if (length == 0) {
        length = file.size() - at;
      }
      if (length < HEAD || at + length > file.size()) {
        throw new IOException("A box at byte " + at + " ends behind the file.");
      }
      all.add(new Box(type, at, length));
      at += length;
    }
    return all;
  }

  static ByteBuffer read(FileChannel file, long at, int length) throws IOException {
    ByteBuffer buffer = ByteBuffer.allocate(length);
    while (buffer.hasRemaining() && file.read(buffer, at + buffer.position()) >= 0) {
      // Reads what is left of it.
    }
    return buffer.flip();
  }

  /**
   * Writes a file anew with a box behind its first, which says what kind of file it is, and one
   * behind all; samples are found where they then lie.
   *
   * @throws IOException if they lie too far on for how the file says so
   */
  static void insert(Path file, byte[] second, byte[] last, Path target) throws IOException {
    try (FileChannel in = FileChannel.open(file, StandardOpenOption.READ);
        FileChannel out =
            FileChannel.open(
                target,
                StandardOpenOption.CREATE,
                StandardOpenOption.TRUNCATE_EXISTING,
                StandardOpenOption.WRITE)) {
      for (Box one : boxes(in)) {
        if (one.type.equals("moov")) {
          if (one.length > LARGEST_DESCRIPTION) {
            throw new IOException("The file describes itself in " + one.length + " bytes.");
          }
          ByteBuffer moov = read(in, one.start, (int) one.length);
          shift(moov, 0, moov.limit(), second.length);
          write(out, moov);
        } else {
          copy(in, one, out);
        }
        if (one.start == 0) {
          write(out, ByteBuffer.wrap(second));
        }
      }
      write(out, ByteBuffer.wrap(last));
    }
  }

  private static void write(FileChannel out, ByteBuffer bytes) throws IOException {
    while (bytes.hasRemaining()) {
      out.write(bytes);
    }
  }

  private static void copy(FileChannel in, Box box, FileChannel out) throws IOException {
    long at = box.start;
    while (at < box.end()) {
      at += in.transferTo(at, box.end() - at, out);
    }
  }

  /** Moves the places of samples on, in all boxes of a part of the description. */
  private static void shift(ByteBuffer moov, int from, int end, int by) throws IOException {
    int at = from;
    while (at + HEAD <= end) {
      int length = moov.getInt(at);
      String type = type(moov, at + 4);
      if (length < HEAD || length > end - at) {
        throw new IOException("The file's description is not whole: " + type);
      }
      if (WITHIN.contains(type)) {
        shift(moov, at + HEAD, at + length, by);
      } else if (type.equals("stco") || type.equals("co64")) {
        places(moov, at, type.equals("co64"), by);
      }
      at += length;
    }
  }

  /** Moves the places of one track's chunks on. */
  private static void places(ByteBuffer moov, int box, boolean wide, int by) throws IOException {
    int count = moov.getInt(box + 12);
    for (int i = 0; i < count; i++) {
      if (wide) {
        int at = box + 16 + 8 * i;
        moov.putLong(at, moov.getLong(at) + by);
      } else {
        int at = box + 16 + 4 * i;
        long moved = Integer.toUnsignedLong(moov.getInt(at)) + by;
        if (moved >>> Integer.SIZE != 0) {
          throw new IOException(
              "A file of just 4 GB cannot be signed; ask for a little more or less of it.");
        }
        moov.putInt(at, (int) moved);
      }
    }
  }

  private static String type(ByteBuffer bytes, int at) {
    byte[] four = new byte[4];
    bytes.get(at, four);
    return new String(four, StandardCharsets.ISO_8859_1);
  }
}
