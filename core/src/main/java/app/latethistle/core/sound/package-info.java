/**
 * How a film's sounds are heard, as values: what the film keeps and an edit replaces. Nothing here
 * touches a sample; {@code mix} makes what these say.
 *
 * <p>A {@link app.latethistle.core.sound.Manner} is all that is done to one laid sound: its level,
 * {@link app.latethistle.core.sound.Fade}s, how far away it is and in which {@link
 * app.latethistle.core.sound.Room}, its {@link app.latethistle.core.sound.Equaliser}, pitch and
 * length. Everything that is heard belongs to a {@link app.latethistle.core.sound.Bus}; music and
 * clips step aside for the voice by a {@link app.latethistle.core.sound.DuckingRule}, and readings
 * are tidied as {@link app.latethistle.core.sound.VoiceCare} says.
 *
 * <pre>{@code
 * Manner far = Manner.PLAIN.withGain(-6).withDistance(70).withRoom(Room.VALLEY);
 * Manner lower = far.withTime(new Timing(false, 150, -3));  // half as long again, 3 half-tones lower
 * new Fade(Fade.Shape.EQUAL_POWER, 4_800).factor(2_400);     // 0.707: half of a tenth of a second
 * }</pre>
 */
package app.latethistle.core.sound;
