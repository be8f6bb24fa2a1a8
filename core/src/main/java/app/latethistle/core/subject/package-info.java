/**
 * Cuts a subject out of a clip that has no backing: a person says roughly on one picture what it
 * is, and it is followed through all others.
 *
 * <p>A {@link app.latethistle.core.subject.Guide} holds the strokes drawn on one picture. {@link
 * app.latethistle.core.subject.FirstOutline} parts that picture by its colours and edges; {@link
 * app.latethistle.core.subject.NextOutline} carries a {@link
 * app.latethistle.core.subject.Silhouette} to the picture beside it by many small windows along its
 * edge, each with its own motion and colours. {@link app.latethistle.core.subject.SubjectCut} goes
 * through the clip, from every guide both ways, and hands on how opaque it is everywhere, with a
 * {@link app.latethistle.core.subject.SoftEdge} found in the picture itself.
 *
 * <pre>{@code
 * Guide guide = new Guide(0, List.of(Stroke.around(new Mask.Spot(300, 200), new Mask.Spot(700, 900))));
 * SubjectCut.cut(clip, List.of(guide), (number, opacity) -> show(opacity), share -> {});
 * }</pre>
 */
package app.latethistle.core.subject;
