package app.latethistle.cli;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.music.SongLength;
import app.latethistle.core.music.SongPlan;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import app.latethistle.media.SongDecoder;
import app.latethistle.media.WaveFile;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.io.IOException;
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
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Makes a song a wanted length out of whole bars. */
@Command(
    name = "shorten",
    description = "Makes a song a wanted length out of whole bars, its ending kept.")
final class ShortenCommand implements Callable<Integer> {
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

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
      JSON.writeValue(planFile.toFile(), Written.of(plan));
    }
    String bars =
        plan.kept().stream()
            .map(k -> k.firstBar() + " to " + k.lastBar())
            .collect(Collectors.joining(", "));
    spec.commandLine().getErr().printf(Locale.ROOT, "%s: %.2f s, bars %s%n", to, seconds, bars);
    return 0;
  }

  /** A plan as it is written: bars from 0, times in seconds. */
  private record Written(
      @JsonProperty("length_s") double length, List<Kept> kept, List<Join> joins) {
    private record Kept(
        @JsonProperty("first_bar") int firstBar,
        @JsonProperty("last_bar") int lastBar,
        @JsonProperty("start_s") double start,
        @JsonProperty("end_s") double end) {}

    private record Join(@JsonProperty("at_s") double at, double cost) {}

    static Written of(SongPlan plan) {
      return new Written(
          Samples.toSeconds(plan.length()),
          plan.kept().stream()
              .map(
                  k ->
                      new Kept(
                          k.firstBar(),
                          k.lastBar(),
                          Samples.toSeconds(k.start()),
                          Samples.toSeconds(k.end())))
              .toList(),
          plan.joins().stream().map(j -> new Join(Samples.toSeconds(j.at()), j.cost())).toList());
    }
  }
}
