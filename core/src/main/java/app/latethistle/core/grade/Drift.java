package app.latethistle.core.grade;

/**
 * How far a shot's colours lie from the key shot's, by what both are like as a whole; see {@link
 * Summary}.
 *
 * @param lightness in CIE L*: above 0 the shot is lighter
 * @param warmth in CIE b* of what is nearly neutral: above 0 it is warmer
 * @param colour in CIE chroma: above 0 its colours are stronger
 * @param whole in CIEDE2000, between what stands for each: its lightness and what is nearly neutral
 */
public record Drift(double lightness, double warmth, double colour, double whole) {
  /** Up to here shots look as if one camera took them; common practice, no source. */
  public static final double CLOSE = 3;

  /** From the key to a shot. */
  public static Drift between(Summary key, Summary shot) {
    return new Drift(
        shot.lightness() - key.lightness(),
        shot.b() - key.b(),
        shot.chroma() - key.chroma(),
        Ciede2000.between(
            new Lab(key.lightness(), key.a(), key.b()),
            new Lab(shot.lightness(), shot.a(), shot.b())));
  }
}
