package app.latethistle.media.beats;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.BeatTracker;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import app.latethistle.media.Container;
import app.latethistle.media.SongDecoder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A piece of music whose beats are known.
 *
 * @param kind what it is
 * @param fold what it was used for when the tracker's weights were chosen
 * @param source where its sound comes from
 */
record Piece(String name, Kind kind, Fold fold, Source source) {

  /** Kinds of pieces. */
  enum Kind {
    /** A recording whose truth is the agreement of public trackers. */
    RECORDING,
    /** One whose level is a convention, so that only AMLt counts. */
    RECORDING_OF_ANY_LEVEL,
    /** A rendered piece of a game. */
    RENDER,
    /** A rendered accompaniment. */
    ACCOMPANIMENT
  }

  /** Parts by package: packages and grooves are in one of them only. */
  enum Fold {
    FIT,
    CHOOSE,
    /** Had no part in choosing the weights. */
    REPORT
  }

  /** Where the sound and the truth of a piece come from. */
  interface Source {
    /** A WAV file of it, made once. */
    Path wav() throws IOException;

    /** Its beats, in seconds. */
    List<Double> beats() throws IOException;

    /** Those that begin a bar; empty if that is not known. */
    List<Double> downbeats() throws IOException;
  }

  /** How well a tracker did; downbeats are NaN where the truth does not tell. */
  record Result(double beats, double amlt, double downbeats, double bpm, double timesRealTime) {}

  Result track() throws IOException {
    MonoSound sound = SongDecoder.mono(source.wav(), Container.WAV);
    long start = System.nanoTime();
    BeatGrid grid = BeatTracker.track(sound);
    double took = (System.nanoTime() - start) / 1e9;
    List<Double> beats = new ArrayList<>();
    List<Double> downbeats = new ArrayList<>();
    for (int i = 0; i < grid.size(); i++) {
      double seconds = Samples.toSeconds(grid.sampleOf(i));
      beats.add(seconds);
      if (grid.isDownbeat(i)) {
        downbeats.add(seconds);
      }
    }
    List<Double> bars = source.downbeats();
    return new Result(
        BeatScore.f(source.beats(), beats),
        BeatScore.amlt(source.beats(), beats),
        bars.isEmpty() ? Double.NaN : BeatScore.f(bars, downbeats),
        grid.bpm(),
        sound.seconds() / took);
  }
}
