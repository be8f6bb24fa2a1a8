package app.latethistle.core.caption;

import app.latethistle.core.words.WordBreaks;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * How badly a text is broken between two words, by what they are. The lists of English, German and
 * French are from memory, no source.
 */
public final class Sense {
  /** After the end of a sentence, after a comma, elsewhere, and where no break belongs. */
  static final double SENTENCE = 0;

  static final double PHRASE = 1;
  static final double PLAIN = 4;
  static final double NEVER = 40;

  /** Words that go with what follows them. */
  private static final Set<String> LEADS =
      Set.of(
          ("a an the this that these those my your his her its our their no every each some any"
                  + " of to in on at by for from with into onto over under through without and or"
                  + " but not very too mr mrs ms dr is are was were be will would can could"
                  + " der die das den dem des ein eine einen einem einer eines kein keine keinen"
                  + " mein meine sein seine ihr ihre unser unsere im am vom zum zur auf mit von zu"
                  + " für und oder aber nicht sehr aus bei nach ohne über unter durch"
                  + " le la les un une du de au aux et ou")
              .split(" "));

  private static final Pattern SENTENCE_END = Pattern.compile(".*[.!?…。！？][\"'”’)\\]」』）]*");
  private static final Pattern PHRASE_END = Pattern.compile(".*[,;:–—、，；：][\"'”’)\\]」』）]*");
  private static final Pattern NUMBER = Pattern.compile("\\d[\\d.,]*");

  private Sense() {}

  /**
   * How badly a text is broken after a word that another one follows.
   *
   * @param marked the word, which may end with what says that no space follows
   */
  public static double badness(String marked, String next) {
    String word = WordBreaks.seen(marked);
    if (SENTENCE_END.matcher(word).matches()) {
      return SENTENCE;
    }
    if (PHRASE_END.matcher(word).matches()) {
      return PHRASE;
    }
    String bare = word.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}']", "");
    boolean number = NUMBER.matcher(word).matches();
    boolean names = isCapital(word) && isCapital(next);
    return LEADS.contains(bare) || number || names ? NEVER : PLAIN;
  }

  private static boolean isCapital(String word) {
    return !word.isEmpty() && Character.isUpperCase(word.codePointAt(0)) && word.length() > 1;
  }
}
