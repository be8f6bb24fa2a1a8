package app.latethistle.cli;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.music.SongLength;
import app.latethistle.core.music.SongPlan;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import app.latethistle.media.SongDecoder;
import app.latethistle.media.WaveFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Makes a song a wanted length out of whole bars. */
@Command(
    name = "shorten",
    description = "Makes a song a wanted length out of whole bars, its ending kept.")
final class ShortenCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "SONG", description = "A sound file, or a clip with sound.")
  private Path song;

  @Option(names = "--length", paramLabel = "SECONDS", required = true, description = "Wanted.")
  private double seconds;

  @Option(
      names = "--out",
      paramLabel = "FILE",
      required = true,
      description = "The result: WAV, 48 kHz, stereo, 24 bit.")
  private Path to;

  @Option(
      names = "--plan",
      paramLabel = "FILE",
      description = "Write kept bars, join times and join costs as JSON.")
  private Path planFile;

  @Override
  public Integer call() throws IOException {
    MonoSound heard = SoundFile.read(song, SongDecoder::mono);
    BeatGrid grid = SongAnalysis.of(heard).grid();
    SongPlan plan;
    try {
      plan = SongLength.plans(heard, grid, Samples.ofSeconds(seconds)).get(0);
    } catch (IllegalArgumentException e) {
      throw new IOException(song + ": " + e.getMessage(), e);
    }
    float[] made = plan.apply(SoundFile.read(song, SongDecoder::stereo));
    WaveFile.write(to, made, 2, Samples.RATE);
    if (planFile != null) {
      Files.writeString(planFile, json(plan));
    }
    String bars =
        plan.kept().stream()
            .map(k -> k.firstBar() + " to " + k.lastBar())
            .collect(Collectors.joining(", "));
    spec.commandLine().getErr().printf(Locale.ROOT, "%s: %.2f s, bars %s%n", to, seconds, bars);
    return 0;
  }

  private static String json(SongPlan plan) {
    List<String> kept =
        plan.kept().stream()
            .map(
                k ->
                    String.format(
                        Locale.ROOT,
                        "{\"first_bar\": %d, \"last_bar\": %d, \"start_s\": %.4f, \"end_s\": %.4f}",
                        k.firstBar(),
                        k.lastBar(),
                        Samples.toSeconds(k.start()),
                        Samples.toSeconds(k.end())))
            .toList();
    List<String> joins =
        plan.joins().stream()
            .map(
                j ->
                    String.format(
                        Locale.ROOT,
                        "{\"at_s\": %.4f, \"cost\": %.3f}",
                        Samples.toSeconds(j.at()),
                        j.cost()))
            .toList();
    return String.format(
        Locale.ROOT,
        "{%n  \"length_s\": %.4f,%n  \"kept\": [%s],%n  \"joins\": [%s]%n}%n",
        Samples.toSeconds(plan.length()),
        String.join(", ", kept),
        String.join(", ", joins));
  }
}
