package app.latethistle.core.look;

/**
 * All that is done to a take's picture.
 *
 * @param framing how it meets the film's, for each shape
 * @param treatments what is done to it beside its correction
 * @param matte what of it stays
 * @param levelling how its light is made even, before its correction
 * @param correction what is done to its colour
 */
public record Appearance(
    ShapedFraming framing,
    Treatments treatments,
    Matte matte,
    Levelling levelling,
    Correction correction) {

  /** A picture of which only the framing is said. */
  public static Appearance of(Framing framing) {
    return new Appearance(
        ShapedFraming.of(framing), Treatments.NONE, Matte.NONE, Levelling.NONE, Correction.NONE);
  }

  /** The same framed otherwise. */
  public Appearance withFraming(ShapedFraming other) {
    return new Appearance(other, treatments, matte, levelling, correction);
  }

  /** The same treated otherwise. */
  public Appearance withTreatments(Treatments other) {
    return new Appearance(framing, other, matte, levelling, correction);
  }

  /** The same with another matte. */
  public Appearance withMatte(Matte other) {
    return new Appearance(framing, treatments, other, levelling, correction);
  }

  /** The same with its light levelled otherwise. */
  public Appearance withLevelling(Levelling other) {
    return new Appearance(framing, treatments, matte, other, correction);
  }

  /** The same corrected otherwise. */
  public Appearance withCorrection(Correction other) {
    return new Appearance(framing, treatments, matte, levelling, other);
  }
}
