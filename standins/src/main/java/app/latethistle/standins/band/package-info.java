/**
 * The house band: a small stand-in for services that make music. It plays written-out pieces with
 * synthesised instruments, and makes up others for a {@link
 * app.latethistle.standins.band.Commission}; the same piece always gives the same samples.
 *
 * <pre>{@code
 * float[] stereo = HouseBand.slowBellows();
 * }</pre>
 */
package app.latethistle.standins.band;
