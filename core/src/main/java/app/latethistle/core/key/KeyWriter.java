package app.latethistle.core.key;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.HexFormat;

/**
 * Writes what makes something in bytes that are the same only for the same: numbers as 8 bytes,
 * big-endian; texts as the number of their UTF-8 bytes and those bytes; names as texts.
 */
public final class KeyWriter {
  private final MessageDigest digest = Fingerprint.sha256();

  public KeyWriter put(long number) {
    for (int shift = Long.SIZE - Byte.SIZE; shift >= 0; shift -= Byte.SIZE) {
      digest.update((byte) (number >> shift));
    }
    return this;
  }

  /** A number with a fraction, by its bits. */
  public KeyWriter put(double number) {
    return put(Double.doubleToLongBits(number));
  }

  public KeyWriter put(String text) {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    put(bytes.length);
    digest.update(bytes);
    return this;
  }

  public KeyWriter put(Enum<?> name) {
    return put(name.name());
  }

  /** SHA-256 of all that was written, in 64 hexadecimal digits; nothing can be written after. */
  public String hash() {
    return HexFormat.of().formatHex(digest.digest());
  }
}
