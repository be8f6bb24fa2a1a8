/**
 * The film's sound: parts on buses, mixed in blocks, so that memory does not grow with the film.
 *
 * <p>A {@link app.latethistle.core.mix.Mix} is a film resolved to what is heard: {@link
 * app.latethistle.core.mix.Part}s with their places in samples, each on a {@link
 * app.latethistle.core.sound.Bus}. A {@link app.latethistle.core.mix.Mixer} makes any range of it
 * from what a {@link app.latethistle.core.mix.SoundSource} decodes: music and clips are lowered
 * under the voice ({@link app.latethistle.core.mix.Ducking}), sounds are heard from rooms ({@link
 * app.latethistle.core.mix.Effect}), the end fades, and a {@link app.latethistle.core.mix.Limiter}
 * keeps true peaks at -1 dBTP. A {@link app.latethistle.core.mix.LoudnessAim} finds the {@link
 * app.latethistle.core.mix.Level} at which it leaves as loud as is asked for. A range made alone
 * has the same samples as in the whole, and a key of its own, which does not hang on where in the
 * film it lies.
 *
 * <pre>{@code
 * Part song = new Part(Bus.MUSIC, hash, SampleRange.ofLength(0, length), new Course.Straight(0), 0);
 * Mix mix = new Mix(List.of(song), length, 48_000);
 * new Mixer(mix, source).mix(new SampleRange(0, length), (stereo, frames) -> sum(stereo));
 * }</pre>
 */
package app.latethistle.core.mix;
