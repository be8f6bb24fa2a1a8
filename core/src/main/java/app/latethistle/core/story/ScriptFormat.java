package app.latethistle.core.story;

import java.util.Locale;
import java.util.regex.Pattern;

/** How a script is written. */
public enum ScriptFormat {
  PLAIN,
  MARKDOWN,
  FOUNTAIN,
  CSV;

  private static final Pattern MARKDOWN_SIGN =
      Pattern.compile(
          "(?m)^(#{1,6} |\\s*[-*] |> |\\*{1,3}[^*\\n]{1,80}\\*{1,3}|\\|.*\\|\\s*$|\\d{1,3}[.)] \\*\\*)");
  private static final Pattern FOUNTAIN_SIGN =
      Pattern.compile("(?m)^(?:(?i:INT|EXT|EST|I/E|INT/EXT)[. /]|\\.[A-Za-z]|Title:|@\\w)");
  private static final Pattern CSV_SIGN =
      Pattern.compile("(?i)\\A\\s*\"?(scene|number|shot|kind|type|speaker)\"?\\s*[,;\\t].*");

  /**
   * The format of a text, by the ending of its file's name if there is one that tells, else by its
   * first signs.
   *
   * @param fileName a file's name, or "" for pasted text
   */
  public static ScriptFormat guess(String fileName, String text) {
    String name = fileName.toLowerCase(Locale.ROOT);
    if (name.endsWith(".fountain") || name.endsWith(".spmd")) {
      return FOUNTAIN;
    }
    if (name.endsWith(".md") || name.endsWith(".markdown")) {
      return MARKDOWN;
    }
    if (name.endsWith(".csv") || name.endsWith(".tsv")) {
      return CSV;
    }
    String firstLine = text.strip().lines().findFirst().orElse("");
    if (CSV_SIGN.matcher(firstLine).matches()) {
      return CSV;
    }
    if (FOUNTAIN_SIGN.matcher(text).find()) {
      return FOUNTAIN;
    }
    return MARKDOWN_SIGN.matcher(text).find() ? MARKDOWN : PLAIN;
  }
}
