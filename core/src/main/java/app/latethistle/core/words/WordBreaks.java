package app.latethistle.core.words;

import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * The words of a text, in scripts that put spaces between them and in those that do not: Chinese,
 * Japanese, Thai, Lao, Khmer and Burmese. A word that the next one follows without a space ends
 * with Unicode's zero width space (U+200B), which says just that.
 *
 * <p>Without spaces a text is broken where Unicode's line breaking (UAX #14, as Java has it) lets a
 * line end; in Japanese only before what begins a phrase there, which is neither hiragana nor goes
 * on with the script before it (from memory, no source).
 */
public final class WordBreaks {
  /** Ends a word that the next one follows without a space; it is not seen. */
  public static final char NO_SPACE = '\u200b';

  /** Its rules break every script, its words those of Thai, which has no spaces, too. */
  private static final Locale THAI = Locale.forLanguageTag("th");

  private WordBreaks() {}

  /** The words of a text, where it says itself or as above; none of a blank one. */
  public static List<String> of(String text) {
    List<String> words = new ArrayList<>();
    for (String spaced : text.strip().split("\\s+")) {
      List<String> parts = parts(spaced).stream().filter(part -> !part.isEmpty()).toList();
      for (int i = 0; i < parts.size(); i++) {
        words.add(i + 1 < parts.size() ? parts.get(i) + NO_SPACE : parts.get(i));
      }
    }
    return words;
  }

  /** The pieces of a text between which a line may be broken, in any script; one at least. */
  public static List<String> pieces(String text) {
    BreakIterator breaks = BreakIterator.getLineInstance(THAI);
    breaks.setText(text);
    List<String> pieces = new ArrayList<>();
    int from = breaks.first();
    for (int to = breaks.next(); to != BreakIterator.DONE; from = to, to = breaks.next()) {
      pieces.add(text.substring(from, to));
    }
    return pieces.isEmpty() ? List.of("") : pieces;
  }

  /** Words one after another, as they are written. */
  public static String joined(List<String> words) {
    return seen(marked(words));
  }

  /** The same with what says where words end that no space follows. */
  public static String marked(List<String> words) {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i < words.size(); i++) {
      text.append(words.get(i));
      if (i + 1 < words.size() && !isFollowedAtOnce(words.get(i))) {
        text.append(' ');
      }
    }
    return text.toString();
  }

  /** Whether the next word follows a word without a space. */
  public static boolean isFollowedAtOnce(String word) {
    return !word.isEmpty() && word.charAt(word.length() - 1) == NO_SPACE;
  }

  /** A text without what is not seen of it. */
  public static String seen(String text) {
    return text.replace(String.valueOf(NO_SPACE), "");
  }

  /**
   * How many letters of usual width a text takes up: those that are wide in Unicode's East Asian
   * Width (UAX #11), of Chinese, Japanese and Korean, count as two.
   */
  public static int columns(String text) {
    return text.codePoints().map(WordBreaks::columns).sum();
  }

  private static int columns(int letter) {
    if (letter == NO_SPACE) {
      return 0;
    }
    boolean wide =
        switch (Character.UnicodeScript.of(letter)) {
          case HAN, HIRAGANA, KATAKANA, HANGUL, BOPOMOFO -> !isHalfwidth(letter);
          default -> isWideMark(letter);
        };
    return wide ? 2 : 1;
  }

  private static boolean isHalfwidth(int letter) {
    return letter >= 0xff61 && letter <= 0xffdc;
  }

  private static boolean isWideMark(int letter) {
    return (letter >= 0x3000 && letter <= 0x303e)
        || (letter >= 0xff01 && letter <= 0xff60)
        || letter == 0x30fb
        || letter == 0x30fc;
  }

  /** The parts of what no space is in; all of it where its script has spaces. */
  private static List<String> parts(String spaced) {
    if (spaced.indexOf(NO_SPACE) >= 0) {
      return List.of(spaced.split(String.valueOf(NO_SPACE)));
    }
    if (spaced.codePoints().noneMatch(WordBreaks::isUnspaced)) {
      return List.of(spaced);
    }
    List<String> pieces = pieces(spaced);
    return spaced.codePoints().anyMatch(WordBreaks::isKana) ? phrases(pieces) : pieces;
  }

  /** Pieces of Japanese, joined to those that begin a phrase. */
  private static List<String> phrases(List<String> pieces) {
    List<String> phrases = new ArrayList<>();
    for (String piece : pieces) {
      int last = phrases.size() - 1;
      String before = phrases.isEmpty() ? "" : phrases.get(last);
      if (before.isEmpty()
          || beginsPhrase(before.codePointBefore(before.length()), piece.codePointAt(0))) {
        phrases.add(piece);
      } else {
        phrases.set(last, before + piece);
      }
    }
    return phrases;
  }

  private static boolean isUnspaced(int letter) {
    return switch (Character.UnicodeScript.of(letter)) {
      case HAN, HIRAGANA, KATAKANA, THAI, LAO, KHMER, MYANMAR -> true;
      default -> false;
    };
  }

  private static boolean isKana(int letter) {
    Character.UnicodeScript script = Character.UnicodeScript.of(letter);
    return script == Character.UnicodeScript.HIRAGANA || script == Character.UnicodeScript.KATAKANA;
  }

  private static boolean beginsPhrase(int before, int after) {
    Character.UnicodeScript script = Character.UnicodeScript.of(after);
    return !Character.isLetterOrDigit(before)
        || (script != Character.UnicodeScript.HIRAGANA
            && script != Character.UnicodeScript.of(before));
  }
}
