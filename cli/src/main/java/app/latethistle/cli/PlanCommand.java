package app.latethistle.cli;

import app.latethistle.core.film.Clocks;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Narration;
import app.latethistle.core.film.Reasons;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.plan.CutPlan;
import app.latethistle.core.plan.CutPlanner;
import app.latethistle.core.plan.OrderedCut;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.plan.PoolCut;
import app.latethistle.core.plan.Term;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Plans the cuts of a film from tables of its shots, beats and words. */
@Command(name = "plan", description = "Plans the cuts of a film on its beats and words.")
final class PlanCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Option(
      names = "--shots",
      required = true,
      paramLabel = "FILE.csv",
      description =
          "Columns shot,seconds and, if wanted, in_s,out_s (the part that may be seen),"
              + " shortest_s,longest_s,handles_s,line; for a pool also energy (0 to 1) and right,"
              + "down,zoom (how far the picture moves, in widths).")
  private Path shots;

  @Option(
      names = "--beats",
      required = true,
      paramLabel = "FILE.csv",
      description = "Columns time_s,bar,beat, as 'thistle beats --csv' writes.")
  private Path beats;

  @Option(
      names = "--words",
      paramLabel = "FILE.csv",
      description =
          "Columns word,start_s,end_s in seconds of the film, as 'thistle align --csv' writes,"
              + " and line if there is more than one.")
  private Path words;

  @Option(
      names = "--length",
      paramLabel = "SECONDS",
      description = "Wanted; to the last beat if not given.")
  private Double length;

  @Option(names = "--fps", paramLabel = "N[/D]", description = "Frame rate; 24 if not given.")
  private String fps = "24";

  @Option(names = "--pace", paramLabel = "calm|even|brisk", description = "Even if not given.")
  private String pace = "even";

  @Option(
      names = "--pool",
      description = "The shots have no order: the planner chooses which are seen and when.")
  private boolean pool;

  @Option(names = "--out", required = true, paramLabel = "FILE.json", description = "The plan.")
  private Path out;

  /** The plan as it is written; frames are of the film, seconds are of it too. */
  record Written(
      String frameRate,
      long lengthFrames,
      List<WrittenCut> cuts,
      List<WrittenShot> shots,
      List<String> leftOut,
      Map<Term, Double> terms,
      double bound) {}

  record WrittenCut(long frame, double seconds, String reason) {}

  record WrittenShot(String shot, long start, long end, long in) {}

  @Override
  public Integer call() throws IOException {
    FrameRate rate = FrameRate.parse(fps);
    BeatGrid grid = PlanTables.beats(beats);
    Narration narration = words == null ? Narration.EMPTY : PlanTables.words(words);
    double last = Samples.toSeconds(grid.sampleOf(grid.size() - 1));
    CutPlanner.Request request =
        new CutPlanner.Request(
            PlanTables.shots(shots, rate),
            new CutPlanner.Music(grid, List.of(), List.of(), 0),
            VoiceClock.of(narration, Film.EMPTY, List.of(), grid, rate),
            rate,
            rate.framesIn(length == null ? last : length),
            pace());
    CutPlan plan = (pool ? new PoolCut() : new OrderedCut()).plan(request);
    Cutting cutting = Cutting.of(plan.film(), new Clocks(grid, narration), rate, Map.of());
    JsonMapper json = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    Files.writeString(out, json.writeValueAsString(written(plan, cutting, grid, rate)) + "\n");
    spec.commandLine()
        .getErr()
        .printf(
            Locale.ROOT,
            "%s: %d shots, %.2f s, cost %.2f, no film costs less than %.2f%n",
            out,
            plan.film().placements().size(),
            rate.secondsOf(cutting.length()),
            plan.cost(),
            plan.bound());
    plan.leftOut()
        .forEach(shot -> spec.commandLine().getErr().println("left out, no room: shot " + shot));
    return 0;
  }

  private Pace pace() {
    for (Pace known : Pace.values()) {
      if (known.name().equalsIgnoreCase(pace)) {
        return known;
      }
    }
    throw new ParameterException(
        spec.commandLine(), "There is no pace '" + pace + "'; give calm, even or brisk.");
  }

  private static Written written(CutPlan plan, Cutting cutting, BeatGrid grid, FrameRate rate) {
    Film film = plan.film();
    List<String> reasons = new Reasons(grid, List.of(), List.of(), rate).of(film, cutting);
    List<WrittenCut> cuts = new ArrayList<>();
    for (int j = 1; j < film.joints().size(); j++) {
      long frame = cutting.frames().get(j);
      cuts.add(new WrittenCut(frame, rate.secondsOf(frame), reasons.get(j)));
    }
    List<WrittenShot> shots = new ArrayList<>();
    for (int i = 0; i < film.placements().size(); i++) {
      shots.add(
          new WrittenShot(
              film.placements().get(i).shot(),
              cutting.rangeOf(i).start(),
              cutting.rangeOf(i).end(),
              film.placements().get(i).in()));
    }
    return new Written(
        rate.toString(), cutting.length(), cuts, shots, plan.leftOut(), plan.terms(), plan.bound());
  }
}
