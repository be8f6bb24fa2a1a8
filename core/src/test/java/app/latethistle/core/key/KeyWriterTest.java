package app.latethistle.core.key;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class KeyWriterTest {
  private enum Colour {
    ROSE
  }

  private static String sha256(byte[] bytes) throws NoSuchAlgorithmException {
    return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
  }

  /** FIPS 180-2, appendix B.1. */
  @Test
  void aFingerprintIsSha256() {
    assertThat(Fingerprint.of("abc"))
        .isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
  }

  @Test
  void writesNumbersInEightBytesAndTextsWithTheirLength() throws NoSuchAlgorithmException {
    assertThat(new KeyWriter().put(258).hash())
        .isEqualTo(sha256(new byte[] {0, 0, 0, 0, 0, 0, 1, 2}));
    assertThat(new KeyWriter().put(-1).hash())
        .isEqualTo(sha256(bytes(-1, -1, -1, -1, -1, -1, -1, -1)));
    assertThat(new KeyWriter().put("ab").hash())
        .isEqualTo(sha256(new byte[] {0, 0, 0, 0, 0, 0, 0, 2, 'a', 'b'}));
    byte[] umlaut = "ü".getBytes(StandardCharsets.UTF_8);
    assertThat(new KeyWriter().put("ü").hash())
        .isEqualTo(sha256(new byte[] {0, 0, 0, 0, 0, 0, 0, 2, umlaut[0], umlaut[1]}));
    assertThat(new KeyWriter().put(1.5).hash())
        .isEqualTo(sha256(new byte[] {0x3f, (byte) 0xf8, 0, 0, 0, 0, 0, 0}));
    assertThat(new KeyWriter().put(Colour.ROSE).hash())
        .isEqualTo(new KeyWriter().put("ROSE").hash());
  }

  private static byte[] bytes(int... values) {
    byte[] bytes = new byte[values.length];
    for (int i = 0; i < values.length; i++) {
      bytes[i] = (byte) values[i];
    }
    return bytes;
  }

  /** What is written in other portions is something else. */
  @Test
  void noTwoRowsOfTextsAreTheSame() {
    Set<String> keys = new HashSet<>();
    List<List<String>> rows =
        List.of(
            List.of("ab", "c"),
            List.of("a", "bc"),
            List.of("abc"),
            List.of("abc", ""),
            List.of("", "abc"),
            List.of("a", "b", "c"),
            List.of("c", "b", "a"));
    for (List<String> row : rows) {
      KeyWriter writer = new KeyWriter();
      row.forEach(writer::put);
      keys.add(writer.hash());
    }
    assertThat(keys).hasSize(rows.size());
  }
}
