package app.latethistle.core.take;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a clip's file name says: scene, shot, take and a title, as people write them.
 *
 * <p>Read in this order: the words "scene", "shot" (or "clip") and "take" (or "t", "v" straight
 * before digits) followed by a number; else the first number that stands at the start of the name
 * is the shot and a letter right behind it the take (a = 1); else the first number anywhere. What
 * is left, without separators, is the title.
 *
 * @param scene the scene, or "" if none is named
 * @param shot digits as written, without leading zeros, or "" if the name has no number
 * @param take 1 or more; 1 if none is named
 * @param title the rest of the name, or ""
 */
public record ClipName(String scene, String shot, int take, String title) {
  private static final String GAP = "[\\s_.\\-#]*";
  private static final String EDGE = "(?<![a-z])";
  private static final Pattern SCENE = Pattern.compile(EDGE + "(?:scene|sc)" + GAP + "(\\d{1,6})");
  private static final Pattern SHOT =
      Pattern.compile(EDGE + "(?:shot|sh|clip)" + GAP + "(\\d{1,6})([a-h](?![a-z]))?");
  private static final Pattern TAKE =
      Pattern.compile(EDGE + "(?:take|tk|[tv](?=\\d))" + GAP + "(\\d{1,4})");
  private static final Pattern LEADING = Pattern.compile("^\\D{0,0}(\\d{1,6})([a-h](?![a-z]))?");
  private static final Pattern COPY = Pattern.compile("\\((\\d{1,3})\\)\\s*$");
  private static final Pattern ANYWHERE =
      Pattern.compile("(?<![\\dx])(\\d{1,6})(?![\\dxp])([a-h](?![a-z]))?");

  /** Reads a file name; folders before it and the ending are left out. Never fails. */
  public static ClipName parse(String fileName) {
    String base =
        fileName.substring(Math.max(fileName.lastIndexOf('/'), fileName.lastIndexOf('\\')) + 1);
    int dot = base.lastIndexOf('.');
    String original = (dot > 0 ? base.substring(0, dot) : base).strip();
    StringBuilder rest = new StringBuilder(original);
    // Letter by letter: some are two when they are small, and what is found is cut by its place.
    for (int i = 0; i < rest.length(); i++) {
      rest.setCharAt(i, Character.toLowerCase(rest.charAt(i)));
    }
    String scene = cut(SCENE, rest)[0];
    String take = cut(TAKE, rest)[0];
    String[] shot = cut(SHOT, rest);
    if (shot[0].isEmpty()) {
      shot = cut(LEADING, rest);
    }
    if (shot[0].isEmpty() && take.isEmpty()) {
      take = cut(COPY, rest)[0];
    }
    if (shot[0].isEmpty()) {
      shot = cut(ANYWHERE, rest);
    }
    if (take.isEmpty() && !shot[1].isEmpty()) {
      take = Integer.toString(shot[1].charAt(0) - 'a' + 1);
    }
    if (take.isEmpty()) {
      take = cut(COPY, rest)[0];
    }
    int number = take.isEmpty() ? 1 : Math.max(1, Integer.parseInt(take));
    return new ClipName(
        NaturalOrder.unpadded(scene),
        NaturalOrder.unpadded(shot[0]),
        number,
        title(original, rest));
  }

  /** Takes the first match out of the rest, leaving blanks, and returns its groups. */
  private static String[] cut(Pattern pattern, StringBuilder rest) {
    Matcher matcher = pattern.matcher(rest);
    if (!matcher.find()) {
      return new String[] {"", ""};
    }
    String[] groups = {matcher.group(1), ""};
    if (matcher.groupCount() > 1 && matcher.group(2) != null) {
      groups[1] = matcher.group(2);
    }
    for (int i = matcher.start(); i < matcher.end(); i++) {
      rest.setCharAt(i, ' ');
    }
    return groups;
  }

  private static String title(String original, StringBuilder rest) {
    StringBuilder kept = new StringBuilder();
    for (int i = 0; i < original.length(); i++) {
      boolean used = rest.charAt(i) == ' ' && original.charAt(i) != ' ';
      kept.append(used ? ' ' : original.charAt(i));
    }
    String title = kept.toString().replaceAll("[\\s_\\-.,()\\[\\]#]+", " ").strip();
    return title.isEmpty() ? "" : Character.toUpperCase(title.charAt(0)) + title.substring(1);
  }
}
