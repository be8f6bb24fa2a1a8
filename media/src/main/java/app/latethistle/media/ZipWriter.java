package app.latethistle.media;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.zip.Deflater;
import org.apache.commons.compress.archivers.zip.Zip64Mode;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipArchiveOutputStream;

/** Writes a zip as it goes: texts small, files as they are, for media are packed already. */
public final class ZipWriter implements Closeable {
  /** Always the same, so that as much of a file is packed in as many pieces. */
  private static final int BLOCK = 1 << 16;

  private final ZipArchiveOutputStream zip;

  /** Writes to a stream, which is closed with it. */
  public ZipWriter(OutputStream out) {
    zip = new ZipArchiveOutputStream(out);
    zip.setUseZip64(Zip64Mode.AsNeeded);
  }

  /** Writes a text. */
  public void text(String name, String text) throws IOException {
    zip.setLevel(Deflater.DEFAULT_COMPRESSION);
    zip.putArchiveEntry(new ZipArchiveEntry(name));
    zip.write(text.getBytes(StandardCharsets.UTF_8));
    zip.closeArchiveEntry();
  }

  /** Writes texts by their names. */
  public void texts(Map<String, String> texts) throws IOException {
    for (Map.Entry<String, String> text : texts.entrySet()) {
      text(text.getKey(), text.getValue());
    }
  }

  /** Writes a file. */
  public void file(String name, Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      file(name, Files.size(file), block -> in.readNBytes(block, 0, block.length));
    }
  }

  /**
   * Writes so many bytes of nothing as a file: the zip becomes as long as with any other file of
   * that size.
   */
  public void fileOf(long bytes, String name) throws IOException {
    long[] left = {bytes};
    file(
        name,
        bytes,
        block -> {
          int some = (int) Math.min(block.length, left[0]);
          left[0] -= some;
          return some;
        });
  }

  /** Fills a block with the next bytes of a file; less than all of it at the file's end. */
  private interface Source {
    int fill(byte[] block) throws IOException;
  }

  private void file(String name, long bytes, Source source) throws IOException {
    zip.setLevel(Deflater.NO_COMPRESSION);
    ZipArchiveEntry entry = new ZipArchiveEntry(name);
    entry.setSize(bytes);
    zip.putArchiveEntry(entry);
    byte[] block = new byte[BLOCK];
    for (int some = source.fill(block); some > 0; some = source.fill(block)) {
      zip.write(block, 0, some);
    }
    zip.closeArchiveEntry();
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }
}
