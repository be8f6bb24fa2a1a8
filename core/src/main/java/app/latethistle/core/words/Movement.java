package app.latethistle.core.words;

/**
 * How a title comes and goes, and what it does between.
 *
 * @param in how it comes, to where it lands
 * @param out how it goes, to its end
 * @param course what it does from its landing to its end
 */
public record Movement(Arrival in, Arrival out, Course course) {
  /** There from one frame to another. */
  public static final Movement NONE = new Movement(Arrival.NONE, Arrival.NONE);

  /** What a title does while it is seen. */
  public enum Course {
    /** It stays where it is. */
    STANDS,
    /** It runs upwards through the picture, as end credits do. */
    ROLLS,
    /** What blank lines part comes one after another, each as the title comes and goes. */
    TURNS
  }

  /** One that stays where it is. */
  public Movement(Arrival in, Arrival out) {
    this(in, out, Course.STANDS);
  }

  /** Whether it runs upwards through the picture. */
  public boolean rolls() {
    return course == Course.ROLLS;
  }
}
