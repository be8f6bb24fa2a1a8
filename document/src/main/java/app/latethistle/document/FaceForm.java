package app.latethistle.document;

import app.latethistle.core.Refused;
import java.util.Base64;

/**
 * A face that does not ship with the application.
 *
 * @param family as it is called
 * @param bold whether it is the heavier of its family
 * @param italic whether its letters are slanted
 * @param licence under what it may be used
 * @param font its file, OpenType or TrueType, as base64
 */
public record FaceForm(String family, boolean bold, boolean italic, String licence, String font) {
  /** With its file's bytes. */
  public static FaceForm of(
      String family, boolean bold, boolean italic, String licence, byte[] font) {
    return new FaceForm(family, bold, italic, licence, Base64.getEncoder().encodeToString(font));
  }

  /**
   * Its file.
   *
   * @throws IllegalArgumentException if that is not base64
   */
  public byte[] bytes() {
    try {
      return Base64.getDecoder().decode(font);
    } catch (IllegalArgumentException e) {
      throw (Refused)
          new Refused("The font of the face “" + family + "” is not base64.").initCause(e);
    }
  }
}
