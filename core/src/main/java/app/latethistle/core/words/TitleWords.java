package app.latethistle.core.words;

import app.latethistle.core.Refused;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a title says.
 *
 * @param kind what it is for
 * @param text its words, with line ends where a line must end; up to 4,000 characters
 * @param second what stands under them in smaller letters; "" for nothing
 */
public record TitleWords(TitleKind kind, String text, String second) {
  private static final int LONGEST = 4_000;
  private static final double SECONDS_A_WORD = 0.3;
  private static final Pattern COUNT = Pattern.compile("\\{(-?\\d{1,7})\\.\\.(-?\\d{1,7})}");

  /**
   * Line ends become "\n", characters that are not seen are taken out.
   *
   * @throws IllegalArgumentException if there are no words or too many
   */
  public TitleWords {
    text = clean(text);
    second = clean(second);
    if (text.isBlank()) {
      throw new Refused("A title says nothing; write a word, or take the title out.");
    }
    if (text.length() + second.length() > LONGEST) {
      throw new Refused(
          "A title has up to "
              + LONGEST
              + " letters, this one "
              + (text.length() + second.length())
              + "; make several of it.");
    }
  }

  private static String clean(String text) {
    return text.replace("\r\n", "\n").replace('\r', '\n').replaceAll("[\\p{Cc}&&[^\\n]]", "");
  }

  /**
   * Seconds that it takes to read them: all words aloud once and a half (common practice, no
   * source), at 200 words a minute.
   */
  public double readingSeconds() {
    return WordBreaks.of(text + " " + second).size() * SECONDS_A_WORD * 1.5;
  }

  /** Whether it has a number that runs. */
  public boolean counts() {
    return COUNT.matcher(text).find();
  }

  /**
   * The same with its running numbers as they stand.
   *
   * @param share of the way to where they end, 0 to 1
   */
  public TitleWords counted(double share) {
    Matcher matcher = COUNT.matcher(text);
    String now =
        matcher.replaceAll(
            found -> {
              long from = Long.parseLong(found.group(1));
              long to = Long.parseLong(found.group(2));
              return Long.toString(from + Math.round((to - from) * share));
            });
    return new TitleWords(kind, now, second);
  }
}
