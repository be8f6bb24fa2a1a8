package app.latethistle.standins.painter;

/** What is usually wrong with generated clips. */
public enum Flaw {
  /** Everything a little out of focus. */
  SOFT,
  /** The last third stands still. */
  FROZEN_END,
  /** The picture leaps ahead in the middle. */
  JUMP,
  /** Brightness flickers. */
  FLICKER,
  /** Every picture stands for two: 12 a second in a file of 24. */
  HALF_RATE,
  /** A service's mark in the lower right corner. */
  CORNER_MARK
}
