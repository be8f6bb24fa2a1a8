package app.latethistle.media;

import java.util.regex.Pattern;

/** Addresses of files on the machine, which say nothing to the person who reads a message. */
public final class MachinePlaces {
  private static final Pattern PLACE = Pattern.compile("(?:file:)?(?:/[\\w.+~-]+){2,}/?");

  private MachinePlaces() {}

  /** A text with other words in the place of each address. */
  public static String replaced(String text, String words) {
    return PLACE.matcher(text).replaceAll(words);
  }
}
