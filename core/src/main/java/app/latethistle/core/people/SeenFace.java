package app.latethistle.core.people;

import app.latethistle.core.take.Box;

/**
 * A face that a picture shows.
 *
 * @param place from the brows to the chin, in parts of the picture's sides
 * @param certainty 0.5 to 1
 */
public record SeenFace(Box place, double certainty) {}
