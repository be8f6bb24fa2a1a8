package app.latethistle.core.release;

import app.latethistle.core.Refused;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What an output is called, with words in braces that stand for what it is: {@code {film}} for the
 * film's title, {@code {shape}} such as 9x16, {@code {lines}} of its shorter side, {@code {rate}}
 * in frames a second.
 *
 * @param text 1 to 120 letters
 */
public record NamePattern(String text) {
  private static final int LONGEST = 120;
  private static final Pattern WORD = Pattern.compile("\\{([^{}]*)}");

  /** What a pattern's words stand for. */
  public record Meaning(String film, String shape, int lines, String rate) {
    private Map<String, String> words() {
      Map<String, String> words = new LinkedHashMap<>();
      words.put("film", film);
      words.put("shape", shape.replace(':', 'x'));
      words.put("lines", Integer.toString(lines));
      words.put("rate", rate);
      return words;
    }
  }

  private static final Map<String, String> WORDS = new Meaning("", "", 0, "").words();

  /**
   * Takes blanks off its ends.
   *
   * @throws IllegalArgumentException if there are no letters, too many, or words in braces that
   *     stand for nothing
   */
  public NamePattern {
    text = text == null ? "" : text.strip();
    if (text.isEmpty() || text.length() > LONGEST) {
      throw new Refused("Give the output a name of up to " + LONGEST + " letters.");
    }
    Matcher matcher = WORD.matcher(text);
    while (matcher.find()) {
      if (!WORDS.containsKey(matcher.group(1))) {
        throw new Refused(
            "Nothing is known to stand for {"
                + matcher.group(1)
                + "} in a name; there are {"
                + String.join("}, {", WORDS.keySet())
                + "}.");
      }
    }
  }

  /** The name of one output, cut off after 120 letters. */
  public String named(Meaning meaning) {
    Map<String, String> words = meaning.words();
    String named =
        WORD.matcher(text)
            .replaceAll(found -> Matcher.quoteReplacement(words.get(found.group(1))))
            .strip();
    return named.length() > LONGEST ? named.substring(0, LONGEST).strip() : named;
  }
}
