package app.latethistle.server.film;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Remedy;
import app.latethistle.core.take.Take;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import java.util.Comparator;
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
    if (problem.kind() != Cutting.Kind.OUT_OF_MATERIAL) {
      return List.of();
    }
    return remedies(state, problem.place()).stream()
        .map(r -> view(state, r, problem.place(), placed))
        .toList();
  }

  /** The ways out for a shot that is short of material. */
  List<Remedy> remedies(FilmState state, int place) {
    Placement shot = state.film().placementAt(place);
    List<Take> others =
        takes.findByShotIdOrderByNumberAscIdAsc(Long.parseLong(shot.shot())).stream()
            .filter(t -> t.state() == State.READY && !t.isRejected() && !t.isPlaceholder())
            .sorted(Comparator.comparingInt(TakeEntry::number))
            .map(TakeEntry::take)
            .filter(t -> !t.id().equals(shot.take()) && state.takes().containsKey(t.id()))
            .toList();
    return Remedy.of(state.resolved(), place, others, state::framingOf);
  }

  private FilmView.RemedyView view(
      FilmState state, Remedy r, int place, List<FilmView.PlacedView> placed) {
    String take =
        r.take().isEmpty()
            ? ""
            : Integer.toString(
                takes.findById(Long.valueOf(r.take())).map(TakeEntry::number).orElse(0));
    String name =
        switch (r.kind()) {
          case SLIP -> "Slip it";
          case TAKE -> "Take " + take;
          case SLOW -> "Slow to " + r.speed() + " %";
          case BACK_AND_FORTH -> "Back and forth";
          case END_SOONER -> "End it sooner";
          case FILL -> "Fill with take " + take;
        };
    return new FilmView.RemedyView(r.kind(), name, cost(state, r, place, placed));
  }

  private static String cost(
      FilmState state, Remedy r, int place, List<FilmView.PlacedView> placed) {
    return switch (r.kind()) {
      case SLIP ->
          (r.missing() > 0 ? r.missing() + " f are still short; " : "")
              + "shows "
              + r.frames()
              + " f sooner in the take";
      case TAKE -> "another take, of " + r.frames() + " f";
      case SLOW ->
          "moves "
              + Math.round(100 - 100 * r.speed() / speed(state, place))
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
    };
  }

  private static double speed(FilmState state, int place) {
    var run = state.film().placementAt(place).run();
    return (run.from() + run.to()) / 2.0;
  }
}
