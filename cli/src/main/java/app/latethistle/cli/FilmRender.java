package app.latethistle.cli;

import app.latethistle.core.mix.Mix;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.render.Program;
import app.latethistle.media.MasterCheck;
import app.latethistle.media.MasterRender;
import app.latethistle.media.Quality;
import app.latethistle.media.SoundFiles;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.stream.Stream;

/** Renders a film to a file, says how far it is, and checks what came of it. */
final class FilmRender {
  private FilmRender() {}

  static MasterCheck render(
      Program program,
      Mix mix,
      PictureSource pictures,
      SoundFiles.Finder sounds,
      Quality quality,
      Path out,
      PrintWriter err)
      throws IOException {
    Path work = Files.createTempDirectory("thistle-");
    try {
      new MasterRender(program, pictures, quality, work)
          .render(
              mix,
              new SoundFiles(work, sounds),
              out.toAbsolutePath(),
              new Report(program.length(), err));
    } finally {
      try (Stream<Path> left = Files.walk(work)) {
        left.sorted(Comparator.reverseOrder()).forEach(path -> path.toFile().delete());
      }
    }
    MasterCheck check =
        MasterCheck.of(out, program.rate(), program.length(), program.plannedBlack());
    check.faults().forEach(fault -> err.println("check: " + fault));
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
