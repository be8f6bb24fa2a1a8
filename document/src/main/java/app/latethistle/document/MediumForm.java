package app.latethistle.document;

/**
 * A file that a film uses, by one or both of its names.
 *
 * @param sha256 of its bytes, as 64 hexadecimal digits
 * @param path to it, from the document's folder
 */
public record MediumForm(String sha256, String path) {
  /** A file of a store. */
  public static MediumForm ofHash(String sha256) {
    return new MediumForm(sha256, null);
  }
}
