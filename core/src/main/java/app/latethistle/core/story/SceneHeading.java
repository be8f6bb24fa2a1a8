package app.latethistle.core.story;

/** What a scene's heading says of its place. */
final class SceneHeading {
  private SceneHeading() {}

  /** A heading without "Scene 2:" before it and scene numbers behind it. */
  static String clean(String heading) {
    String bare =
        heading
            .replaceFirst("(?i)^(?:scene\\s*\\d*\\s*[:.\\-–—]*|\\d+\\s*[:.)–—-]+)\\s*", "")
            .replaceFirst("\\s*[\\[(]\\d{1,2}:\\d\\d[^\\])]*[\\])]\\s*$", "")
            .replaceFirst("#[^#]+#\\s*$", "")
            .strip();
    return bare.isEmpty() ? heading.strip() : bare;
  }

  /** The place in a heading: "EXT. JETTY - NIGHT" is at the "jetty". */
  static String place(String heading) {
    String place =
        heading
            .replaceFirst("(?i)^(int\\.?/ext|i/e|int|ext|est)[. /]+\\s*", "")
            .replaceFirst("\\s+[-–—]\\s+[^-–—]*$", "")
            .strip();
    return place.equals(place.toUpperCase(java.util.Locale.ROOT))
        ? place.toLowerCase(java.util.Locale.ROOT)
        : place;
  }

  /** The time of day in a heading, or "". */
  static String time(String heading) {
    var m = java.util.regex.Pattern.compile("\\s[-–—]\\s+([^-–—]*)$").matcher(heading);
    return m.find() ? m.group(1).strip().toLowerCase(java.util.Locale.ROOT) : "";
  }
}
