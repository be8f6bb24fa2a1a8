package app.latethistle.document;

import app.latethistle.core.Refused;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;

/**
 * A colour as it is written: "#rrggbb" (IEC 61966-2-1). It is read from its number too, as which it
 * was written first.
 */
public record Colour(int rgb) {

  /** As "#rrggbb". */
  @JsonValue
  public String text() {
    return String.format(Locale.ROOT, "#%06x", rgb);
  }

  @JsonCreator
  static Colour of(Object written) {
    if (written instanceof Integer rgb) {
      return new Colour(rgb);
    }
    if (written instanceof String text && text.matches("#[0-9a-fA-F]{6}")) {
      return new Colour(Integer.parseInt(text.substring(1), 16));
    }
    throw new Refused("A colour is written as #rrggbb, not " + written + ".");
  }
}
