/**
 * What leaves: outputs, and what is said of the film where it is published.
 *
 * <p>An {@link app.latethistle.core.release.Output} is one thing to be delivered: a shape, a size,
 * a rate, an {@link app.latethistle.core.release.Encoding}, perhaps a start and an end of its own,
 * tied as cuts are; a {@link app.latethistle.core.release.Preset} is one to begin with, and a
 * {@link app.latethistle.core.release.ChannelStyle} what all films of a channel share. A {@link
 * app.latethistle.core.release.ReleaseSheet} is what publishing needs beside the file; its chapters
 * come from the scenes ({@link app.latethistle.core.release.Chapters}).
 *
 * <pre>{@code
 * Output wide = Output.of("Film", Encoding.MP4);
 * FrameRange part = wide.range(resolved);                   // the whole film, unless it is tied
 * Chapters chapters = Chapters.of(List.of(new Chapters.Chapter(0, "The valley")), resolved.rate());
 * chapters.text();                                          // "0:00 The valley"
 * }</pre>
 */
package app.latethistle.core.release;
