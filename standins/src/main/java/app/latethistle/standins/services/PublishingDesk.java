package app.latethistle.standins.services;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A stand-in for a place that publishes films: it takes what is handed over, holds it against
 * limits of its own and says what came in. Nothing leaves the machine.
 */
public final class PublishingDesk {
  private static final int LONGEST_TITLE = 100;
  private static final int LONGEST_DESCRIPTION = 5000;
  private static final int MOST_TAGS = 30;
  private static final double LONGEST_FILM = 12 * 3600;

  private PublishingDesk() {}

  /** What a film is made of. */
  public record Source(String kind, String name, String rights) {}

  /** What is handed over with a film. */
  public record HandOver(
      String title,
      String description,
      List<String> tags,
      boolean generated,
      double seconds,
      List<Source> sources) {
    public HandOver {
      tags = List.copyOf(tags);
      sources = List.copyOf(sources);
    }
  }

  /**
   * What the desk says.
   *
   * @param taken whether it takes it
   * @param said what came in, or what is wrong
   */
  public record Receipt(boolean taken, List<String> said) {
    public Receipt {
      said = List.copyOf(said);
    }
  }

  /** Takes a hand-over, or says why not. */
  public static Receipt take(HandOver given) {
    List<String> wrong = new ArrayList<>();
    if (given.title().isBlank()) {
      wrong.add("There is no title.");
    }
    most(wrong, "The title", given.title().length(), LONGEST_TITLE, "letters");
    most(wrong, "The description", given.description().length(), LONGEST_DESCRIPTION, "letters");
    most(wrong, "The list of tags", given.tags().size(), MOST_TAGS, "tags");
    if (!given.generated()) {
      wrong.add("It is not said that pictures are generated; they are made by services.");
    }
    if (!(given.seconds() > 0 && given.seconds() <= LONGEST_FILM)) {
      wrong.add("A film here is up to twelve hours long.");
    }
    given.sources().stream()
        .filter(source -> source.rights().isBlank())
        .forEach(
            source ->
                wrong.add(
                    "The rights of " + source.kind() + " “" + source.name() + "” are not stated."));
    if (!wrong.isEmpty()) {
      return new Receipt(false, wrong);
    }
    return new Receipt(
        true,
        List.of(
            String.format(
                Locale.ROOT,
                "“%s”, %.1f s, %d letters of description, %d tags, %d sources.",
                given.title(),
                given.seconds(),
                given.description().length(),
                given.tags().size(),
                given.sources().size()),
            "Nothing has left this machine: the desk is a stand-in."));
  }

  private static void most(List<String> wrong, String what, int is, int most, String unit) {
    if (is > most) {
      wrong.add(what + " has " + is + " " + unit + "; " + most + " are taken.");
    }
  }
}
