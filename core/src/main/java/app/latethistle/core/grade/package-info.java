/**
 * Colour: what a {@link app.latethistle.core.look.Correction} makes of a picture, and which one
 * brings a picture to another.
 *
 * <p>A signal is three numbers from 0 to 1, red, green and blue as BT.709 codes them. {@link
 * app.latethistle.core.grade.Grading} is the reference: in floating point, and in this order.
 *
 * <ol>
 *   <li>Where light is added up, BT.709 decoded to linear: exposure; warmth and tint as an
 *       adaptation (Bradford) from D65 to another white.
 *   <li>In the signal, evenly spaced to the eye: contrast about the pivot, blacks and whites,
 *       shoulder and toe, curves.
 *   <li>In Oklab: saturation and vibrance, which keep lightness and hue.
 *   <li>Ranges of colours by themselves, each weighed in Oklab by hue, chroma and lightness.
 *   <li>The colour decision list, in the signal.
 *   <li>Ranges that are meant in a part of the picture, weighed by that too. A colour alone does
 *       not tell where it lies, so they are drawn over the rest, each by a table of its own.
 * </ol>
 *
 * {@link app.latethistle.core.grade.GradeTable} bakes it into one table for frames, so that all of
 * it costs one look-up and rounds once. {@link app.latethistle.core.grade.Lab} and {@link
 * app.latethistle.core.grade.Ciede2000} say how far apart two colours look.
 *
 * <pre>{@code
 * Correction warmer = Correction.of(new Basics(50, 0, 20, 0, 0));    // half a stop, 20 mired
 * Grading.of(warmer).apply(new Signal(0.5, 0.5, 0.5));
 * GradeTable.of(Grading.of(warmer)).draw(frame, into);
 * Match match = Match.between(key, shot);           // pictures of both
 * match.correction().basics().exposure();           // hundredths of a stop for the shot
 * }</pre>
 */
package app.latethistle.core.grade;
