/**
 * Marks that services burn into their clips, as a film shows them: where they are seen, what covers
 * them, what keeps them out.
 *
 * <p>{@link app.latethistle.core.marks.SeenMark} says where in the film's picture a mark of a take
 * is seen, {@link app.latethistle.core.marks.Covers} whether something lies over that place all the
 * while. {@link app.latethistle.core.marks.Cropping} frames a mark out, {@link
 * app.latethistle.core.marks.CinemaBars} finds bars that lie over it, {@link
 * app.latethistle.core.marks.Badge} lays the channel's own {@link app.latethistle.core.marks.Sign}
 * over it.
 *
 * <pre>{@code
 * Marked marked = new Marked(resolved, picture);             // takes know their marks
 * marked.seen();                                             // shots that show one, and where
 * Covers covers = Covers.of(marked, faces);                  // bars, plates of titles
 * marked.seen().stream().filter(s -> !covers.hides(s));      // what is left to be put right
 * new Badge(Sign.of("Night Post"), Badge.Reach.WHERE_NEEDED).over(marked, faces).apply(film);
 * }</pre>
 */
package app.latethistle.core.marks;
