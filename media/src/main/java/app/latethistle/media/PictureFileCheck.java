package app.latethistle.media;

import app.latethistle.core.check.Check;
import app.latethistle.core.check.Finding;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.release.Encoding;
import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/** Reads back files of pictures that are no films: loops, and zips of a picture for each frame. */
public final class PictureFileCheck {
  private static final int SECONDS = 600;
  private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'};

  private PictureFileCheck() {}

  /**
   * Whether a file holds as many whole pictures as it is to.
   *
   * @param encoding GIF, WEBP, PNG or STILL
   * @param frames that it is to hold
   */
  public static FileCheck of(Path file, Encoding encoding, long frames) throws IOException {
    List<Finding> all = new ArrayList<>();
    long found;
    try {
      found =
          switch (encoding) {
            case GIF -> gif(file);
            case WEBP -> webp(file);
            case PNG -> zipped(file);
            case STILL -> still(file);
            default -> throw new IllegalArgumentException(encoding + " is no file of pictures.");
          };
    } catch (IOException e) {
      return new FileCheck(
          List.of(
              Finding.of(
                  Check.WHOLE, Verdict.MUST, "the file cannot be read whole: " + e.getMessage())));
    }
    all.add(Finding.of(Check.WHOLE, Verdict.FINE, "reads whole"));
    // A loop leaves out pictures that repeat the one before, which is shown longer then.
    long wanted = encoding == Encoding.STILL ? 1 : frames;
    boolean enough = encoding == Encoding.WEBP ? found >= 1 && found <= wanted : found == wanted;
    all.add(
        enough
            ? Finding.of(
                Check.LENGTH, Verdict.FINE, found + (found == 1 ? " picture" : " pictures"))
            : Finding.of(
                Check.LENGTH, Verdict.MUST, found + " pictures, " + wanted + " were asked for"));
    return new FileCheck(all);
  }

  /** The pictures of a GIF, decoded by ffmpeg. */
  private static long gif(Path file) throws IOException {
    String said =
        Child.output(
            List.of(
                "ffprobe",
                "-v",
                "error",
                "-count_frames",
                "-show_entries",
                "stream=nb_read_frames",
                "-of",
                "csv=p=0",
                file.toString()),
            SECONDS);
    try {
      return Long.parseLong(said.strip());
    } catch (NumberFormatException e) {
      throw new IOException("no pictures are found in it", e);
    }
  }

  /** The pictures of a WebP file, which ffmpeg does not decode: its chunks, by RFC 9649. */
  private static long webp(Path file) throws IOException {
    ByteBuffer bytes = ByteBuffer.wrap(Files.readAllBytes(file)).order(ByteOrder.LITTLE_ENDIAN);
    if (bytes.remaining() < 12 || !name(bytes).equals("RIFF")) {
      throw new IOException("it is no RIFF file");
    }
    if (bytes.getInt() != bytes.remaining() || !name(bytes).equals("WEBP")) {
      throw new IOException("it does not end where it says");
    }
    long pictures = 0;
    while (bytes.remaining() >= 8) {
      boolean picture = name(bytes).equals("ANMF");
      int size = bytes.getInt();
      int padded = size + (size & 1);
      if (size < 0 || padded > bytes.remaining()) {
        throw new IOException("a part of it is cut off");
      }
      pictures += picture ? 1 : 0;
      bytes.position(bytes.position() + padded);
    }
    return pictures;
  }

  private static String name(ByteBuffer bytes) {
    byte[] name = new byte[4];
    bytes.get(name);
    return new String(name, StandardCharsets.US_ASCII);
  }

  /** The pictures of a zip, each read to its end: their chunks' sums hold (PNG, ISO 15948). */
  private static long zipped(Path file) throws IOException {
    long pictures = 0;
    try (ZipFile zip = new ZipFile(file.toFile())) {
      for (ZipEntry entry : zip.stream().toList()) {
        try (InputStream in = zip.getInputStream(entry)) {
          png(entry.getName(), in.readAllBytes());
        }
        pictures++;
      }
    }
    return pictures;
  }

  private static long still(Path file) throws IOException {
    png("the picture", Files.readAllBytes(file));
    return 1;
  }

  private static void png(String name, byte[] bytes) throws IOException {
    try (DataInputStream in = new DataInputStream(new ByteArrayInputStream(bytes))) {
      byte[] signature = new byte[PNG.length];
      in.readFully(signature);
      if (!Arrays.equals(signature, PNG)) {
        throw new IOException(name + " is no PNG");
      }
      String chunk;
      do {
        int size = in.readInt();
        if (size < 0 || size > bytes.length) {
          throw new EOFException(name + " is cut off");
        }
        byte[] body = new byte[4 + size];
        in.readFully(body);
        CRC32 sum = new CRC32();
        sum.update(body);
        if ((int) sum.getValue() != in.readInt()) {
          throw new IOException(name + " is damaged");
        }
        chunk = new String(body, 0, 4, StandardCharsets.US_ASCII);
      } while (!chunk.equals("IEND"));
    } catch (EOFException e) {
      throw new IOException(name + " is cut off", e);
    }
  }
}
