package app.latethistle.media;

/** How good a master's picture is; each step down about halves the file. */
public enum Quality {
  HIGH(16),
  STANDARD(19),
  SMALL(24);

  private final int crf;

  Quality(int crf) {
    this.crf = crf;
  }

  /** The encoder's constant rate factor; smaller is better (common practice, no source). */
  int crf() {
    return crf;
  }
}
