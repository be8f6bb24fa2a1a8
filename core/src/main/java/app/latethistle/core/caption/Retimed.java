package app.latethistle.core.caption;

import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.words.WordBreaks;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Gives the words of another text the times of what was read: words that are in both keep theirs,
 * those between share the time between them by their letters.
 */
public final class Retimed {
  private Retimed() {}

  /**
   * The words of a text, as {@link WordBreaks} has them.
   *
   * @param read in order; may be empty, then the words have no length
   */
  public static List<Word> words(String text, List<Word> read) {
    List<String> words = WordBreaks.of(text);
    int[] match = matches(words, read);
    long start = read.isEmpty() ? 0 : read.get(0).at().start();
    long end = read.isEmpty() ? 0 : read.get(read.size() - 1).at().end();
    List<Word> timed = new ArrayList<>();
    int from = 0;
    long since = start;
    for (int i = 0; i <= words.size(); i++) {
      boolean anchor = i < words.size() && match[i] >= 0;
      if (anchor || i == words.size()) {
        long until = anchor ? read.get(match[i]).at().start() : end;
        spread(words.subList(from, i), since, Math.max(since, until), timed);
        if (anchor) {
          SampleRange at = read.get(match[i]).at();
          timed.add(new Word(words.get(i), at));
          since = at.end();
        }
        from = i + 1;
      }
    }
    return timed;
  }

  private static void spread(List<String> words, long start, long end, List<Word> into) {
    long letters = words.stream().mapToLong(String::length).sum();
    long before = 0;
    for (String word : words) {
      long at = start + (end - start) * before / Math.max(1, letters);
      before += word.length();
      long until = start + (end - start) * before / Math.max(1, letters);
      into.add(new Word(word, new SampleRange(at, until)));
    }
  }

  /** The place of the same word in what was read, or -1: the longest common sequence. */
  private static int[] matches(List<String> words, List<Word> read) {
    int n = words.size();
    int m = read.size();
    int[][] longest = new int[n + 1][m + 1];
    for (int i = n - 1; i >= 0; i--) {
      for (int j = m - 1; j >= 0; j--) {
        longest[i][j] =
            same(words.get(i), read.get(j).text())
                ? longest[i + 1][j + 1] + 1
                : Math.max(longest[i + 1][j], longest[i][j + 1]);
      }
    }
    int[] match = new int[n];
    int j = 0;
    for (int i = 0; i < n; i++) {
      while (j < m && longest[i][j] == longest[i][j + 1] && longest[i][j] > longest[i + 1][j]) {
        j++;
      }
      boolean found =
          j < m
              && same(words.get(i), read.get(j).text())
              && longest[i][j] == longest[i + 1][j + 1] + 1;
      match[i] = found ? j++ : -1;
    }
    return match;
  }

  private static boolean same(String a, String b) {
    return bare(a).equals(bare(b));
  }

  private static String bare(String word) {
    String letters = word.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    return letters.isEmpty() ? word : letters;
  }
}
