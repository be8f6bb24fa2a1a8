package app.latethistle.core.release;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A question to be answered before a film is published, where most places have a rule. It is raised
 * by words alone and says nothing of the film: a person knows what they mean.
 *
 * @param because the words that raise it, at most six, each once, in small letters
 */
public record Hint(About about, List<String> because) {
  private static final int MOST = 6;
  private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}]+(?:['’-][\\p{L}\\p{M}]+)*");

  /** What a rule is about; the words that raise it are ours (no source). */
  public enum About {
    REAL_PEOPLE(
        "Is somebody who lives or lived shown, named, or heard in their own voice? Most places ask"
            + " for their leave, and that it is said.",
        "president minister king queen celebrity politician senator pope actor actress singer"
            + " footballer mayor"),
    CHILDREN(
        "Are children shown, or is it made for them? Most places ask that it is said.",
        "child children boy boys girl girls baby babies kid kids toddler toddlers schoolboy"
            + " schoolgirl orphan nursery playground"),
    VIOLENCE(
        "Is somebody hurt or killed, or are weapons shown? Most places ask for a limit of age.",
        "blood bloody bleeding kill kills killed killing killer murder murdered gun guns rifle"
            + " pistol knife knives stab stabbed corpse corpses weapon weapons bomb bombs torture"
            + " tortured executed massacre suicide");

    private final String question;
    private final String words;

    About(String question, String words) {
      this.question = question;
      this.words = words;
    }

    /** For people. */
    public String question() {
      return question;
    }
  }

  /** Copies the list. */
  public Hint {
    because = List.copyOf(because);
  }

  /**
   * The questions that texts of a film raise.
   *
   * @param texts its script, what its shots show, its titles
   */
  public static List<Hint> of(Stream<String> texts) {
    List<String> words =
        texts.flatMap(t -> WORD.matcher(t).results().map(found -> found.group())).toList();
    List<Hint> all = new ArrayList<>();
    for (About about : About.values()) {
      Set<String> raising = Set.of(about.words.split(" "));
      Set<String> found =
          words.stream()
              .map(word -> word.toLowerCase(Locale.ROOT))
              .filter(raising::contains)
              .collect(Collectors.toCollection(LinkedHashSet::new));
      if (!found.isEmpty()) {
        all.add(new Hint(about, found.stream().limit(MOST).toList()));
      }
    }
    return all;
  }
}
