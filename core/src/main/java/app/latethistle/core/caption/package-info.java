/**
 * Captions: what is spoken, broken into lines that can be read in the time they stand.
 *
 * <p>{@link app.latethistle.core.caption.Captioner} breaks {@link
 * app.latethistle.core.caption.SpokenLine}s by a dynamic programme over their words: never between
 * an article and its noun, not too quick, neither too short nor too long, as the {@link
 * app.latethistle.core.caption.CaptionRules} say; what cannot be kept is said of each {@link
 * app.latethistle.core.caption.Caption}. {@link app.latethistle.core.caption.Retimed} gives the
 * words of a corrected or translated text the times of what was read. {@link
 * app.latethistle.core.caption.FilmCaptioner} does all this for a film.
 *
 * <pre>{@code
 * SpokenLine line = SpokenLine.of("1", Retimed.words("Then let it go.", spoken));
 * Captioner captioner = new Captioner(CaptionRules.USUAL, FrameRate.FPS_24);
 * List<Caption> captions = captioner.twoLines(List.of(line), List.of(48L));   // a cut at frame 48
 * double speed = captions.get(0).perSecond(FrameRate.FPS_24);                 // letters a second
 * }</pre>
 */
package app.latethistle.core.caption;
