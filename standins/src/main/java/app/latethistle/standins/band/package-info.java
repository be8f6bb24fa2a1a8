/**
 * The house band: a small stand-in for services that make music. It plays written-out pieces with
 * synthesised instruments; the same piece always gives the same samples.
 *
 * <pre>{@code
 * float[] stereo = HouseBand.slowBellows();
 * }</pre>
 */
package app.latethistle.standins.band;
