package app.latethistle.standins.translator;

import app.latethistle.core.Refused;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Puts words in place of words, from a dictionary of about a hundred of them. */
public final class WordForWord {
  private static final String KNOWN = "de";
  private static final Pattern WORD = Pattern.compile("[\\p{L}][\\p{L}'’-]*");

  private final Map<String, String> german = read();

  private static Map<String, String> read() {
    Map<String, String> words = new HashMap<>();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                WordForWord.class.getResourceAsStream(KNOWN + ".txt"), StandardCharsets.UTF_8))) {
      lines.lines().map(line -> line.split(" ", 2)).forEach(pair -> words.put(pair[0], pair[1]));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return words;
  }

  /**
   * An English text in another language, word for word; a word it does not know stays English.
   *
   * @throws IllegalArgumentException if it has no dictionary of that language
   */
  public String translate(String text, String language) {
    if (!language.split("-")[0].equals(KNOWN)) {
      throw new Refused(
          "The translator here is a small dictionary of English and German; write "
              + language
              + " by hand, or bring in a table.");
    }
    Matcher words = WORD.matcher(text);
    return words.replaceAll(word -> Matcher.quoteReplacement(translated(word.group())));
  }

  private String translated(String word) {
    String found = german.get(word.toLowerCase(Locale.ROOT));
    if (found == null) {
      return word;
    }
    boolean capital = Character.isUpperCase(word.codePointAt(0));
    return capital ? found.substring(0, 1).toUpperCase(Locale.ROOT) + found.substring(1) : found;
  }
}
