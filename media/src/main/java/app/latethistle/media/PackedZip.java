package app.latethistle.media;

import java.io.Closeable;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;

/**
 * A zip that was written elsewhere. Nothing in it is believed: names that would leave a folder,
 * links, entries of the same name and too many of them are refused when it is opened; of an entry
 * no more is read than whoever reads it expects.
 */
public final class PackedZip implements Closeable {
  /** More than any production has files. */
  private static final int MOST_ENTRIES = 20_000;

  private static final int LONGEST_NAME = 400;

  /** Letters, and no way out: no root, drive, back slash, sign of control, or step up. */
  private static final Pattern OUTSIDE =
      Pattern.compile("^/|^[A-Za-z]:|\\\\|\\p{Cntrl}|(^|/)\\.{1,2}(/|$)");

  private final ZipFile zip;
  private final Map<String, ZipArchiveEntry> entries = new LinkedHashMap<>();

  private PackedZip(ZipFile zip) {
    this.zip = zip;
  }

  /**
   * Opens a zip.
   *
   * @throws RefusedMedia if it is none, or one that nobody who means well would write
   */
  public static PackedZip open(Path file) throws IOException {
    ZipFile zip;
    try {
      zip = ZipFile.builder().setPath(file).get();
    } catch (IOException | IllegalArgumentException e) {
      throw (RefusedMedia)
          new RefusedMedia("This is no zip, or its end is missing; pack the production again.")
              .initCause(e);
    }
    PackedZip opened = new PackedZip(zip);
    try {
      opened.list();
      return opened;
    } catch (IOException | RuntimeException e) {
      zip.close();
      throw e;
    }
  }

  private void list() throws RefusedMedia {
    for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
      String name = entry.getName();
      String shown = name.substring(0, Math.min(name.length(), LONGEST_NAME));
      if (name.length() > LONGEST_NAME || OUTSIDE.matcher(name).find()) {
        throw new RefusedMedia("The zip has an entry that would lie outside of it: " + shown);
      }
      if (entry.isUnixSymlink()) {
        throw new RefusedMedia("The zip has a link in it, which is not followed: " + shown);
      }
      if (!zip.canReadEntryData(entry)) {
        throw new RefusedMedia("The zip has an entry that is locked or packed oddly: " + shown);
      }
      if (!entry.isDirectory() && entries.put(name, entry) != null) {
        throw new RefusedMedia("The zip has two entries of one name: " + shown);
      }
      if (entries.size() > MOST_ENTRIES) {
        throw new RefusedMedia("The zip has more than " + MOST_ENTRIES + " entries.");
      }
    }
  }

  /** Whether there is an entry of a name. */
  public boolean has(String name) {
    return entries.containsKey(name);
  }

  /**
   * A text.
   *
   * @param most bytes it may have
   * @throws RefusedMedia if it is missing, longer or no UTF-8
   */
  public String text(String name, int most) throws IOException {
    try (InputStream in = zip.getInputStream(entry(name))) {
      byte[] bytes = in.readNBytes(most + 1);
      if (bytes.length > most) {
        throw new RefusedMedia(
            name + " in the zip is larger than " + most / 1_000_000 + " MB; it is not read.");
      }
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
    } catch (CharacterCodingException e) {
      throw (RefusedMedia) new RefusedMedia(name + " in the zip is no UTF-8.").initCause(e);
    }
  }

  /**
   * The bytes of an entry.
   *
   * @param bytes how many there have to be; reading on, or less, is refused
   * @throws RefusedMedia if it is missing
   */
  public InputStream read(String name, long bytes) throws IOException {
    return new Exactly(zip.getInputStream(entry(name)), name, bytes);
  }

  /**
   * Writes an entry to a file.
   *
   * @param bytes how many there have to be
   * @param sha256 of them
   * @throws RefusedMedia if it is missing or another file
   */
  public void copy(String name, long bytes, String sha256, Path to) throws IOException {
    Files.createDirectories(to.getParent());
    try (InputStream in = read(name, bytes)) {
      Files.copy(in, to);
    }
    requireHash(name, sha256, ContentStore.hash(to));
  }

  /**
   * Holds the hash of an entry's bytes against the one that it has to have.
   *
   * @throws RefusedMedia if it is another
   */
  public static void requireHash(String name, String said, String found) throws RefusedMedia {
    if (!found.equals(said)) {
      throw new RefusedMedia(
          name
              + " in the zip is another file than it says: its SHA-256 is "
              + found
              + ". Pack the production again.");
    }
  }

  private ZipArchiveEntry entry(String name) throws RefusedMedia {
    ZipArchiveEntry entry = entries.get(name);
    if (entry == null) {
      throw new RefusedMedia("The zip has no " + name + "; pack the production again.");
    }
    return entry;
  }

  @Override
  public void close() throws IOException {
    zip.close();
  }

  /** Reads what is expected, neither more nor less. */
  private static final class Exactly extends FilterInputStream {
    private final String name;
    private final long bytes;
    private long read;

    Exactly(InputStream in, String name, long bytes) {
      super(in);
      this.name = name;
      this.bytes = bytes;
    }

    @Override
    public int read() throws IOException {
      int value = super.read();
      count(value < 0 ? value : 1);
      return value;
    }

    @Override
    public int read(byte[] into, int from, int most) throws IOException {
      int got = super.read(into, from, most);
      count(got);
      return got;
    }

    private void count(int got) throws RefusedMedia {
      read += Math.max(0, got);
      if (read > bytes || (got < 0 && read < bytes)) {
        throw new RefusedMedia(
            name + " in the zip has " + (read > bytes ? "more" : "fewer") + " bytes than it says.");
      }
    }
  }
}
