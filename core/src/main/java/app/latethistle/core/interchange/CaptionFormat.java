package app.latethistle.core.interchange;

import app.latethistle.core.Refused;
import java.util.Arrays;
import java.util.Locale;

/** A form in which captions are given away. */
public enum CaptionFormat {
  /** SubRip: numbered blocks, times with a comma. It has no standard. */
  SRT("application/x-subrip"),
  /** WebVTT, the W3C's Web Video Text Tracks. */
  VTT("text/vtt"),
  /** TTML in the W3C's IMSC 1.1 text profile. */
  TTML("application/ttml+xml");

  private final String type;

  CaptionFormat(String type) {
    this.type = type;
  }

  /** What it is sent as. */
  public String type() {
    return type;
  }

  /** What its files end on, without a dot. */
  public String ending() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * The form of a name.
   *
   * @throws IllegalArgumentException if there is none
   */
  public static CaptionFormat of(String name) {
    return Arrays.stream(values())
        .filter(f -> f.ending().equals(name.toLowerCase(Locale.ROOT)))
        .findFirst()
        .orElseThrow(
            () -> new Refused("'" + name + "' is no form of captions; write srt, vtt or ttml."));
  }
}
