package app.latethistle.core.film;

import app.latethistle.core.measure.Trail;

/**
 * A place in a take with which a title goes over the picture, or a sound from left to right. It is
 * seen wherever the film shows the take.
 *
 * @param take the take's id
 * @param trail where the place goes in it
 */
public record Following(String take, Trail trail) {}
