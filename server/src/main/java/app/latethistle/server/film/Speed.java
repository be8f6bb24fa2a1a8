package app.latethistle.server.film;

import app.latethistle.core.film.Run;

/**
 * How a shot runs over the whole of its length, as the page shows and sets it.
 *
 * @param from speed at its first frame, in percent
 * @param to speed at its end
 */
record Speed(Run.Way way, int from, int to, Run.Between between) {
  /** What is seen of a run in a shot of n frames. */
  static Speed of(Run run, long n) {
    return new Speed(run.way(), run.speed(0, n), run.speed(n, n), run.between());
  }

  Run run() {
    return new Run(way, from, to, between);
  }
}
