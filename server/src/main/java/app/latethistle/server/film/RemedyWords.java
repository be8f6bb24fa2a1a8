package app.latethistle.server.film;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.HandleRemedies;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Remedy;
import app.latethistle.core.take.Take;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import java.util.List;
import org.springframework.stereotype.Component;

/** Ways out of too little material, found with the takes there are and said in words. */
@Component
class RemedyWords {
  private final Takes takes;

  RemedyWords(Takes takes) {
    this.takes = takes;
  }

  /** The ways out of a problem; none if it is another one. */
  List<FilmView.RemedyView> of(
      FilmState state, Cutting.Problem problem, List<FilmView.PlacedView> placed) {
    if (!concerns(problem.kind())) {
      return List.of();
    }
    int place = problem.place();
    List<TakeEntry> others = others(state, place);
    return remedies(state, problem, others).stream()
        .map(r -> new FilmView.RemedyView(r.kind(), name(r, others), cost(state, r, place, placed)))
        .toList();
  }

  /** The ways out of what is wrong with a shot's material. */
  List<Remedy> remedies(FilmState state, Cutting.Problem problem) {
    return concerns(problem.kind())
        ? remedies(state, problem, others(state, problem.place()))
        : List.of();
  }

  private static List<Remedy> remedies(
      FilmState state, Cutting.Problem problem, List<TakeEntry> others) {
    List<Take> usable = others.stream().map(TakeEntry::take).toList();
    return HandleRemedies.concerns(problem.kind())
        ? HandleRemedies.of(state.resolved(), problem, usable, state::framingOf)
        : Remedy.of(state.resolved(), problem.place(), usable, state::framingOf);
  }

  /** Whether a problem is one of too little material. */
  private static boolean concerns(Cutting.Kind kind) {
    return kind == Cutting.Kind.OUT_OF_MATERIAL || HandleRemedies.concerns(kind);
  }

  /** Other takes of a shot that may be used, by their numbers. */
  private List<TakeEntry> others(FilmState state, int place) {
    Placement shot = state.film().placementAt(place);
    if (!shot.hasPicture()) {
      return List.of();
    }
    return takes.findByShotIdOrderByNumberAscIdAsc(Long.parseLong(shot.shot())).stream()
        .filter(t -> t.state() == State.READY && !t.isRejected() && !t.isPlaceholder())
        .filter(t -> !id(t).equals(shot.take()) && state.takes().containsKey(id(t)))
        .toList();
  }

  /** A take's id as a film names it. */
  private static String id(TakeEntry take) {
    return Long.toString(take.id());
  }

  private static String name(Remedy r, List<TakeEntry> others) {
    return switch (r.kind()) {
      case SLIP -> "Slip it";
      case TAKE -> "Take " + number(r.take(), others);
      case SLOW -> "Slow to " + r.speed() + " %";
      case BACK_AND_FORTH -> "Back and forth";
      case END_SOONER -> "End it sooner";
      case FILL -> "Fill with take " + number(r.take(), others);
      case OFF_CENTRE -> "Beside the cut";
      case SHORTEN -> "Shorten to " + r.frames() + " f";
      case HOLD -> "Hold its picture";
      case WAIT, CUT_SOONER, CARRY -> throw new IllegalStateException("Told by SpokenApart.");
    };
  }

  private static int number(String take, List<TakeEntry> others) {
    return others.stream().filter(t -> id(t).equals(take)).findFirst().orElseThrow().number();
  }

  private static String cost(
      FilmState state, Remedy r, int place, List<FilmView.PlacedView> placed) {
    return switch (r.kind()) {
      case SLIP ->
          (r.missing() > 0 ? r.missing() + " f are still short; " : "")
              + "shows "
              + Math.abs(r.frames())
              + (r.frames() < 0 ? " f later in the take" : " f sooner in the take");
      case TAKE -> "another take, of " + r.frames() + " f";
      case SLOW ->
          "moves "
              + Math.round(100 - 100 * r.speed() / state.film().placementAt(place).run().mean())
              + " % slower, frames drawn along the motion";
      case BACK_AND_FORTH ->
          "runs back after " + r.frames() + " f; seen where things fall or speak";
      case END_SOONER ->
          place + 1 < placed.size()
              ? r.frames()
                  + (r.frames() == 1 ? " frame goes to " : " frames go to ")
                  + placed.get(place + 1).label()
                  + "; the cut is free"
              : "the film is " + r.frames() + " f shorter";
      case FILL -> "a cut inside the shot, " + r.frames() + " f in";
      case OFF_CENTRE -> "the transition lies to one side of its moment";
      case SHORTEN -> "as long as both shots last it";
      case HOLD -> "it stands still for " + r.frames() + " f while the other one comes or goes";
      case WAIT, CUT_SOONER, CARRY -> throw new IllegalStateException("Told by SpokenApart.");
    };
  }
}
