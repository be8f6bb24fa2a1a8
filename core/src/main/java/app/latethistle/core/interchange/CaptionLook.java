package app.latethistle.core.interchange;

import app.latethistle.core.words.CaptionStyle;
import java.util.Optional;

/**
 * How captions look in a file, as far as its format can say it.
 *
 * @param language as in BCP 47
 * @param bottom where the last line ends, in percent of the picture's height
 * @param style their colours and their plate; white on a dark plate if it is not said
 */
public record CaptionLook(String language, int bottom, Optional<CaptionStyle> style) {
  /** White on a dark plate. */
  public static CaptionLook plain(String language, int bottom) {
    return new CaptionLook(language, bottom, Optional.empty());
  }
}
