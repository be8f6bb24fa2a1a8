package app.latethistle.core.key;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What is rendered is kept under a name that is equal only where all that made it is. */
public final class Fingerprint {
  private Fingerprint() {}

  /** SHA-256 of a text, in 64 hexadecimal digits. */
  public static String of(String text) {
    return of(text.getBytes(StandardCharsets.UTF_8));
  }

  /** SHA-256 of bytes, in 64 hexadecimal digits. */
  public static String of(byte[] bytes) {
    return HexFormat.of().formatHex(sha256().digest(bytes));
  }

  static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java platform has SHA-256.", e);
    }
  }
}
