package app.latethistle.core.grade;

/**
 * Where a place of one picture lies in another: turned, enlarged and moved.
 *
 * @param cos enlargement times the cosine of the turn
 * @param sin enlargement times its sine
 */
record Similarity(double cos, double sin, double x, double y) {
  /** A place in both pictures. */
  record Pair(double x, double y, double thereX, double thereY) {}

  /** The one that takes two places to where they lie; not finite if they are one. */
  static Similarity of(Pair one, Pair other) {
    double dx = other.x - one.x;
    double dy = other.y - one.y;
    double ex = other.thereX - one.thereX;
    double ey = other.thereY - one.thereY;
    double square = dx * dx + dy * dy;
    double cos = (dx * ex + dy * ey) / square;
    double sin = (dx * ey - dy * ex) / square;
    return new Similarity(
        cos, sin, one.thereX - cos * one.x + sin * one.y, one.thereY - sin * one.x - cos * one.y);
  }

  double thereX(double px, double py) {
    return cos * px - sin * py + x;
  }

  double thereY(double px, double py) {
    return sin * px + cos * py + y;
  }

  /** How far a pair is missed, in pixels of the other picture. */
  double miss(Pair pair) {
    return Math.hypot(thereX(pair.x, pair.y) - pair.thereX, thereY(pair.x, pair.y) - pair.thereY);
  }

  double enlargement() {
    return Math.hypot(cos, sin);
  }
}
