/**
 * Puts right what is wrong in the pictures of a take: fills the place of a mark, or of a thing that
 * should not be there.
 *
 * <p>A {@link app.latethistle.core.repair.Hole} is what is filled, a {@link
 * app.latethistle.core.repair.Clip} are the pictures, and {@link
 * app.latethistle.core.repair.Filling} goes through them: what other moments show is laid in by the
 * camera's movement, what none shows is filled once from its surroundings and goes along.
 *
 * <pre>{@code
 * Filling.fill(clip, hole, (number, frame) -> show(frame), share -> {});
 * }</pre>
 */
package app.latethistle.core.repair;
