package app.latethistle.core.film;

import java.util.Objects;

/**
 * Has a line of the voice read, tightened or started otherwise. What is settled of a line is not
 * part of the film, but where the film's cuts are follows from it: whoever keeps it settles it anew
 * when this edit is undone or done again.
 *
 * @param line its id
 * @param number its place in the script, from 1
 */
public record Revoice(String line, int number, Settled before, Settled after) implements Edit {

  /**
   * What is settled of a line.
   *
   * @param reading the id of the reading that is used; "" for none
   * @param start what kind of moment it starts on
   * @param value which of these; null as the delivery has it
   * @param longest the longest pause left in it, in seconds; null for all as read
   */
  public record Settled(String reading, String start, Double value, Double longest) {}

  @Override
  public Film apply(Film film) {
    return film;
  }

  @Override
  public Edit inverse(Film film) {
    return new Revoice(line, number, after, before);
  }

  @Override
  public String label() {
    if (!before.reading.equals(after.reading)) {
      return (before.reading.isEmpty() ? "the reading of line " : "another reading of line ")
          + number;
    }
    return (Objects.equals(before.longest, after.longest)
            ? "another start of line "
            : "tighten line ")
        + number;
  }
}
