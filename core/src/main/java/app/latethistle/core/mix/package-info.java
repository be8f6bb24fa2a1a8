/**
 * Gains on the film's sound.
 *
 * <pre>{@code
 * Ducking.apply(stereo, speech);                      // lower under the voice
 * SongFade.apply(stereo, filmSamples, fadeSamples);   // in place, interleaved
 * }</pre>
 */
package app.latethistle.core.mix;
