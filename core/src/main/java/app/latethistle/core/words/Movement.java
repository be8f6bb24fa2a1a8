package app.latethistle.core.words;

/**
 * How a title comes and goes, and what it does between.
 *
 * @param in how it comes, to where it lands
 * @param out how it goes, to its end
 * @param roll whether it runs upwards through the picture from its landing to its end, as end
 *     credits do
 */
public record Movement(Arrival in, Arrival out, boolean roll) {
  /** There from one frame to another. */
  public static final Movement NONE = new Movement(Arrival.NONE, Arrival.NONE);

  /** One that stays where it is. */
  public Movement(Arrival in, Arrival out) {
    this(in, out, false);
  }
}
