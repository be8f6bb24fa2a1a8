package app.latethistle.server.material;

import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.signal.Peaks;
import app.latethistle.media.ContentStore;
import app.latethistle.media.SongDecoder;
import java.io.IOException;

/**
 * All that is kept of listening to a song.
 *
 * @param peaks its waveform for drawing
 * @param loudness of the whole, in LUFS
 */
record HeardSong(SongAnalysis analysis, Peaks peaks, double loudness) {
  /** Spans of the waveform a second. */
  static final int PEAKS_A_SECOND = 50;

  /** What silence counts as, in LUFS. */
  private static final double LEAST = -90;

  /**
   * Listens to a song.
   *
   * @throws app.latethistle.media.RefusedMedia if it cannot be decoded
   */
  static HeardSong of(ContentStore store, Medium medium) throws IOException {
    MonoSound mono = mono(store, medium);
    // Weighed as it is decoded: an hour of it would fill the heap.
    Loudness.Meter meter = new Loudness.Meter();
    SongDecoder.stereo(
        store.path(medium.hash()),
        medium.facts().container(),
        (samples, count) -> meter.add(samples, count / 2));
    return new HeardSong(
        SongAnalysis.of(mono), Peaks.of(mono, PEAKS_A_SECOND), Math.max(LEAST, meter.integrated()));
  }

  /** Draws and weighs a song of which the rest is known. */
  static HeardSong of(SongAnalysis known, MonoSound mono, float[] stereo) {
    return new HeardSong(
        known, Peaks.of(mono, PEAKS_A_SECOND), Math.max(LEAST, Loudness.integrated(stereo)));
  }

  static MonoSound mono(ContentStore store, Medium medium) throws IOException {
    return SongDecoder.mono(store.path(medium.hash()), medium.facts().container());
  }

  static float[] stereo(ContentStore store, Medium medium) throws IOException {
    return SongDecoder.stereo(store.path(medium.hash()), medium.facts().container());
  }
}
