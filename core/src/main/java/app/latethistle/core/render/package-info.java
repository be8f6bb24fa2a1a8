/**
 * What a frame and a segment of the film are made of.
 *
 * <p>A {@link app.latethistle.core.render.Program} is a film resolved to the last detail that can
 * change a pixel. It is cut into {@link app.latethistle.core.render.Segment segments} of about two
 * seconds, each with a hash over everything that can change it; {@link
 * app.latethistle.core.render.Compositor} makes their frames from a {@link
 * app.latethistle.core.render.PictureSource}, the port behind which decoders live. The scrub frame,
 * the preview and the master use the same compositor; only the size differs.
 *
 * <pre>{@code
 * Program program = Program.of(film, cutting, takes, rate, 1920, 1080);
 * for (Segment segment : program.segments()) {
 *   if (!kept(segment.hash())) {
 *     new Compositor(program, source).draw(segment.range(), encoder::write);
 *   }
 * }
 * }</pre>
 */
package app.latethistle.core.render;
