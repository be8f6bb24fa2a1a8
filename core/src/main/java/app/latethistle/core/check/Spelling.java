package app.latethistle.core.check;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Finds words that are written otherwise than the script writes them: not among its words, but one
 * or two letters from one of them.
 */
public final class Spelling {
  private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}]+(?:['’][\\p{L}\\p{M}]+)*");

  /** Shorter words lie near each other by chance. */
  private static final int LEAST = 5;

  /** From so many letters on two may be wrong. */
  private static final int LONG = 8;

  private final Set<String> known = new HashSet<>();

  /**
   * @param script texts whose spelling holds
   */
  public Spelling(Stream<String> script) {
    script.flatMap(Spelling::words).forEach(known::add);
  }

  /** A word and what the script writes instead. */
  public record Slip(String word, String meant) {}

  /** The slips in a text, in order. */
  public List<Slip> in(String text) {
    return words(text)
        .filter(word -> word.length() >= LEAST && !known.contains(word))
        .flatMap(word -> nearest(word).stream().map(meant -> new Slip(word, meant)))
        .toList();
  }

  /** The words of a text in small letters. */
  private static Stream<String> words(String text) {
    return WORD.matcher(text).results().map(found -> found.group().toLowerCase(Locale.ROOT));
  }

  private Optional<String> nearest(String word) {
    int most = word.length() >= LONG ? 2 : 1;
    String best = null;
    int least = most + 1;
    for (String other : known) {
      if (other.length() < LEAST || isFormOf(word, other)) {
        continue;
      }
      int distance = distance(word, other, least);
      if (distance < least || (distance == least && best != null && other.compareTo(best) < 0)) {
        best = other;
        least = distance;
      }
    }
    return Optional.ofNullable(least <= most ? best : null);
  }

  /** Whether two words differ by an ending alone: letters and lettered are both right. */
  private static boolean isFormOf(String a, String b) {
    int shorter = Math.min(a.length(), b.length());
    int same = 0;
    while (same < shorter && a.charAt(same) == b.charAt(same)) {
      same++;
    }
    return same >= shorter - 1;
  }

  /**
   * Letters to be put in, left out, changed, or two neighbours exchanged (Damerau 1964).
   *
   * @param enough a distance from which on it does not matter how far it is
   */
  private static int distance(String a, String b, int enough) {
    if (Math.abs(a.length() - b.length()) > enough) {
      return enough + 1;
    }
    int[][] d = new int[a.length() + 1][b.length() + 1];
    for (int i = 0; i <= a.length(); i++) {
      for (int j = 0; j <= b.length(); j++) {
        if (i == 0 || j == 0) {
          d[i][j] = i + j;
          continue;
        }
        int change = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
        d[i][j] = Math.min(d[i - 1][j - 1] + change, Math.min(d[i - 1][j], d[i][j - 1]) + 1);
        if (i > 1
            && j > 1
            && a.charAt(i - 1) == b.charAt(j - 2)
            && a.charAt(i - 2) == b.charAt(j - 1)) {
          d[i][j] = Math.min(d[i][j], d[i - 2][j - 2] + 1);
        }
      }
    }
    return d[a.length()][b.length()];
  }
}
