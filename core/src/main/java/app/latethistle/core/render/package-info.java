/**
 * The film as what is drawn: a tree of layers, its segments and their keys, and the ports through
 * which pictures come in.
 *
 * <p>A {@link app.latethistle.core.render.Program} is a film resolved to a tree of {@link
 * app.latethistle.core.render.Layer}s at a rate and a size. Each layer counts its frames from its
 * own start, and what a frame of it shows follows from the layer and that count alone: any frame
 * drawn alone is the same, byte for byte, as drawn in its turn. A {@link
 * app.latethistle.core.render.Segment} is a stretch that is rendered and kept as one; its key
 * covers all that can change a pixel of it, counted from the segment's own start, so that what lies
 * behind an edit keeps its keys. {@link app.latethistle.core.render.Segmentation} has segments
 * begin at cuts, chosen by what lies near them. A {@link app.latethistle.core.render.Compositor}
 * draws the frames from what a {@link app.latethistle.core.render.PictureSource} decodes.
 *
 * <pre>{@code
 * Program program = Program.of(resolved, 1920, 1080);
 * for (Segment segment : Segmentation.MASTER.of(program)) {
 *   new Compositor(program, source).draw(segment.range(), frame -> show(frame));
 * }
 * }</pre>
 */
package app.latethistle.core.render;
