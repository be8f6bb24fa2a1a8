/**
 * How a film's pictures look, as values: what the film keeps and an edit replaces. Nothing here
 * touches a pixel; {@code picture} and {@code grade} draw what these say.
 *
 * <p>An {@link app.latethistle.core.look.Appearance} is all that is done to one take's picture: how
 * it meets the film's picture ({@link app.latethistle.core.look.Framing}, for the shape the film is
 * cut in and for others), its treatments, matte, {@link app.latethistle.core.look.Levelling} and
 * correction. A {@link app.latethistle.core.look.Transition} says how one shot becomes the next, a
 * {@link app.latethistle.core.look.FramingPath} how the camera moves over a take, a {@link
 * app.latethistle.core.look.Lie} where an upper layer lies, a {@link
 * app.latethistle.core.look.Treatment} one thing more that is done to a picture, whose values may
 * follow a clock ({@link app.latethistle.core.look.Drive}), and a {@link
 * app.latethistle.core.look.Finish} what lies over the whole film.
 *
 * <pre>{@code
 * Appearance plain = Appearance.of(Framing.FILL);
 * Appearance upright = plain.withFraming(plain.framing().with(Shape.of(9, 16), Framing.SOFT));
 * upright.framing().in(Shape.of(9, 16), PictureShape.of(1920, 1080));        // Framing.SOFT
 * FramingPath push = FramingPath.of(View.WHOLE, View.enlarged(1080), Easing.SLOW_BOTH);
 * push.at(1, PictureShape.of(1920, 1080), 16 / 9.0).width();    // 1777.8 pixels of the take
 * Transition.of(TransitionKind.DISSOLVE, Span.quarterBeats(4)); // a beat, its middle on the cut
 * Treatment.of(TreatmentKind.FLASH, Dial.driven(0, Drive.on(Drive.Source.DOWNBEATS, 60, 300)));
 * new EndFade(24).gain(90, 96);                   // 0.15: 6 frames to go
 * }</pre>
 */
package app.latethistle.core.look;
