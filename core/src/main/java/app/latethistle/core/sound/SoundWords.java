package app.latethistle.core.sound;

import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Words that a sound is sought by. Words that mean nearly the same find each other, one letter that
 * is wrong in a word of five, or two in one of eight, is forgiven, and so is the end of a word.
 */
public final class SoundWords {
  /** What means nearly the same among sounds (our own list). */
  private static final List<Set<String>> NEAR =
      Stream.of(
              "wind air breeze gust draught blow",
              "water sea lake river wet",
              "wave lap lapping surf shore",
              "rain drizzle downpour shower",
              "thunder lightning storm",
              "fire flame burn blaze campfire hearth",
              "burner blast gas balloon",
              "match strike light ignite lantern",
              "step foot walk tread footstep",
              "door gate hatch",
              "creak squeak groan hinge",
              "knock tap rap",
              "slam bang shut close",
              "cloth fabric coat clothes sail",
              "paper letter page envelope post mail",
              "rope line cord rigging",
              "wood wooden plank board timber",
              "metal iron steel tin",
              "glass bottle window",
              "break smash shatter crack snap",
              "engine motor machine",
              "crowd people voices murmur chatter",
              "bird chirp song",
              "bell ring chime toll",
              "click switch button",
              "boom hit impact thump thud",
              "riser rise build swell",
              "fall drop descend",
              "whoosh swish pass transition",
              "sub bass low deep",
              "clock tick time watch",
              "heart heartbeat pulse",
              "drone atmosphere pad ambience",
              "silence quiet room tone",
              "snow winter ice cold frost",
              "stone rock gravel")
          .map(line -> Set.of(line.split(" ")))
          .toList();

  /** Which of those sets have a word, by its stem. */
  private static final Map<String, Set<Integer>> SETS = new HashMap<>();

  static {
    for (int i = 0; i < NEAR.size(); i++) {
      for (String word : NEAR.get(i)) {
        SETS.computeIfAbsent(stem(word), stem -> new HashSet<>()).add(i);
      }
    }
  }

  private static final Set<String> EMPTY_WORDS =
      Set.of("a", "an", "the", "of", "on", "in", "at", "to", "and", "with", "sound", "s", "for");

  private final List<String> words;

  private SoundWords(List<String> words) {
    this.words = words;
  }

  /** The words of a query, those that say nothing left out. */
  public static SoundWords of(String query) {
    return new SoundWords(split(query));
  }

  private static List<String> split(String text) {
    return Arrays.stream(text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"))
        .filter(word -> !word.isEmpty() && !EMPTY_WORDS.contains(word))
        .toList();
  }

  /** Whether nothing was asked for. */
  public boolean isEmpty() {
    return words.isEmpty();
  }

  /**
   * How well a sound fits: 0 if no word does; a word of its name counts most.
   *
   * @param more words it is found by beside its name
   */
  public double score(String name, List<String> more) {
    List<String> own = split(name);
    double sum = 0;
    for (String word : words) {
      double best = 0;
      for (String other : own) {
        best = Math.max(best, 3 * likeness(word, other));
      }
      for (String other : more) {
        best = Math.max(best, 2 * likeness(word, other));
      }
      sum += best;
    }
    // Of two that fit alike the one of fewer words is meant.
    return sum == 0 ? 0 : sum / words.size() + 0.1 / (1 + own.size());
  }

  private static double likeness(String a, String b) {
    String first = stem(a);
    String second = stem(b);
    if (first.equals(second)) {
      return 1;
    }
    if (areNear(first, second)) {
      return 0.6;
    }
    int forgiven = Math.min(a.length(), b.length()) >= 8 ? 2 : 1;
    if (Math.min(a.length(), b.length()) >= 5 && distance(a, b) <= forgiven) {
      return 0.7;
    }
    return Math.min(a.length(), b.length()) >= 4 && (a.startsWith(b) || b.startsWith(a)) ? 0.8 : 0;
  }

  private static String stem(String word) {
    for (String end : new String[] {"ing", "es", "ed", "s"}) {
      if (word.length() > end.length() + 3 && word.endsWith(end)) {
        return word.substring(0, word.length() - end.length());
      }
    }
    return word;
  }

  private static boolean areNear(String a, String b) {
    Set<Integer> with = SETS.get(a);
    return with != null && !Collections.disjoint(with, SETS.getOrDefault(b, Set.of()));
  }

  /** Letters that have to be changed, put in or left out (Levenshtein 1966). */
  private static int distance(String a, String b) {
    int[] row = new int[b.length() + 1];
    for (int j = 0; j <= b.length(); j++) {
      row[j] = j;
    }
    for (int i = 1; i <= a.length(); i++) {
      int diagonal = row[0];
      row[0] = i;
      for (int j = 1; j <= b.length(); j++) {
        int old = row[j];
        int change = diagonal + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
        row[j] = Math.min(change, 1 + Math.min(row[j], row[j - 1]));
        diagonal = old;
      }
    }
    return row[b.length()];
  }
}
