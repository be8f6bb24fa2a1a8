/**
 * The music clock: where the beats and bars of a song are.
 *
 * <p>{@link app.latethistle.core.music.BeatTracker} listens to decoded samples and answers with a
 * {@link app.latethistle.core.music.BeatGrid}: beats as samples of the song at 48 kHz, counted in
 * bars from the first downbeat, with the tempo and how sure the tracker is of each beat. {@link
 * app.latethistle.core.music.SongAnalysis} adds the song's sections and key moments. What a person
 * puts right is a {@link app.latethistle.core.music.SongCorrection}, which can be made again on
 * another analysis.
 *
 * <pre>{@code
 * BeatGrid grid = BeatTracker.track(new MonoSound(samples, 22_050));
 * grid.bpm();               // 92.0
 * grid.barOf(9);            // 2: with two lead-in beats and four beats a bar
 * grid.sampleOf(9);         // where beat 9 falls in the song, in samples at 48 kHz
 * new HalveTempo().apply(grid).bpm();   // 46.0
 * }</pre>
 */
package app.latethistle.core.music;
