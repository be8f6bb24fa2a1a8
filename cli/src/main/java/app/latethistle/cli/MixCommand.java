package app.latethistle.cli;

import app.latethistle.core.film.Resolved;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.document.FilmDocument;
import app.latethistle.media.MixFiles;
import app.latethistle.media.SoundFiles;
import app.latethistle.media.WorkFolder;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Mixes a film document. */
@Command(
    name = "mix",
    description =
        "Mixes the sound of a film document (docs/film-document.md) to a Broadcast Wave file of"
            + " 24 bit at 48 kHz.")
final class MixCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILM.json", description = "The document.")
  private Path document;

  @Option(names = "--out", required = true, paramLabel = "FILE.wav", description = "The mix.")
  private Path out;

  @Option(
      names = "--stems",
      paramLabel = "DIR",
      description =
          "A file of each bus there, too; of music and clips another that does not step aside for"
              + " the voice.")
  private Path stems;

  @Option(
      names = "--store",
      paramLabel = "DIR",
      description = "Where files are that the document names by hash: DATA/store of ./start.")
  private Path store;

  @Mixin private LoudnessOptions loudness;

  @Override
  public Integer call() throws IOException {
    Path folder = document.toAbsolutePath().getParent();
    FilmDocument written = DocumentFiles.read(document);
    DocumentFiles files = DocumentFiles.of(written, folder, Optional.ofNullable(store));
    Resolved film = files.document().resolve(files.takes(), () -> BandLevels.EMPTY);
    try (WorkFolder work = WorkFolder.make()) {
      SoundFiles sounds = new SoundFiles(work.path(), files.sounds());
      Mix mix = FilmRender.levelled(files.mix(film), loudness.aim(), sounds);
      LocalDateTime now = LocalDateTime.now(ZoneId.systemDefault());
      MixFiles to = new MixFiles(mix, sounds, written.title(), now);
      PrintWriter err = spec.commandLine().getErr();
      err.println(out + ": " + to.whole(out).inWords());
      if (stems != null) {
        to.stems(stems).forEach(stem -> err.println(stem.toString()));
      }
    }
    return 0;
  }
}
