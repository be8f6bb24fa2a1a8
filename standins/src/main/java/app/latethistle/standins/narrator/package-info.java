/**
 * The narrator: a small stand-in for services that read text aloud. It has a few voices of its own
 * and reads with a speech synthesiser; the same text, voice and manner give the same samples.
 *
 * <pre>{@code
 * MonoSound reading = Narrator.read("Nobody remembers.", Narrator.voice("Tallow"), 95, Manner.EVEN);
 * }</pre>
 */
package app.latethistle.standins.narrator;
