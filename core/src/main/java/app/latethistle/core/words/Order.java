package app.latethistle.core.words;

/** In which order the units of a title come or go. */
public enum Order {
  /** All at once. */
  TOGETHER,
  /** As they are read. */
  FORWARD,
  /** The last one first. */
  BACKWARD,
  /** The middle one first. */
  FROM_MIDDLE,
  /** By chance, which hangs on the seed alone. */
  RANDOM,
  /** The first one where the title lands, each other one on a beat after it. */
  ON_BEATS,
  /** The first one where the title lands, each other one on a spoken word after it. */
  ON_WORDS;

  /** Whether units land on a clock, one after another. */
  public boolean onClock() {
    return this == ON_BEATS || this == ON_WORDS;
  }
}
