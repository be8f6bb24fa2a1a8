package app.latethistle.core.release;

import app.latethistle.core.Refused;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What publishing needs beside the file.
 *
 * @param title up to 100 letters
 * @param description up to 5000 letters, without chapters and disclosure, which are put under it
 * @param chapters whether those of the scenes are put under the description
 * @param tags each once, up to 500 letters in all
 * @param generated whether it is said that pictures and voices are generated
 * @param thumbnail the frame it is taken from
 * @param rights under which each asset is used, by the asset's key
 */
public record ReleaseSheet(
    String title,
    String description,
    boolean chapters,
    List<String> tags,
    boolean generated,
    Optional<Long> thumbnail,
    Map<String, String> rights) {
  /** What the most common places of publication take (common practice, no source). */
  public static final int LONGEST_TITLE = 100;

  public static final int LONGEST_DESCRIPTION = 5000;
  public static final int MOST_TAGS = 500;

  /**
   * @throws IllegalArgumentException if a text is too long, with a sentence for the person
   */
  public ReleaseSheet {
    tags =
        List.copyOf(
            new LinkedHashSet<>(
                tags.stream().map(String::strip).filter(tag -> !tag.isEmpty()).toList()));
    rights = Collections.unmodifiableMap(new TreeMap<>(rights));
    within("A title", title.length(), LONGEST_TITLE);
    within("A description", description.length(), LONGEST_DESCRIPTION);
    within("All tags together", tags.stream().mapToInt(String::length).sum(), MOST_TAGS);
  }

  private static void within(String what, int length, int most) {
    if (length > most) {
      throw new Refused(what + " may have " + most + " letters, not " + length + ".");
    }
  }

  /** The same, saying that pictures and voices are generated, or not. */
  public ReleaseSheet withGenerated(boolean now) {
    return new ReleaseSheet(title, description, chapters, tags, now, thumbnail, rights);
  }

  /** The same with another description and other tags. */
  public ReleaseSheet withWords(String said, List<String> tagged) {
    return new ReleaseSheet(title, said, chapters, tagged, generated, thumbnail, rights);
  }

  /** What is said where pictures or voices are generated. */
  public static String disclosure(boolean pictures, List<String> voices) {
    StringBuilder text = new StringBuilder();
    if (pictures) {
      text.append("All pictures are generated.");
    }
    if (!voices.isEmpty()) {
      String names =
          voices.size() == 1
              ? voices.get(0)
              : String.join(", ", voices.subList(0, voices.size() - 1))
                  + " and "
                  + voices.get(voices.size() - 1);
      text.append(text.isEmpty() ? "" : " ")
          .append(voices.size() == 1 ? "The voice " : "The voices ")
          .append(names)
          .append(voices.size() == 1 ? " is synthetic." : " are synthetic.");
    }
    return text.toString();
  }
}
