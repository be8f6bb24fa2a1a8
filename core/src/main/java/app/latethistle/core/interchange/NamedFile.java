package app.latethistle.core.interchange;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A file as a cut names it.
 *
 * @param name as people call it
 * @param sha256 of its bytes, in 64 hexadecimal digits; "" if that is not said
 */
public record NamedFile(String name, String sha256) {
  private static final Pattern HASH = Pattern.compile("[0-9a-f]{64}");

  /** What is no hash is left out. */
  public NamedFile {
    String small = sha256 == null ? "" : sha256.strip().toLowerCase(Locale.ROOT);
    sha256 = HASH.matcher(small).matches() ? small : "";
  }

  /** One of which only the name is known. */
  public static NamedFile of(String name) {
    return new NamedFile(name, "");
  }
}
