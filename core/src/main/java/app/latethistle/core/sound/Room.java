package app.latethistle.core.sound;

/**
 * Where a sound is heard. The sides and the times in which echoes die away are chosen to be told
 * apart by ear (common practice, no source); what they do to a sound follows from them.
 */
public enum Room {
  /** As it was recorded. */
  NONE(0, 0, 0, 0, 0),
  CUPBOARD(1.2, 1.0, 2.1, 0.18, 0.5),
  CABIN(3.4, 2.8, 2.3, 0.35, 0.7),
  PARLOUR(5.5, 4.2, 2.8, 0.5, 0.5),
  STAIRWELL(3.2, 5.1, 14, 1.5, 0.8),
  CELLAR(7.5, 6.2, 2.5, 1.1, 0.6),
  HALL(18, 12, 7, 1.6, 0.6),
  NAVE(42, 16, 15, 3.4, 0.45),
  VALLEY(160, 90, 70, 2.6, 0.25),
  /** Nothing around it but the ground. */
  OUT_OF_DOORS(0, 0, 0, 0, 0),
  THROUGH_A_WALL(4.5, 3.8, 2.6, 0.4, 0.3),
  SMALL_SPEAKER(0, 0, 0, 0, 0),
  UNDER_WATER(20, 14, 6, 1.3, 0.15);

  private final double length;
  private final double width;
  private final double height;
  private final double seconds;
  private final double brightness;

  Room(double length, double width, double height, double seconds, double brightness) {
    this.length = length;
    this.width = width;
    this.height = height;
    this.seconds = seconds;
    this.brightness = brightness;
  }

  /** Whether it has walls that send echoes. */
  public boolean hasWalls() {
    return length > 0;
  }

  /** Its length, width and height in metres. */
  public double[] sides() {
    return new double[] {length, width, height};
  }

  /** Seconds in which echoes at 1 kHz become softer by 60 dB. */
  public double seconds() {
    return seconds;
  }

  /** How much of that time echoes at 8 kHz have, 0 to 1. */
  public double brightness() {
    return brightness;
  }
}
