package app.latethistle.cli;

import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Reasons;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.mix.Course;
import app.latethistle.core.mix.Level;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.Part;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.plan.CutPlan;
import app.latethistle.core.plan.CutPlanner;
import app.latethistle.core.plan.OrderedCut;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.release.Quality;
import app.latethistle.core.render.Program;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.take.Gathering;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.media.ClipCheck;
import app.latethistle.media.Container;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Originals;
import app.latethistle.media.Probe;
import app.latethistle.media.RefusedMedia;
import app.latethistle.media.ShippedFaces;
import app.latethistle.media.SoundFiles;
import app.latethistle.media.TakeMeasure;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** The whole main job without the server: clips and a song in, a film out. */
@Command(name = "assemble", description = "Cuts a folder of clips to a song and renders the film.")
final class AssembleCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Option(names = "--clips", required = true, paramLabel = "DIR", description = "Folder of clips.")
  private Path clips;

  @Option(names = "--song", required = true, paramLabel = "FILE", description = "The song.")
  private Path song;

  @Option(names = "--out", required = true, paramLabel = "FILE.mp4", description = "The film.")
  private Path out;

  @Option(
      names = "--size",
      paramLabel = "WxH",
      description = "Picture size; 1920x1080 if not given.")
  private String size = "1920x1080";

  @Option(names = "--fps", paramLabel = "N[/D]", description = "Frame rate; 24 if not given.")
  private String fps = "24";

  @Option(
      names = "--length",
      paramLabel = "SECONDS",
      description = "Longest length; the song's if not given.")
  private Double length;

  @Option(
      names = "--voice",
      paramLabel = "DIR",
      description = "Folder of readings, one of each line of the script, in the order of names.")
  private Path voice;

  @Option(names = "--script", paramLabel = "FILE", description = "What is read in them.")
  private Path script;

  @Option(names = "--cuts", paramLabel = "FILE.csv", description = "Where to write the cuts.")
  private Path cuts;

  private final Map<String, Take> takes = new LinkedHashMap<>();
  private final Map<String, Originals.Original> originals = new LinkedHashMap<>();

  @Override
  public Integer call() throws IOException {
    FrameRate rate = rate();
    PictureShape shape = shape();
    if ((voice == null) != (script == null)) {
      throw new ParameterException(
          spec.commandLine(), "--voice and --script belong together; give both or neither.");
    }
    if (!Files.isDirectory(clips)) {
      throw new IOException(clips + ": there is no such folder.");
    }
    PrintWriter err = spec.commandLine().getErr();
    List<CutPlanner.Wanted> shots = gather(rate, shape, err);
    SongAnalysis heard = BeatsCommand.listen(song);
    BeatGrid grid = heard.grid();
    VoiceFolder read = voice == null ? VoiceFolder.SILENT : VoiceFolder.read(voice, script);
    Clocks clocks = new Clocks(grid, read.narration());
    MediaFacts songFacts = Probe.probe(song);
    double seconds = length == null ? songFacts.seconds() : Math.min(length, songFacts.seconds());
    CutPlan plan =
        new OrderedCut()
            .plan(
                new CutPlanner.Request(
                    shots,
                    new CutPlanner.Music(grid, heard.sections(), heard.moments(), 0),
                    VoiceClock.of(read.narration(), Film.EMPTY, List.of(), grid, rate),
                    rate,
                    rate.framesIn(seconds),
                    Pace.EVEN));
    plan.leftOut().forEach(shot -> err.println("left out, no room: shot " + shot));
    Resolved film = Resolved.of(plan.film(), clocks, rate, takes);
    if (cuts != null) {
      Reasons reasons = new Reasons(grid, heard.sections(), heard.moments(), rate);
      writeCuts(film, reasons);
    }
    render(film, shape, read.parts(film.cutting().voice()), err);
    return 0;
  }

  private List<CutPlanner.Wanted> gather(FrameRate rate, PictureShape film, PrintWriter err)
      throws IOException {
    List<String> names;
    try (Stream<Path> files = Files.list(clips)) {
      names =
          files.filter(Files::isRegularFile).map(f -> f.getFileName().toString()).sorted().toList();
    }
    List<CutPlanner.Wanted> shots = new ArrayList<>();
    for (Gathering.Shot shot : Gathering.of(names)) {
      for (Gathering.Clip clip : shot.takes()) {
        Optional<Take> take = take(clip.file(), rate, err);
        if (take.isPresent()) {
          Framing framing = new Framing(Fit.byDefault(take.get().shape(), film));
          String name = shot.key().number().isEmpty() ? clip.file() : shot.key().number();
          shots.add(
              CutPlanner.Wanted.of(
                      Placement.of(name, take.get().id(), 0, framing), take.get().frames())
                  .within(usable(clip.file(), take.get(), rate)));
          break;
        }
      }
    }
    if (shots.isEmpty()) {
      throw new IOException(clips + ": there is no clip in this folder that can be used.");
    }
    return shots;
  }

  /** The part of a take that may be seen. */
  private FrameRange usable(String name, Take take, FrameRate rate) throws IOException {
    MediaFacts facts = originals.get(name).facts();
    return TakeMeasure.measure(clips.resolve(name), facts, done -> {})
        .facts()
        .usableAt(rate, take.frames());
  }

  private Optional<Take> take(String name, FrameRate rate, PrintWriter err) throws IOException {
    Path file = clips.resolve(name);
    try {
      MediaFacts facts = Probe.probe(file);
      if (facts.kind() == MediaFacts.Kind.SOUND) {
        return Optional.empty();
      }
      long frames = ClipCheck.frames(file, facts, rate);
      originals.put(name, new Originals.Original(file, facts));
      Take take = new Take(name, name, frames, facts.shape().orElseThrow());
      takes.put(name, take);
      return Optional.of(take);
    } catch (RefusedMedia e) {
      err.println("left out: " + name + ": " + e.getMessage());
      return Optional.empty();
    }
  }

  private void writeCuts(Resolved resolved, Reasons reasons) throws IOException {
    StringBuilder text = new StringBuilder("frame,time_s,clip,source_in_s,tie\n");
    Film film = resolved.film();
    List<String> why = reasons.of(film, resolved.cutting());
    for (int i = 0; i < film.placements().size(); i++) {
      Placement p = film.placements().get(i);
      long frame = resolved.cutting().frames().get(i);
      text.append(
          String.format(
              Locale.ROOT,
              "%d,%.6f,%s,%.6f,%s%n",
              frame,
              resolved.rate().secondsOf(frame),
              quoted(p.take()),
              resolved.rate().secondsOf(p.in()),
              quoted(why.get(i))));
    }
    Files.writeString(cuts, text);
  }

  private static String quoted(String field) {
    return field.matches("[^\",\n]*") ? field : '"' + field.replace("\"", "\"\"") + '"';
  }

  private void render(Resolved film, PictureShape shape, List<Part> voice, PrintWriter err)
      throws IOException {
    FrameRate rate = film.rate();
    Program program = Program.of(film, shape.width(), shape.height());
    long length = rate.sampleOf(program.length());
    List<Part> parts = new ArrayList<>(voice);
    parts.add(
        new Part(
            Bus.MUSIC, song.toString(), new SampleRange(0, length), new Course.Straight(0), 0));
    Mix mix =
        new Mix(
            parts,
            length,
            rate.sampleOf(film.film().finish().end().frames()),
            Level.AS_MIXED,
            new Mix.Faders(Map.of(), VoiceFolder.lid(voice), false));
    FilmRender.render(
        program,
        mix,
        new Originals(originals, rate, Originals.NO_TABLES, ShippedFaces.all()),
        media -> {
          Path file = Path.of(media);
          return new SoundFiles.File(file, Container.of(file));
        },
        Optional.empty(),
        Quality.STANDARD,
        out,
        err);
    err.printf("%s: %d frames, %d shots%n", out, program.length(), film.film().placements().size());
  }

  private FrameRate rate() {
    try {
      return FrameRate.parse(fps);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), "--fps: " + e.getMessage(), e);
    }
  }

  private PictureShape shape() {
    if (!size.matches("\\d{2,4}x\\d{2,4}")) {
      throw new ParameterException(
          spec.commandLine(), "--size: '" + size + "' is not a size; write it like 1920x1080.");
    }
    String[] sides = size.split("x");
    PictureShape shape = PictureShape.of(Integer.parseInt(sides[0]), Integer.parseInt(sides[1]));
    if (shape.width() % 2 != 0 || shape.height() % 2 != 0 || shape.width() < 64) {
      throw new ParameterException(
          spec.commandLine(), "--size: '" + size + "' must have even sides of 64 or more.");
    }
    return shape;
  }
}
