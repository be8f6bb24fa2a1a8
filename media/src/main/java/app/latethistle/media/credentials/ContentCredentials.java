package app.latethistle.media.credentials;

import app.latethistle.media.ContentStore;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;

/**
 * Says in finished files that their pictures were generated: as the IPTC has it, for whoever reads
 * it, and signed.
 */
public final class ContentCredentials {
  /** The box that carries them in a file of boxes. */
  private static final byte[] UUID = HexFormat.of().parseHex("d8fec3d61b0e483c92975828877ec481");

  /** Before them in that box: its version, what it is for, and where more of it would be. */
  private static final byte[] PURPOSE =
      "\0\0\0\0manifest\0\0\0\0\0\0\0\0\0".getBytes(StandardCharsets.ISO_8859_1);

  private static final int BOX_HEAD = 8;

  /** What of a file of boxes a statement does not bind. */
  private static final List<Map<String, Object>> FREE =
      List.of(
          Map.of("xpath", "/uuid", "data", List.of(Map.of("offset", BOX_HEAD, "value", UUID))),
          Map.of("xpath", "/ftyp"),
          Map.of("xpath", "/mfra"));

  private static final byte[] UNKNOWN = new byte[32];
  private static final int BLOCK = 1 << 20;

  private static final short APP11 = (short) 0xffeb;

  /** "JP", by which segments of boxes are known. */
  private static final short BOXES = 0x4a50;

  /** Where a JPEG's segments begin, behind its start. */
  private static final int JPEG_START = 2;

  private final Path folder;

  /**
   * @param folder where the key is kept that signs them; it is made when something is first signed
   */
  public ContentCredentials(Path folder) {
    this.folder = folder;
  }

  /**
   * Puts them into an MP4 or MOV, which is replaced.
   *
   * @param title of what it shows; blank for none
   */
  public void put(Path film, String title) throws IOException {
    SigningKey key = SigningKey.keptIn(folder);
    Manifest manifest = Manifest.of(title);
    Path part = ContentStore.partOf(film);
    try {
      BoxedFile.insert(film, box(key, manifest, UNKNOWN), XmpPacket.box(), part);
      try (FileChannel file =
          FileChannel.open(part, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
        BoxedFile.Box own = BoxedFile.boxes(file).get(1);
        byte[] box = box(key, manifest, hash(file, own));
        if (box.length != own.length()) {
          throw new IllegalStateException("A signature changed its length.");
        }
        file.write(ByteBuffer.wrap(box), own.start());
      }
      ContentStore.moveInto(part, film);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static byte[] box(SigningKey key, Manifest manifest, byte[] hash) {
    byte[] store =
        manifest.store(key, "c2pa.hash.bmff.v3", Map.of("exclusions", FREE, "hash", hash));
    ByteArrayOutputStream content = new ByteArrayOutputStream();
    content.writeBytes(UUID);
    content.writeBytes(PURPOSE);
    content.writeBytes(store);
    return Jumbf.box("uuid", content.toByteArray());
  }

  /** Of each box that is bound, where it lies and all its bytes. */
  private static byte[] hash(FileChannel file, BoxedFile.Box own) throws IOException {
    MessageDigest digest = Manifest.digest();
    for (BoxedFile.Box box : BoxedFile.boxes(file)) {
      if (box.equals(own) || box.type().equals("ftyp") || box.type().equals("mfra")) {
        continue;
      }
      digest.update(ByteBuffer.allocate(Long.BYTES).putLong(0, box.start()));
      for (long at = box.start(); at < box.end(); at += BLOCK) {
        digest.update(BoxedFile.read(file, at, (int) Math.min(BLOCK, box.end() - at)));
      }
    }
    return digest.digest();
  }

  /**
   * A JPEG that has them.
   *
   * @param title of what it shows; blank for none
   */
  public byte[] in(byte[] picture, String title) throws IOException {
    SigningKey key = SigningKey.keptIn(folder);
    byte[] jpeg = XmpPacket.inJpeg(picture);
    MessageDigest digest = Manifest.digest();
    digest.update(jpeg);
    byte[] hash = digest.digest();
    Manifest manifest = Manifest.of(title);
    // Behind the packet, which readers of it look for first.
    int at = JPEG_START + 2 + Short.toUnsignedInt(ByteBuffer.wrap(jpeg).getShort(JPEG_START + 2));
    byte[] segment = {};
    byte[] next = segment(key, manifest, hash, at, at);
    // What is said of the segment's length may change it, once.
    while (next.length != segment.length) {
      segment = next;
      next = segment(key, manifest, hash, at, segment.length);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, at);
    out.writeBytes(next);
    out.write(jpeg, at, jpeg.length - at);
    return out.toByteArray();
  }

  private static byte[] segment(
      SigningKey key, Manifest manifest, byte[] hash, int start, int length) {
    Map<String, Object> free = Map.of("start", start, "length", length);
    return jpegSegment(
        manifest.store(
            key,
            "c2pa.hash.data",
            Map.of("exclusions", List.of(free), "hash", hash, "pad", new byte[0])));
  }

  /** A box as one segment of a JPEG, which it is small enough for (ISO/IEC 19566-5, annex D). */
  private static byte[] jpegSegment(byte[] box) {
    ByteBuffer segment = ByteBuffer.allocate(2 + 2 + 2 + 2 + 4 + box.length);
    segment.putShort(APP11).putShort((short) (segment.capacity() - 2));
    return segment.putShort(BOXES).putShort((short) 1).putInt(1).put(box).array();
  }
}
