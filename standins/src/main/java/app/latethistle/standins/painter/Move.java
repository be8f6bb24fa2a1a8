package app.latethistle.standins.painter;

/** Camera moves the painter knows. */
public enum Move {
  STILL(0, 0, 0),
  PUSH_IN(0.16, 0, 0),
  PULL_OUT(-0.16, 0, 0),
  PAN_RIGHT(0, 90, 0),
  PAN_LEFT(0, -90, 0),
  TILT_UP(0, 0, -60),
  TILT_DOWN(0, 0, 60),
  ORBIT(0.03, 80, 0),
  RISE(0.03, 0, -70);

  private final double zoom;
  private final double right;
  private final double down;

  Move(double zoom, double right, double down) {
    this.zoom = zoom;
    this.right = right;
    this.down = down;
  }

  /** How much larger the picture is at a part of the clip, 0 to 1. */
  double zoomAt(double part) {
    double from = zoom < 0 ? -zoom : 0;
    return 1.06 + from + zoom * ease(part);
  }

  double rightAt(double part) {
    return right * (ease(part) - 0.5);
  }

  double downAt(double part) {
    return down * (ease(part) - 0.5);
  }

  /** Slow at both ends; past the end it goes on as it ended. */
  private static double ease(double part) {
    if (part > 1) {
      return 1 + (part - 1) * 0.6;
    }
    return part * part * (3 - 2 * part) * 0.4 + part * 0.6;
  }
}
