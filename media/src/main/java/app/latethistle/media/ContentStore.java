package app.latethistle.media;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Files named by the SHA-256 of their bytes, in a folder of two-letter folders; and, beside them,
 * files made from them, which can be made again.
 */
public final class ContentStore {
  /** So much of the disk is left for what is made of files, in bytes. */
  private static final long KEPT_FREE = 256L << 20;

  private static final long USE_NOTED_EVERY_MILLIS = 3_600_000;

  private static final String ORIGINALS = "originals";

  private final Path originals;
  private final Path derived;
  private final Path incoming;

  /** A file in the store. */
  public record Stored(String hash, long bytes, Path path, boolean isNew) {}

  /** Opens or makes a store in a folder. */
  public ContentStore(Path folder) throws IOException {
    originals = Files.createDirectories(folder.resolve(ORIGINALS));
    derived = Files.createDirectories(folder.resolve("derived"));
    incoming = Files.createDirectories(folder.resolve("incoming"));
  }

  /** Streams bytes in; the same bytes twice are kept once. */
  public Stored put(InputStream in) throws IOException {
    Path part = Files.createTempFile(incoming, "upload-", ".part");
    try {
      String hash;
      try (OutputStream out = Files.newOutputStream(part)) {
        hash = copy(in, out);
      }
      long bytes = Files.size(part);
      Path path = path(hash);
      boolean isNew = !Files.exists(path);
      if (isNew) {
        Files.createDirectories(path.getParent());
        sync(part);
        moveInto(part, path);
      }
      return new Stored(hash, bytes, path, isNew);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  /** The name that a file has, or would have, in a store. */
  public static String hash(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      return copy(in, OutputStream.nullOutputStream());
    }
  }

  /** Copies bytes, closes where they come from, and answers their SHA-256. */
  private static String copy(InputStream in, OutputStream out) throws IOException {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      try (DigestInputStream reading = new DigestInputStream(in, digest)) {
        reading.transferTo(out);
      }
      return HexFormat.of().formatHex(digest.digest());
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java platform has SHA-256.", e);
    }
  }

  /** An original counts as here once it would survive the machine losing power. */
  private static void sync(Path part) throws IOException {
    try (FileChannel file = FileChannel.open(part, StandardOpenOption.WRITE)) {
      file.force(true);
    }
  }

  /** Where an original is or would be. */
  public Path path(String hash) {
    return within(originals, hash);
  }

  /** Where an original is in the store of a folder, which is neither opened nor made. */
  public static Path path(Path folder, String hash) {
    return within(folder.resolve(ORIGINALS), hash);
  }

  private static Path within(Path originals, String hash) {
    return originals.resolve(hash.substring(0, 2)).resolve(hash);
  }

  /**
   * Refuses a file that would fill the disk.
   *
   * @param name of the file, for the person
   * @param bytes it has, or below 0 if that is not known
   * @throws RefusedMedia if so much is not free
   */
  public void requireRoom(String name, long bytes) throws IOException {
    long free = Files.getFileStore(incoming).getUsableSpace() - KEPT_FREE;
    if (bytes > free) {
      throw new RefusedMedia(
          String.format(
              Locale.ROOT,
              "%s has %.1f GB and the disk has room for %.1f GB. Make room, or clear on the Shelf"
                  + " what no production uses, and bring it in again.",
              name,
              bytes / 1e9,
              Math.max(0, free) / 1e9));
    }
  }

  /** Notes that a file that can be made again is in use, so that it is not cleared. */
  public static void used(Path file) throws IOException {
    FileTime now = FileTime.from(Instant.now());
    if (now.toMillis() - Files.getLastModifiedTime(file).toMillis() > USE_NOTED_EVERY_MILLIS) {
      Files.setLastModifiedTime(file, now);
    }
  }

  /** Every file that can be made again, or is on its way in. */
  public List<Path> madeFiles() throws IOException {
    try (Stream<Path> made = Files.walk(derived);
        Stream<Path> coming = Files.walk(incoming)) {
      return Stream.concat(made, coming).filter(Files::isRegularFile).toList();
    }
  }

  /** Takes an original out, if nothing needs it. */
  public void remove(String hash) throws IOException {
    Files.deleteIfExists(path(hash));
  }

  /** Where a derived file is or would be; its folder exists. */
  public Path derived(String folder, String name) throws IOException {
    return derived(folder).resolve(name);
  }

  /** A folder of files made from others, made if it is not there. */
  public Path derived(String folder) throws IOException {
    return Files.createDirectories(derived.resolve(folder));
  }

  /** Moves a finished file to its place in one step. */
  public static void moveInto(Path part, Path place) throws IOException {
    try {
      Files.move(part, place, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException e) {
      Files.move(part, place, StandardCopyOption.REPLACE_EXISTING);
    }
  }

  /** A name beside a file for writing it under until it is whole. */
  public static Path partOf(Path place) {
    return place.resolveSibling(
        place.getFileName() + "." + Long.toHexString(System.nanoTime()) + ".part");
  }
}
