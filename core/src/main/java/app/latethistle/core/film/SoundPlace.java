package app.latethistle.core.film;

/**
 * Where a sound is in the film, in its samples, without repeats and what a room adds.
 *
 * @param start its first sample; it may lie before the film
 * @param landing the one that lands
 * @param end the one after its last
 */
public record SoundPlace(long start, long landing, long end) {}
