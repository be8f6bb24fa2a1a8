package app.latethistle.cli;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.look.Shape;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import app.latethistle.core.release.Quality;
import app.latethistle.core.render.Compositor;
import app.latethistle.core.render.PictureSource;
import app.latethistle.core.render.Program;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.SampleRange;
import app.latethistle.document.FilmDocument;
import app.latethistle.document.OutputForm;
import app.latethistle.media.FileCheck;
import app.latethistle.media.Originals;
import app.latethistle.media.SongDecoder;
import app.latethistle.media.WorkFolder;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Draws a film document. */
@Command(
    name = "render",
    description =
        "Renders a film document (docs/film-document.md), or the film of a packed production, to a"
            + " file or to pictures.")
final class RenderCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "FILM.json|PRODUCTION.zip", description = "The document.")
  private Path document;

  @Option(names = "--out", paramLabel = "FILE.mp4", description = "The film.")
  private Path out;

  @Option(
      names = "--output",
      paramLabel = "NAME",
      description = "One of the document's outputs; its first if not given.")
  private String output;

  @Option(
      names = "--frames",
      paramLabel = "A-B",
      description = "Only these frames of the output, both among them, counted from 0.")
  private String frames;

  @Option(
      names = "--png",
      paramLabel = "DIR",
      description = "A picture of each frame: DIR/000000.png is the output's frame 0.")
  private Path png;

  @Option(
      names = "--store",
      paramLabel = "DIR",
      description = "Where files are that the document names by hash: DATA/store of ./start.")
  private Path store;

  @Option(
      names = "--quality",
      paramLabel = "high|standard|small",
      description = "Standard if not given.")
  private String quality = "standard";

  @Mixin private LoudnessOptions loudness;

  @Override
  public Integer call() throws IOException {
    if (out == null && png == null) {
      throw new ParameterException(
          spec.commandLine(), "Say where to: --out FILE.mp4, --png DIR, or both.");
    }
    Quality wanted = quality();
    try (WorkFolder work = WorkFolder.make()) {
      boolean packed = document.getFileName().toString().endsWith(".zip");
      return render(packed ? PackedFilm.unpack(document, work.path()) : document, wanted);
    }
  }

  private int render(Path json, Quality wanted) throws IOException {
    FilmDocument written = DocumentFiles.read(json);
    OutputForm leaves = output(written);
    Path folder = json.toAbsolutePath().getParent();
    DocumentFiles files = DocumentFiles.of(written, folder, Optional.ofNullable(store));
    Resolved film = files.document().resolve(files.takes(), () -> levels(files));
    PrintWriter err = spec.commandLine().getErr();
    tell(film, err);

    Program whole = program(film, written.picture(), leaves);
    FrameRange range = range(whole, leaves);
    Program program = whole.part(range);
    PictureSource pictures =
        new Originals(files.files(), film.rate(), files.document()::table, files.faces());
    if (png != null) {
      draw(program, pictures, range.start() - first(leaves), err);
    }
    if (out != null) {
      SampleRange samples =
          new SampleRange(film.rate().sampleOf(range.start()), film.rate().sampleOf(range.end()));
      Mix mix = files.mix(film).part(samples);
      FileCheck check =
          FilmRender.render(
              program, mix, pictures, files.sounds(), loudness.aim(), wanted, out, err);
      err.printf("%s: %s%n", out, check.passes() ? check.report() : "see above");
      return check.passes() ? 0 : 1;
    }
    return 0;
  }

  private OutputForm output(FilmDocument written) throws IOException {
    return written
        .output(Optional.ofNullable(output))
        .orElseThrow(
            () ->
                new IOException(
                    document
                        + ": there is no output '"
                        + output
                        + "'; it has "
                        + (written.outputs().isEmpty()
                            ? "none"
                            : written.outputs().stream()
                                .map(OutputForm::name)
                                .collect(Collectors.joining(", ")))
                        + "."));
  }

  private static BandLevels levels(DocumentFiles files) {
    if (files.document().song() == null) {
      return BandLevels.EMPTY;
    }
    Originals.Original song = files.files().get(files.document().song().media().sha256());
    try {
      return BandLevels.of(SongDecoder.mono(song.path(), song.facts().container()));
    } catch (IOException e) {
      throw new UncheckedIOException(song.path() + ": the song's level was not measured.", e);
    }
  }

  private static Program program(Resolved film, FilmDocument.Picture own, OutputForm leaves) {
    Shape shape = Shape.of(leaves.width(), leaves.height());
    return shape.equals(Shape.of(own.width(), own.height()))
        ? Program.of(film, leaves.width(), leaves.height())
        : Program.of(film, shape, leaves.width(), leaves.height());
  }

  private static long first(OutputForm leaves) {
    return leaves.start() == null ? 0 : leaves.start();
  }

  /** The frames of the film that are wanted. */
  private FrameRange range(Program whole, OutputForm leaves) throws IOException {
    long start = first(leaves);
    long end = leaves.end() == null ? whole.length() : leaves.end();
    if (start >= end || end > whole.length()) {
      throw new IOException(
          String.format(
              Locale.ROOT,
              "%s: output '%s' goes from frame %d to %d, and the film has %d.",
              document,
              leaves.name(),
              start,
              end,
              whole.length()));
    }
    if (frames == null) {
      return new FrameRange(start, end);
    }
    if (!frames.matches("\\d{1,9}(-\\d{1,9})?")) {
      throw new ParameterException(
          spec.commandLine(), "--frames: '" + frames + "' is no range; write it like 24-47.");
    }
    String[] ends = frames.split("-");
    long first = start + Long.parseLong(ends[0]);
    long last = start + Long.parseLong(ends[ends.length - 1]);
    if (first > last || last >= end) {
      throw new ParameterException(
          spec.commandLine(),
          "--frames: '" + frames + "' is not within frames 0-" + (end - start - 1) + ".");
    }
    return new FrameRange(first, last + 1);
  }

  /** Says what could not be honoured. */
  private static void tell(Resolved film, PrintWriter err) {
    for (Cutting.Problem problem : film.cutting().problems()) {
      String shot =
          problem.place() < film.film().placements().size()
              ? "shot " + film.film().placements().get(problem.place()).id()
              : "the film's end";
      String frames = problem.frames() == 0 ? "" : ", frames: " + problem.frames();
      String what = problem.kind().name().toLowerCase(Locale.ROOT).replace('_', ' ');
      err.println("note: " + shot + ": " + what + frames);
    }
  }

  private void draw(Program program, PictureSource pictures, long first, PrintWriter err)
      throws IOException {
    Files.createDirectories(png);
    int[] pixels = new int[program.width() * program.height()];
    BufferedImage image =
        new BufferedImage(program.width(), program.height(), BufferedImage.TYPE_INT_RGB);
    long[] number = {first};
    new Compositor(program, pictures)
        .draw(
            new FrameRange(0, program.length()),
            (Frame frame) -> {
              Rgb.fromFrame(frame, pixels);
              image.setRGB(0, 0, program.width(), program.height(), pixels, 0, program.width());
              Path file = png.resolve(String.format(Locale.ROOT, "%06d.png", number[0]++));
              if (!ImageIO.write(image, "png", file.toFile())) {
                throw new IOException(file + ": it could not be written.");
              }
            });
    err.printf(Locale.ROOT, "%s: %d pictures%n", png, program.length());
  }

  private Quality quality() {
    for (Quality known : Quality.values()) {
      if (known.name().equalsIgnoreCase(quality)) {
        return known;
      }
    }
    throw new ParameterException(
        spec.commandLine(), "There is no quality '" + quality + "'; give high, standard or small.");
  }
}
