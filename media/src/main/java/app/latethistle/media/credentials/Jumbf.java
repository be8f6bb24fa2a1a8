package app.latethistle.media.credentials;

import com.authlete.cbor.CBORizer;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/** Boxes of the JPEG universal metadata box format (ISO/IEC 19566-5). */
final class Jumbf {
  /** What follows the four letters by which a kind of content is known. */
  private static final long KIND_TAIL = 0x800000AA00389B71L;

  private static final int KIND_MIDDLE = 0x00110010;

  /** It may be asked for by its label, which is there. */
  private static final byte LABELLED = 3;

  /** Of a superbox before its payload: its length and type. */
  private static final int HEAD = 8;

  private Jumbf() {}

  /**
   * A superbox.
   *
   * @param kind four letters
   * @param content boxes, one after the other
   */
  static byte[] superbox(String kind, String label, byte[]... content) {
    byte[] name = label.getBytes(StandardCharsets.UTF_8);
    ByteBuffer description = ByteBuffer.allocate(16 + 1 + name.length + 1);
    description.put(letters(kind)).putInt(KIND_MIDDLE).putLong(KIND_TAIL);
    description.put(LABELLED).put(name).put((byte) 0);
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    all.writeBytes(box("jumd", description.array()));
    for (byte[] part : content) {
      all.writeBytes(part);
    }
    return box("jumb", all.toByteArray());
  }

  /** A superbox of CBOR (RFC 8949). */
  static byte[] cbor(String label, Map<String, ?> content) {
    return superbox("cbor", label, box("cbor", encoded(content)));
  }

  static byte[] encoded(Map<String, ?> content) {
    return new CBORizer().cborizeMap(content).encode();
  }

  static byte[] box(String type, byte[] content) {
    ByteBuffer box = ByteBuffer.allocate(HEAD + content.length);
    return box.putInt(box.capacity()).put(letters(type)).put(content).array();
  }

  /** What of a superbox is hashed: all but its length and type. */
  static ByteBuffer payload(byte[] superbox) {
    return ByteBuffer.wrap(superbox, HEAD, superbox.length - HEAD);
  }

  private static byte[] letters(String four) {
    return four.getBytes(StandardCharsets.ISO_8859_1);
  }
}
