package app.latethistle.core.plan;

import app.latethistle.core.film.Film;
import java.util.List;
import java.util.Map;

/**
 * What a planner proposes.
 *
 * @param film the film, each joint with its tie
 * @param frames of its joints
 * @param leftOut ids of the shots that found no room, in order
 * @param terms what each term of the objective came to
 * @param bound no film of the request costs less than this
 */
public record CutPlan(
    Film film, List<Long> frames, List<String> leftOut, Map<Term, Double> terms, double bound) {
  /** Copies list and map. */
  public CutPlan {
    frames = List.copyOf(frames);
    leftOut = List.copyOf(leftOut);
    terms = Map.copyOf(terms);
  }

  /** The value of the objective; smaller is better. */
  public double cost() {
    return terms.values().stream().mapToDouble(Double::doubleValue).sum();
  }

  /** The same plan where it is known that none costs less: its own cost is the bound. */
  CutPlan asBest() {
    return new CutPlan(film, frames, leftOut, terms, cost());
  }
}
