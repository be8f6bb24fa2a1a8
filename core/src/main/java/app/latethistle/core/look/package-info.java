/**
 * How a film's pictures look, as values: what the film keeps and an edit replaces. Nothing here
 * touches a pixel; {@code picture} and {@code grade} draw what these say.
 *
 * <p>An {@link app.latethistle.core.look.Appearance} is all that is done to one take's picture: how
 * it meets the film's picture ({@link app.latethistle.core.look.Framing}, for the shape the film is
 * cut in and for others), its treatments, matte and correction. A {@link
 * app.latethistle.core.look.Transition} says how one shot becomes the next, a {@link
 * app.latethistle.core.look.Lie} where an upper layer lies, and a {@link
 * app.latethistle.core.look.Finish} what lies over the whole film.
 *
 * <pre>{@code
 * Appearance plain = Appearance.of(Framing.FILL);
 * Appearance upright = plain.withFraming(plain.framing().with(Shape.of(9, 16), Framing.SOFT));
 * upright.framing().in(Shape.of(16, 9));          // Framing.FILL
 * new EndFade(24).gain(90, 96);                   // 0.15: 6 frames to go
 * }</pre>
 */
package app.latethistle.core.look;
