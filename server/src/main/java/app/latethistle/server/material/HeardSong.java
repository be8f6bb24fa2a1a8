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

  /** About the share of the work that is done when it is decoded. */
  private static final double DECODED = 0.55;

  /** What silence counts as, in LUFS. */
  private static final double LEAST = -90;

  /**
   * Listens to a song; it is weighed as it is decoded.
   *
   * @param told is given the share that is done, 0 to 1; what it throws ends the work
   * @throws app.latethistle.media.RefusedMedia if it cannot be decoded
   */
  static HeardSong of(ContentStore store, Medium medium, DoubleConsumer told) throws IOException {
    double seconds = Math.max(1, medium.facts().seconds());
    Loudness.Meter meter = new Loudness.Meter();
    long[] frames = {0};
    MonoSound mono =
        SongDecoder.mono(
            store.path(medium.hash()),
            medium.facts().container(),
            (samples, count) -> {
              meter.add(samples, count / 2);
              frames[0] += count / 2;
              told.accept(DECODED * Math.min(1, Samples.toSeconds(frames[0]) / seconds));
            });
    SongAnalysis analysis =
        SongAnalysis.of(mono, done -> told.accept(DECODED + (1 - DECODED) * done));
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
