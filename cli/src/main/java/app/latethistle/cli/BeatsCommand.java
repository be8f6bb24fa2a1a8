package app.latethistle.cli;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.BeatTracker;
import app.latethistle.core.time.Samples;
import app.latethistle.media.Container;
import app.latethistle.media.SongDecoder;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Prints where the beats of a song are. */
@Command(name = "beats", description = "Prints the beats and bars of a song.")
final class BeatsCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "SONG", description = "A sound file, or a clip with sound.")
  private Path song;

  @Option(names = "--csv", description = "Print columns time_s,bar,beat.")
  private boolean csv;

  @Override
  public Integer call() throws IOException {
    BeatGrid grid = listen(song);
    PrintWriter out = spec.commandLine().getOut();
    if (csv) {
      out.println("time_s,bar,beat");
    }
    for (int i = 0; i < grid.size(); i++) {
      double seconds = Samples.toSeconds(grid.sampleOf(i));
      String form = csv ? "%.4f,%d,%d%n" : "%10.4f s  bar %d, beat %d%n";
      out.printf(Locale.ROOT, form, seconds, grid.barOf(i), grid.placeOf(i));
    }
    out.flush();
    spec.commandLine()
        .getErr()
        .printf(
            Locale.ROOT,
            "%.2f beats a minute, %d beats a bar, confidence %.2f%n",
            grid.bpm(),
            grid.beatsPerBar(),
            grid.confidence());
    return 0;
  }

  static BeatGrid listen(Path song) throws IOException {
    if (!Files.isRegularFile(song)) {
      throw new IOException(song + ": there is no such file.");
    }
    try {
      return BeatTracker.track(SongDecoder.mono(song, Container.of(song)));
    } catch (IOException e) {
      throw new IOException(song + ": " + e.getMessage(), e);
    }
  }
}
