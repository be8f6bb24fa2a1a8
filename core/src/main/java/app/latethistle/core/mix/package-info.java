/**
 * Gains on the film's sound.
 *
 * <pre>{@code
 * SongFade.apply(stereo, filmSamples, fadeSamples);   // in place, interleaved
 * }</pre>
 */
package app.latethistle.core.mix;
