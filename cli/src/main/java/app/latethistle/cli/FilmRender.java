package app.latethistle.cli;

import app.latethistle.core.check.FileChecks;
import app.latethistle.core.check.Verdict;
import app.latethistle.core.mix.LoudnessAim;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.release.Quality;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.render.Program;
import app.latethistle.media.FileCheck;
import app.latethistle.media.MasterRender;
import app.latethistle.media.SoundFiles;
import app.latethistle.media.WorkFolder;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Optional;

/** Renders a film to a file, says how far it is, and checks what came of it. */
final class FilmRender {
  private FilmRender() {}

  /** A mix whose sounds are decoded, as loud as is asked; as it is mixed if nothing is. */
  static Mix levelled(Mix mix, Optional<LoudnessAim> aim, SoundFiles sounds) throws IOException {
    sounds.decodeAll(mix);
    return aim.isPresent() ? aim.get().reachedBy(mix, sounds) : mix;
  }

  static FileCheck render(
      Program program,
      Mix mix,
      PictureSource pictures,
      SoundFiles.Finder sounds,
      Optional<LoudnessAim> aim,
      Quality quality,
      Path out,
      PrintWriter err)
      throws IOException {
    try (WorkFolder work = WorkFolder.make()) {
      SoundFiles files = new SoundFiles(work.path(), sounds);
      Mix levelled = levelled(mix, aim, files);
      new MasterRender(program, pictures, Optional.of(quality), work.path())
          .render(levelled, files, out.toAbsolutePath(), new Report(program.length(), err));
    }
    FileCheck check = FileCheck.of(out, FileChecks.Wanted.of(program, aim));
    check.findings().stream()
        .filter(f -> f.verdict() != Verdict.FINE)
        .forEach(f -> err.println("check: " + f.said()));
    return check;
  }

  /** Says how far the render is, every tenth of it. */
  private static final class Report implements MasterRender.Progress {
    private final long total;
    private final PrintWriter err;
    private long tenths;

    Report(long total, PrintWriter err) {
      this.total = total;
      this.err = err;
    }

    @Override
    public synchronized void frames(long done) {
      if (done * 10 / total > tenths) {
        tenths = done * 10 / total;
        err.println("rendered " + done + " of " + total + " frames");
        err.flush();
      }
    }

    @Override
    public boolean isCancelled() {
      return false;
    }
  }
}
