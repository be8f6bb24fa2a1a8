/**
 * What stands in words on the picture, as values: what the film keeps and an edit replaces. Nothing
 * here knows a letter's form; {@code type} draws what these say, {@code caption} breaks what is
 * spoken into captions.
 *
 * <p>A title is {@link app.latethistle.core.words.TitleWords} set in a {@link
 * app.latethistle.core.words.Lettering}, in a {@link app.latethistle.core.words.Box} of the picture
 * that another shape may have elsewhere ({@link app.latethistle.core.words.ShapedBox}), coming and
 * going by a {@link app.latethistle.core.words.Movement}. {@link
 * app.latethistle.core.words.Designs} are such values to begin with. Captions have a {@link
 * app.latethistle.core.words.CaptionStyle}.
 *
 * <pre>{@code
 * Design main = Designs.named("Soft main title");
 * Lettering larger = main.lettering().withSize(240);          // 24 % of the picture's height
 * Arrival rise = new Arrival(ArrivalKind.RISE, Unit.LETTER, Order.FORWARD, 16, 0);
 * Movement movement = new Movement(rise, Arrival.NONE);        // lands after 16 frames, leaves on a cut
 * }</pre>
 */
package app.latethistle.core.words;
