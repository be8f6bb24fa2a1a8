package app.latethistle.core.caption;

import app.latethistle.core.look.Shape;

/**
 * What captions keep to. The usual values are those that published guides for adult programmes
 * agree on: 42 letters a line, two lines, 17 letters a second and 20 at most, 5/6 s to 7 s, two
 * frames apart (Netflix, "Timed Text Style Guide"; BBC, "Subtitle Guidelines"; both from memory).
 * Letters of Chinese, Japanese and Korean, which are twice as wide, count as two.
 *
 * @param letters of a line, spaces counted
 * @param lines at once
 * @param perSecond letters that are read in a second with ease
 * @param mostPerSecond letters that can be read in a second
 * @param least seconds that one should stand
 * @param shortest seconds that one must stand
 * @param longest seconds that one may stand
 * @param apart frames between two
 * @param joined seconds of a gap that is closed, so that nothing blinks (from memory)
 * @param beforeCut seconds by which one does not begin or end beside a cut (from memory)
 */
public record CaptionRules(
    int letters,
    int lines,
    double perSecond,
    double mostPerSecond,
    double least,
    double shortest,
    double longest,
    long apart,
    double joined,
    double beforeCut) {
  public static final CaptionRules USUAL =
      new CaptionRules(42, 2, 17, 20, 1, 5.0 / 6, 7, 2, 0.5, 0.3);

  private static final double WIDE = 16.0 / 9;
  private static final int FEWEST = 20;

  /**
   * Shorter lines in shapes that are less wide: letters grow as the picture gets narrower, so that
   * they fall by the root of its width (no source; 24 letters in 9:16).
   */
  public CaptionRules in(Shape shape) {
    double wide = Math.min(1, (double) shape.across() / shape.down() / WIDE);
    return withLetters((int) Math.max(FEWEST, Math.round(letters * Math.sqrt(wide))), lines);
  }

  /** The same for words that follow speech: they are heard while they are read. */
  public CaptionRules followingSpeech() {
    return new CaptionRules(letters, 1, 30, 60, 0, 0, longest, 0, joined, 0);
  }

  /** The same with other lines. */
  public CaptionRules withLetters(int otherLetters, int otherLines) {
    return new CaptionRules(
        otherLetters,
        otherLines,
        perSecond,
        mostPerSecond,
        least,
        shortest,
        longest,
        apart,
        joined,
        beforeCut);
  }
}
