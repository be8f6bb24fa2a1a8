package app.latethistle.core.plan;

import app.latethistle.core.film.Film;
import java.util.List;

/**
 * What a planner proposes.
 *
 * @param film the film, each joint with its tie
 * @param leftOut ids of the shots that found no room, in order
 * @param cost the value of the planner's objective; smaller is better
 */
public record CutPlan(Film film, List<String> leftOut, double cost) {}
