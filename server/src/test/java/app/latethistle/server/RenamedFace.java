package app.latethistle.server;

import app.latethistle.faces.ShippedFile;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** A font file as a person has one: a shipped one of whose name as many letters are others. */
final class RenamedFace {
  private static final String SHIPPED = "Fraunces";

  private RenamedFace() {}

  /** The bold one with the letters of English. */
  static byte[] bold(String family) throws IOException {
    return bold(family, "latin");
  }

  /**
   * The bold one.
   *
   * @param family of eight letters
   * @param script which letters it has
   */
  static byte[] bold(String family, String script) throws IOException {
    ShippedFile file =
        ShippedFile.all().stream()
            .filter(f -> f.family().equals(SHIPPED) && f.weight() == 700)
            .filter(f -> f.script().equals(script))
            .findFirst()
            .orElseThrow();
    try (InputStream in = file.open()) {
      byte[] font = in.readAllBytes();
      for (Charset written : new Charset[] {StandardCharsets.US_ASCII, StandardCharsets.UTF_16BE}) {
        replace(font, SHIPPED.getBytes(written), family.getBytes(written));
      }
      return font;
    }
  }

  private static void replace(byte[] in, byte[] what, byte[] by) {
    for (int i = 0; i + what.length <= in.length; i++) {
      if (Arrays.equals(in, i, i + what.length, what, 0, what.length)) {
        System.arraycopy(by, 0, in, i, by.length);
      }
    }
  }
}
