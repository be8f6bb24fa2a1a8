package app.latethistle.core.look;

/**
 * What is done to a picture's colour: first the five numbers a person reads, then its tones, then a
 * list of the ASC.
 *
 * @param basics exposure, contrast, warmth, tint, saturation
 * @param tones black and white, where dark and light bend, curves
 * @param cdl what a colour decision list says
 */
public record Correction(Basics basics, Tones tones, Cdl cdl) {
  /** The picture as it came. */
  public static final Correction NONE = new Correction(Basics.NONE, Tones.NONE, Cdl.NONE);

  /** A correction by the five numbers alone. */
  public static Correction of(Basics basics) {
    return new Correction(basics, Tones.NONE, Cdl.NONE);
  }

  /** Whether it leaves all as it is. */
  public boolean isNone() {
    return equals(NONE);
  }

  /** The same with other numbers. */
  public Correction withBasics(Basics other) {
    return new Correction(other, tones, cdl);
  }

  /** The same with other tones. */
  public Correction withTones(Tones other) {
    return new Correction(basics, other, cdl);
  }

  /** The same with another list. */
  public Correction withCdl(Cdl other) {
    return new Correction(basics, tones, other);
  }
}
