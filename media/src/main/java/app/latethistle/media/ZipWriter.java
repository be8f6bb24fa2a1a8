package app.latethistle.media;

import java.io.Closeable;
import java.io.IOException;
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
    zip.setLevel(Deflater.NO_COMPRESSION);
    ZipArchiveEntry entry = new ZipArchiveEntry(name);
    entry.setSize(Files.size(file));
    zip.putArchiveEntry(entry);
    Files.copy(file, zip);
    zip.closeArchiveEntry();
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }
}
