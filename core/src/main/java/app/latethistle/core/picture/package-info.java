/**
 * Frames: planar 8-bit 4:2:0, BT.709 limited range, and what is done to them.
 *
 * <p>A clip's frame meets the film's picture through a {@link app.latethistle.core.picture.Framer},
 * made once for a clip shape, a film shape and a framing, then used for every frame:
 *
 * <pre>{@code
 * Framer framer = Framer.of(PictureShape.of(720, 720), 1920, 1080, Framing.FIT);
 * framer.draw(source, target);
 * Fade.toBlack(target, 0.5);
 * }</pre>
 *
 * A {@link app.latethistle.core.picture.PathFramer} does the same along a camera's path, and a
 * {@link app.latethistle.core.picture.TransitionPainter} draws what is seen while one picture
 * becomes another; a {@link app.latethistle.core.picture.TreatmentPainter} does one thing more to a
 * picture, and a {@link app.latethistle.core.picture.Keyer} takes a backing colour out of one.
 *
 * <p>The hot loops work row by row on {@code byte[]} with whole-row loops instead of per-pixel
 * objects, so that the compiler can turn them into vector code.
 */
package app.latethistle.core.picture;
