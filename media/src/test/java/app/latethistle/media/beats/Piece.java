package app.latethistle.media.beats;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.BeatTracker;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import app.latethistle.media.Container;
import app.latethistle.media.MidiTempoMap;
import app.latethistle.media.SongDecoder;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A piece whose beats are known: a MIDI file of Debian's packages openttd-openmsx (GPL-2) or
 * simutrans-data (Artistic-1.0), rendered with fluidsynth and fluid-soundfont-gm (MIT).
 */
record Piece(Path midi) {
  private static final Path FIRST = Path.of("/usr/share/games/openttd/baseset/openmsx");
  private static final Path SECOND = Path.of("/usr/share/games/simutrans/music");
  private static final Path SOUNDFONT = Path.of("/usr/share/sounds/sf2/FluidR3_GM.sf2");
  private static final Path RENDERED = Path.of("target", "pieces");

  /** How well a tracker did. */
  record Result(
      String name, double beats, double amlt, double downbeats, double bpm, double timesRealTime) {}

  /** All fourteen. */
  static List<Piece> all() {
    List<Piece> pieces = new ArrayList<>();
    for (String name :
        List.of(
            "say_what_redfarn",
            "modern_motion",
            "run_for_your_life",
            "keep_on_rolling",
            "midnight_snow_run",
            "5432gone_redfarn")) {
      pieces.add(new Piece(FIRST.resolve(name + ".mid")));
    }
    for (String name :
        List.of(
            "03-Sunday-drivers",
            "48-Techno-movement",
            "17-The-Benevolent-Dictators-March",
            "25-Float-on-by",
            "29-Runaway",
            "52-Dreamy-Oriental-Nights",
            "15-The-Wayside-Blues",
            "50-Snowy-Road")) {
      pieces.add(new Piece(SECOND.resolve(name + ".mid")));
    }
    return pieces;
  }

  String name() {
    return midi.getFileName().toString().replace(".mid", "");
  }

  /** Renders it, once. */
  Path render() throws IOException {
    Files.createDirectories(RENDERED);
    Path wav = RENDERED.resolve(name() + ".wav");
    if (!Files.exists(wav)) {
      Path part = RENDERED.resolve(name() + ".part.wav");
      Process process =
          new ProcessBuilder(
                  "fluidsynth",
                  "-ni",
                  "-q",
                  "-g",
                  "0.4",
                  "-r",
                  "44100",
                  "-F",
                  part.toString(),
                  SOUNDFONT.toString(),
                  midi.toString())
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      try {
        if (process.waitFor() != 0) {
          throw new IOException("fluidsynth could not render " + midi);
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IOException("Interrupted while rendering " + midi, e);
      }
      Files.move(part, wav);
    }
    return wav;
  }

  /** Where its beats are, by its own tempo map. */
  MidiTempoMap truth() throws IOException {
    try (InputStream in = Files.newInputStream(midi)) {
      return MidiTempoMap.read(in);
    }
  }

  Result track() throws IOException {
    MidiTempoMap truth = truth();
    MonoSound sound = SongDecoder.mono(render(), Container.WAV);
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
    return new Result(
        name(),
        BeatScore.f(truth.beats(), beats),
        BeatScore.amlt(truth.beats(), beats),
        BeatScore.f(truth.downbeats(), downbeats),
        grid.bpm(),
        sound.seconds() / took);
  }
}
