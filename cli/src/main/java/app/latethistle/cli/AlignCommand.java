package app.latethistle.cli;

import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.Alignment;
import app.latethistle.core.voice.SpokenWord;
import app.latethistle.media.SongDecoder;
import app.latethistle.media.WordFinder;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Prints where each word of a text is in a reading of it. */
@Command(name = "align", description = "Prints where each word of a text is in a reading of it.")
final class AlignCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Option(names = "--text", paramLabel = "FILE", required = true, description = "Plain text.")
  private Path text;

  @Option(names = "--voice", paramLabel = "FILE", required = true, description = "The reading.")
  private Path voice;

  @Option(names = "--csv", description = "Print columns word,start_s,end_s,confidence.")
  private boolean csv;

  @Override
  public Integer call() throws IOException {
    String written = TextFile.read(text);
    MonoSound reading = SoundFile.read(voice, SongDecoder::mono);
    Alignment found;
    try {
      found = WordFinder.find(reading, written);
    } catch (IllegalArgumentException e) {
      throw new IOException(voice + " and " + text + ": " + e.getMessage(), e);
    }
    PrintWriter out = spec.commandLine().getOut();
    if (csv) {
      out.println("word,start_s,end_s,confidence");
    }
    for (SpokenWord word : found.words()) {
      String form = csv ? "%s,%.3f,%.3f,%.2f%n" : "%-16s %8.3f s to %8.3f s  %.2f%n";
      out.printf(
          Locale.ROOT,
          form,
          word.text(),
          Samples.toSeconds(word.start()),
          Samples.toSeconds(word.end()),
          word.confidence());
    }
    out.flush();
    PrintWriter err = spec.commandLine().getErr();
    err.printf("%d of %d words found%n", found.found(), found.words().size());
    for (SampleRange stray : found.strays()) {
      err.printf(
          Locale.ROOT,
          "not in the text: %.3f s to %.3f s%n",
          Samples.toSeconds(stray.start()),
          Samples.toSeconds(stray.end()));
    }
    return 0;
  }
}
