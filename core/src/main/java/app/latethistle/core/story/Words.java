package app.latethistle.core.story;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Words and sentences of a text. */
public final class Words {
  private static final Pattern WORD =
      Pattern.compile("[\\p{L}\\p{M}\\p{N}]+(?:['’-][\\p{L}\\p{M}\\p{N}]+)*");

  /** An end of a sentence: a stop that is not inside a number or behind a common short form. */
  private static final Pattern END =
      Pattern.compile("(?<!\\b(?:Mr|Mrs|Ms|Dr|St|No|vs|etc))[.!?…]+[\"”’')\\]]*(?=\\s|$)");

  /** English words that carry grammar rather than meaning. */
  private static final Set<String> FUNCTION =
      Set.of(
          ("a an the and or but nor so yet if then than as at by for from in into of off on onto out"
                  + " over to up down with within without under until while i you he she it we they"
                  + " me him her us them my your his its our their this that these those who whom"
                  + " which what when where why how is am are was were be been being do does did has"
                  + " have had will would shall should can could may might must not no there here")
              .split(" "));

  private Words() {}

  /** The words of a text as they are written; a word with a hyphen or apostrophe is one. */
  public static List<String> of(String text) {
    List<String> words = new ArrayList<>();
    Matcher m = WORD.matcher(text);
    while (m.find()) {
      words.add(m.group());
    }
    return words;
  }

  /** How many words a text has. */
  public static int count(String text) {
    return of(text).size();
  }

  /** The words that carry meaning, in small letters. */
  public static List<String> content(String text) {
    return of(text).stream()
        .map(w -> w.toLowerCase(Locale.ROOT))
        .filter(w -> !FUNCTION.contains(w))
        .toList();
  }

  /** The sentences of a text, in order, each with its stop. */
  public static List<String> sentences(String text) {
    List<String> sentences = new ArrayList<>();
    Matcher m = END.matcher(text);
    int from = 0;
    while (m.find()) {
      add(sentences, text.substring(from, m.end()));
      from = m.end();
    }
    add(sentences, text.substring(from));
    return sentences;
  }

  private static void add(List<String> sentences, String text) {
    if (count(text) > 0) {
      sentences.add(text.strip());
    }
  }

  /** How alike two texts are by their words: 2 x shared / all, 0 to 1 (Dice's coefficient). */
  public static double likeness(String a, String b) {
    List<String> left = new ArrayList<>(of(a.toLowerCase(Locale.ROOT)));
    List<String> right = of(b.toLowerCase(Locale.ROOT));
    int all = left.size() + right.size();
    int shared = 0;
    for (String word : right) {
      shared += left.remove(word) ? 1 : 0;
    }
    return all == 0 ? 0 : 2.0 * shared / all;
  }
}
