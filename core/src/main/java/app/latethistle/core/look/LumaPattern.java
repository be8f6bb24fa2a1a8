package app.latethistle.core.look;

/** Patterns by which one shot can become the next. */
public enum LumaPattern {
  /** Soft, uneven patches. */
  CLOUDS,
  /** Fine grain, as a sheet of paper that burns through. */
  PAPER,
  /** Strokes across, one after another. */
  BRUSH,
  /** Rings about the middle. */
  RINGS,
  /** Diamonds in rows. */
  LATTICE
}
