/**
 * The outside of {@code core}'s ports: files in a content-addressed store, and child processes:
 * ffmpeg and ffprobe that decode and encode, espeak-ng that speaks, PocketSphinx that recognises
 * words.
 *
 * <p>Files that came from outside are read only through {@link app.latethistle.media.Sandbox}: a
 * fixed demuxer by what the bytes are, limits on memory, time, output and pixels, and no other file
 * in sight. What was decoded is counted against what should have been.
 *
 * <pre>{@code
 * Stored stored = store.put(upload);
 * MediaFacts facts = Probe.probe(stored.path());
 * try (ClipReader reader = ClipReader.open(stored.path(), facts, rate, frames)) { ... }
 * }</pre>
 */
package app.latethistle.media;
