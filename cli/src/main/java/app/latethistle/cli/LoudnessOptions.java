package app.latethistle.cli;

import app.latethistle.core.check.FileChecks;
import app.latethistle.core.mix.LoudnessAim;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Option;

/** How loud a sound is to leave, for commands that make one. */
final class LoudnessOptions {
  @Option(
      names = "--loudness",
      paramLabel = "LUFS",
      description = "What its sound is to measure, such as -14; as it is mixed if not given.")
  private Double loudness;

  @Option(
      names = "--peak",
      paramLabel = "DBTP",
      defaultValue = "-1",
      description = "The ceiling of its true peaks where a loudness is given; -1 if not given.")
  private double peak;

  /** What it is to reach; empty for as it is mixed. */
  Optional<LoudnessAim> aim() {
    return Optional.ofNullable(loudness).map(wish -> new LoudnessAim(wish, peak));
  }

  /** What is wanted of a finished file. */
  FileChecks.Wanted wanted() {
    return new FileChecks.Wanted(
        Optional.empty(), List.of(), List.of(), Optional.ofNullable(loudness), peak);
  }
}
