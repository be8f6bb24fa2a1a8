/**
 * The frame grid and the sample grid.
 *
 * <p>A film lives on whole frames at a rational {@link app.latethistle.core.time.FrameRate}; its
 * sound lives on samples at {@link app.latethistle.core.time.Samples#RATE}. Neither is ever kept as
 * a {@code double} of seconds: seconds appear only where a person or another program reads or
 * writes them, and each conversion says how it rounds.
 *
 * <pre>{@code
 * FrameRate rate = FrameRate.parse("24000/1001");
 * long beat = 95_957;                       // a beat, in samples at 48 kHz
 * long frame = rate.nearestFrame(beat);     // 48: the frame whose start lies nearest
 * Timecode.of(frame, rate).toString();      // "00:00:02:00"
 * }</pre>
 */
package app.latethistle.core.time;
