package app.latethistle.server.material;

import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.signal.Peaks;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ContentStore;
import app.latethistle.media.SongDecoder;
import java.io.IOException;
import java.util.function.DoubleConsumer;

/**
 * All that is kept of listening to a song.
 *
 * @param peaks its waveform for drawing
 * @param loudness of the whole, in LUFS
 */
record HeardSong(SongAnalysis analysis, Peaks peaks, double loudness) {
  /** Spans of the waveform a second. */
  static final int PEAKS_A_SECOND = 50;

  /** About the share of the work that is done when it is decoded, and when it is weighed. */
  private static final double DECODED = 0.25;

  private static final double WEIGHED = 0.6;

  /** What silence counts as, in LUFS. */
  private static final double LEAST = -90;

  /**
   * Listens to a song.
   *
   * @param told is given the share that is done, 0 to 1; what it throws ends the work
   * @throws app.latethistle.media.RefusedMedia if it cannot be decoded
   */
  static HeardSong of(ContentStore store, Medium medium, DoubleConsumer told) throws IOException {
    double seconds = Math.max(1, medium.facts().seconds());
    MonoSound mono =
        SongDecoder.mono(
            store.path(medium.hash()),
            medium.facts().container(),
            count -> told.accept(DECODED * count / (seconds * SongDecoder.LISTENING_RATE)));
    // Weighed as it is decoded: an hour of it would fill the heap.
    Loudness.Meter meter = new Loudness.Meter();
    long[] weighed = {0};
    SongDecoder.stereo(
        store.path(medium.hash()),
        medium.facts().container(),
        (samples, count) -> {
          meter.add(samples, count / 2);
          weighed[0] += count / 2;
          double share = weighed[0] / (seconds * Samples.RATE);
          told.accept(DECODED + (WEIGHED - DECODED) * share);
        });
    SongAnalysis analysis =
        SongAnalysis.of(mono, done -> told.accept(WEIGHED + (1 - WEIGHED) * done));
    return new HeardSong(
        analysis, Peaks.of(mono, PEAKS_A_SECOND), Math.max(LEAST, meter.integrated()));
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
