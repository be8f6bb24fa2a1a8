package app.latethistle.document;

import app.latethistle.core.Refused;
import java.util.Arrays;
import java.util.List;

/** What is meant where a document says nothing, or a name. */
final class Say {
  private Say() {}

  static <T> T or(T said, T usual) {
    return said == null ? usual : said;
  }

  static <T> List<T> or(List<T> said) {
    return said == null ? List.of() : said;
  }

  static <E extends Enum<E>> E or(Class<E> names, String said, E usual) {
    return said == null ? usual : one(names, said);
  }

  /**
   * The value of a name.
   *
   * @throws IllegalArgumentException if there is none, with those there are
   */
  static <E extends Enum<E>> E one(Class<E> names, String said) {
    return Arrays.stream(names.getEnumConstants())
        .filter(known -> known.name().equals(said))
        .findFirst()
        .orElseThrow(
            () ->
                new Refused(
                    "There is no '"
                        + said
                        + "' here; write one of "
                        + String.join(
                            ", ", Arrays.stream(names.getEnumConstants()).map(Enum::name).toList())
                        + "."));
  }
}
