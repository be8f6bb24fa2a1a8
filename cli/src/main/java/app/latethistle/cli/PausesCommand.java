package app.latethistle.cli;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.Pauses;
import app.latethistle.core.voice.Tightening;
import app.latethistle.media.SongDecoder;
import app.latethistle.media.WaveFile;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Prints where a reading rests, and writes it with its rests tightened. */
@Command(
    name = "pauses",
    description = "Prints where a reading rests, and writes it with its pauses tightened.")
final class PausesCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "VOICE", description = "The reading.")
  private Path voice;

  @Option(
      names = "--longest",
      paramLabel = "SECONDS",
      defaultValue = "0.4",
      description = "The longest pause kept; ${DEFAULT-VALUE} if not given.")
  private double longest;

  @Option(
      names = "--out",
      paramLabel = "FILE",
      required = true,
      description = "The tightened reading: WAV, 48 kHz, 24 bit.")
  private Path to;

  @Override
  public Integer call() throws IOException {
    MonoSound reading = SoundFile.read(voice, SongDecoder::reading);
    List<SampleRange> pauses = Pauses.of(reading);
    int length = reading.samples().length;
    Tightening tightening;
    try {
      tightening = Tightening.to(pauses, List.of(), longest, length);
    } catch (IllegalArgumentException e) {
      throw new IOException("--longest: " + e.getMessage(), e);
    }
    WaveFile.write(to, tightening.apply(reading.samples(), 1), 1, Samples.RATE);
    PrintWriter out = spec.commandLine().getOut();
    out.println("start_s,end_s,cut_s");
    for (SampleRange pause : pauses) {
      long cut = pause.length() - (tightening.at(pause.end()) - tightening.at(pause.start()));
      out.printf(
          Locale.ROOT,
          "%.3f,%.3f,%.3f%n",
          Samples.toSeconds(pause.start()),
          Samples.toSeconds(pause.end()),
          Samples.toSeconds(cut));
    }
    out.flush();
    spec.commandLine()
        .getErr()
        .printf(
            Locale.ROOT,
            "%s: %.2f s, was %.2f s%n",
            to,
            Samples.toSeconds(length - tightening.saved()),
            Samples.toSeconds(length));
    return 0;
  }
}
