/**
 * Sound as numbers: samples, spectra, how strongly something begins, and waveforms small enough to
 * draw.
 *
 * <p>Nothing here knows what a beat or a word is. A {@link app.latethistle.core.signal.MonoSound}
 * becomes a {@link app.latethistle.core.signal.LogMel} spectrogram and from it {@link
 * app.latethistle.core.signal.OnsetStrength}, one value a hop; {@link
 * app.latethistle.core.signal.Peaks} keeps the waveform for drawing.
 *
 * <pre>{@code
 * LogMel mel = LogMel.of(sound, LogMel.Grain.MUSIC);
 * float[] onsets = OnsetStrength.of(mel);   // one value every mel.hopSeconds()
 * }</pre>
 */
package app.latethistle.core.signal;
