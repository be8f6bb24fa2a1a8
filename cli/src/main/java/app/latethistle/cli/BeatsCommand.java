package app.latethistle.cli;

import app.latethistle.core.interchange.BeatMap;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.OtherReading;
import app.latethistle.core.music.Section;
import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.time.Samples;
import app.latethistle.media.SongDecoder;
import java.io.IOException;
import java.io.PrintWriter;
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

  @Option(
      names = "--sections",
      description =
          "Print sections and key moments instead: columns start_s,end_s,kind,name,energy.")
  private boolean sections;

  @Override
  public Integer call() throws IOException {
    SongAnalysis heard = listen(song);
    BeatGrid grid = heard.grid();
    PrintWriter out = spec.commandLine().getOut();
    if (sections) {
      printSections(heard, out);
    } else {
      printBeats(grid, out);
    }
    out.flush();
    spec.commandLine()
        .getErr()
        .printf(
            Locale.ROOT,
            "%.2f beats a minute, %d beats a bar, confidence %.2f%s%n",
            grid.bpm(),
            grid.beatsPerBar(),
            grid.confidence(),
            grid.other().map(BeatsCommand::doubt).orElse(""));
    return 0;
  }

  private static String doubt(OtherReading other) {
    return "; perhaps " + other.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private void printBeats(BeatGrid grid, PrintWriter out) {
    if (csv) {
      out.print(BeatMap.of(grid));
      return;
    }
    for (int i = 0; i < grid.size(); i++) {
      out.printf(
          Locale.ROOT,
          "%10.4f s  bar %d, beat %d%n",
          Samples.toSeconds(grid.sampleOf(i)),
          grid.barOf(i),
          grid.placeOf(i));
    }
  }

  /** Sections, then key moments, which have no length, kind or energy. */
  private void printSections(SongAnalysis heard, PrintWriter out) {
    if (csv) {
      out.println("start_s,end_s,kind,name,energy");
    }
    String form = csv ? "%.4f,%.4f,%s,%s,%.3f%n" : "%10.4f s to %10.4f s  %s  %s, energy %.2f%n";
    for (Section section : heard.sections()) {
      double start = Samples.toSeconds(section.start());
      double end = Samples.toSeconds(section.end());
      String name = section.name().name().toLowerCase(Locale.ROOT);
      out.printf(Locale.ROOT, form, start, end, section.kind(), name, section.energy());
    }
    for (KeyMoment moment : heard.moments()) {
      double at = Samples.toSeconds(moment.at());
      String name = moment.kind().name().toLowerCase(Locale.ROOT);
      if (csv) {
        out.printf(Locale.ROOT, "%.4f,%.4f,,%s,%n", at, at, name);
      } else {
        out.printf(Locale.ROOT, "%10.4f s  %s%n", at, name);
      }
    }
  }

  static SongAnalysis listen(Path song) throws IOException {
    return SongAnalysis.of(SoundFile.read(song, SongDecoder::mono));
  }
}
