package app.latethistle.server.material;

import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.signal.Peaks;
import app.latethistle.media.ContentStore;
import app.latethistle.media.SongDecoder;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
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
  private static final double DECODED = 0.45;

  /** What silence counts as, in LUFS. */
  private static final double LEAST = -90;

  /**
   * Listens to a song; it is weighed at the same time.
   *
   * @param told is given the share that is done, 0 to 1; what it throws ends the work
   * @throws app.latethistle.media.RefusedMedia if it cannot be decoded
   */
  static HeardSong of(ContentStore store, Medium medium, DoubleConsumer told) throws IOException {
    double seconds = Math.max(1, medium.facts().seconds());
    FutureTask<Double> weighing = new FutureTask<>(() -> weighed(store, medium));
    new Thread(weighing, "weighing a song").start();
    try {
      MonoSound mono =
          SongDecoder.mono(
              store.path(medium.hash()),
              medium.facts().container(),
              count -> told.accept(DECODED * count / (seconds * SongDecoder.LISTENING_RATE)));
      SongAnalysis analysis =
          SongAnalysis.of(mono, done -> told.accept(DECODED + (1 - DECODED) * done));
      return new HeardSong(analysis, Peaks.of(mono, PEAKS_A_SECOND), outcome(weighing));
    } finally {
      weighing.cancel(true);
    }
  }

  /** The loudness of a song, weighed as it is decoded: an hour of it would fill the heap. */
  private static double weighed(ContentStore store, Medium medium) throws IOException {
    Loudness.Meter meter = new Loudness.Meter();
    SongDecoder.stereo(
        store.path(medium.hash()),
        medium.facts().container(),
        (samples, count) -> {
          if (Thread.currentThread().isInterrupted()) {
            throw new CancellationException("nobody waits for it any more");
          }
          meter.add(samples, count / 2);
        });
    return Math.max(LEAST, meter.integrated());
  }

  private static double outcome(FutureTask<Double> weighing) throws IOException {
    try {
      return weighing.get();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new InterruptedIOException("Interrupted while a song was weighed.");
    } catch (ExecutionException e) {
      if (e.getCause() instanceof IOException io) {
        throw io;
      }
      throw new IOException("The song could not be weighed.", e.getCause());
    }
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
