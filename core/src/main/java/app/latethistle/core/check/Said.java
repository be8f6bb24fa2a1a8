package app.latethistle.core.check;

import java.util.Locale;

/** Sentences with numbers in them. */
final class Said {
  private Said() {}

  /** A sentence, its numbers with a point whatever the machine's language. */
  static String of(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }
}
