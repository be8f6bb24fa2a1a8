/**
 * Puts right what is wrong in the pictures of a take: marks and things that should not be there,
 * light that flickers, noise, blocks of compression, pictures that repeat, jumps.
 *
 * <p>A {@link app.latethistle.core.repair.Clip} are the pictures; a {@link
 * app.latethistle.core.repair.Mending} goes through them and gives as many, put right, or those
 * that it keeps. {@link app.latethistle.core.repair.Filling} fills a {@link
 * app.latethistle.core.repair.Hole}: what other moments show is laid in by the camera's movement,
 * what none shows is filled once from its surroundings and goes along.
 *
 * <pre>{@code
 * Mending.withoutNoise(1).mend(clip, (number, frame) -> show(frame), share -> {});
 * }</pre>
 */
package app.latethistle.core.repair;
