package app.latethistle.core.story;

import app.latethistle.core.Refused;
import java.util.List;
import java.util.Optional;

/**
 * What every prompt keeps the same.
 *
 * @param people how each looks
 * @param places how each looks
 * @param look of the whole film
 * @param exclusions what no picture may show
 */
public record Sheets(List<Person> people, List<Place> places, Look look, List<String> exclusions) {
  /** Sheets with nothing on them. */
  public static final Sheets EMPTY =
      new Sheets(List.of(), List.of(), new Look("", "", "", "", "", ""), List.of());

  /**
   * A person.
   *
   * @param looks face, age, hair, build
   * @param clothes what is worn all through the film
   * @param picture a media hash, or ""
   */
  public record Person(String name, String looks, String clothes, String picture) {
    /**
     * @throws IllegalArgumentException without a name
     */
    public Person {
      if (name.isBlank()) {
        throw new Refused("Give each person on the sheet a name.");
      }
    }

    /** Looks and clothes in one phrase, or "". */
    String inWords() {
      return join(", ", looks, clothes);
    }
  }

  /** A place and how it looks. */
  public record Place(String name, String looks) {
    /**
     * @throws IllegalArgumentException without a name
     */
    public Place {
      if (name.isBlank()) {
        throw new Refused("Give each place on the sheet a name.");
      }
    }
  }

  /** How the whole film looks. */
  public record Look(
      String lens, String film, String light, String grade, String tone, String shape) {
    String inWords() {
      return join(", ", film, lens, light, grade, tone);
    }
  }

  public Sheets {
    people = List.copyOf(people);
    places = List.copyOf(places);
    exclusions = List.copyOf(exclusions);
  }

  /** The sheet of a person, by name without regard to case. */
  public Optional<Person> person(String name) {
    return people.stream().filter(p -> p.name().equalsIgnoreCase(name.strip())).findFirst();
  }

  /** The sheet of a place, by name without regard to case. */
  public Optional<Place> place(String name) {
    return places.stream().filter(p -> p.name().equalsIgnoreCase(name.strip())).findFirst();
  }

  static String join(String between, String... parts) {
    return java.util.Arrays.stream(parts)
        .map(String::strip)
        .filter(p -> !p.isEmpty())
        .map(p -> p.replaceFirst("[.,;]+$", ""))
        .collect(java.util.stream.Collectors.joining(between));
  }
}
