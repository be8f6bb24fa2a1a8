package app.latethistle.server.pack;

import java.util.regex.Pattern;

/** What a file is called in a zip, so that every system can write it. */
final class MediaName {
  private static final int LONGEST = 120;
  private static final Pattern UNUSUAL = Pattern.compile("[\\\\/:*?\"<>|\\p{Cntrl}]");

  private MediaName() {}

  /**
   * A name.
   *
   * @param called what people call it
   * @param hash by which it is called if that is nothing
   * @param usual how such a file's name ends, if it has no ending
   */
  static String of(String called, String hash, String usual) {
    String name = UNUSUAL.matcher(called).replaceAll("_").strip().replaceFirst("^\\.+", "");
    int dot = name.lastIndexOf('.');
    String ending = dot > 0 && name.length() - dot <= 6 ? name.substring(dot) : "." + usual;
    String stem = (dot > 0 && name.endsWith(ending) ? name.substring(0, dot) : name).strip();
    stem = stem.substring(0, Math.min(stem.length(), LONGEST)).strip();
    return (stem.isEmpty() ? hash.substring(0, 12) : stem) + ending;
  }
}
