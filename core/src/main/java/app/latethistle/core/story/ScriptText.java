package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Changes a script's text and leaves the rest of it as it is written. */
public final class ScriptText {
  private ScriptText() {}

  /**
   * Takes words out of a spoken line. Marks of emphasis and line breaks between the words go with
   * them; a line that is left with nothing to say goes whole.
   *
   * @param text the script's text
   * @param sourceLine the line of the text that the spoken line begins on, from 1
   * @param gone the words, as {@link Shortening} offers them
   * @throws IllegalArgumentException if they do not stand there
   */
  public static String without(String text, int sourceLine, String gone) {
    int from = startOf(text, sourceLine);
    String between = "(?:[\\s*_>]|\\R)*";
    String pattern =
        Words.of(gone).stream().map(Pattern::quote).collect(Collectors.joining("[^\\p{L}\\p{N}]+"));
    boolean opens = gone.matches("^[^\\p{L}\\p{N}].*");
    boolean ends = gone.matches("(?s).*[^\\p{L}\\p{N}]$");
    Matcher m =
        Pattern.compile(
                (opens ? "[,(–—-]?\\s*" : "")
                    + "(?<![\\p{L}\\p{N}])[*_]*"
                    + pattern
                    + "(?![\\p{L}\\p{N}])[*_]*"
                    + (ends ? "[)\\s]*[.!?…,;–—-]*[\"”]?" : "")
                    + (opens ? "" : between))
            .matcher(text);
    if (!m.find(from)) {
      throw new Refused(
          "The words '" + gone + "' do not stand on line " + sourceLine + " of the script.");
    }
    String before = text.substring(0, m.start());
    String after = text.substring(m.end());
    boolean broke = m.group().endsWith("\n") && !after.startsWith("\n");
    return tidy(before + (broke ? "\n" : "") + after, sourceLine);
  }

  private static int startOf(String text, int sourceLine) {
    int at = 0;
    for (int line = 1; line < sourceLine && at >= 0; line++) {
      at = text.indexOf('\n', at) + 1;
    }
    return Math.max(0, at);
  }

  /** Mends the line: blanks, a small letter at its start, a name with nothing behind it. */
  private static String tidy(String text, int sourceLine) {
    List<String> lines = new java.util.ArrayList<>(List.of(text.split("\n", -1)));
    int i = sourceLine - 1;
    String line =
        lines.get(i).replaceAll(" {2,}", " ").replaceAll(" ([,.!?;])", "$1").stripTrailing();
    Matcher m =
        Pattern.compile("^(\\s*(?:>\\s*)?(?:[*_]*[^:.!?]{1,60}:[*_]*\\s*)?)(.*)$").matcher(line);
    if (m.matches()) {
      String said = m.group(2).replaceFirst("^[,;]\\s*", "");
      boolean silent =
          (Words.count(said) == 0 && Words.count(line) > 0) || line.strip().equals(">");
      if (silent) {
        lines.remove(i);
        return String.join("\n", lines);
      }
      if (!said.isEmpty()) {
        line = m.group(1) + Character.toUpperCase(said.charAt(0)) + said.substring(1);
      }
    }
    lines.set(i, line);
    return String.join("\n", lines);
  }
}
