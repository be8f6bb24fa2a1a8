/**
 * The voice clock: where the words of a line are in a reading of it, and where the reading rests.
 *
 * <p>The script is known, so words are not guessed but found. {@link
 * app.latethistle.core.voice.Aligner} holds a reading against a {@link
 * app.latethistle.core.voice.ModelReading}, a synthesised one whose word times are known, by
 * dynamic time warping over spectral features (Sakoe and Chiba 1978). The answer, an {@link
 * app.latethistle.core.voice.Alignment}, has a {@link app.latethistle.core.voice.SpokenWord} for
 * every word of the text, also for those that were not said, and the speech that is not in the
 * text. Where a voice is too far from the model's to judge its words by, a trained {@link
 * app.latethistle.core.voice.Recogniser} is asked. {@link app.latethistle.core.voice.Pauses} finds
 * the rests by level alone, {@link app.latethistle.core.voice.Tightening} proposes what to cut from
 * them, and {@link app.latethistle.core.voice.ReadingFacts} measures rate and level.
 *
 * <pre>{@code
 * Alignment found = Aligner.align(reading, model);
 * found.words().get(4).start();             // where "lantern" begins, in samples at 48 kHz
 * Tightening.to(Pauses.of(reading), found.words(), 0.35, length).cuts();   // what to leave out
 * }</pre>
 */
package app.latethistle.core.voice;
