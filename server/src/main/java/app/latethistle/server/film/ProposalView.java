package app.latethistle.server.film;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Tie;
import app.latethistle.core.plan.CutPlan;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.plan.Term;
import app.latethistle.server.material.Shot;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A film as it would be at a pace.
 *
 * @param like the proposal before it whose cuts it nearly has, where there is no other way
 * @param length in frames
 * @param terms what each term of the planner's objective came to
 * @param cost what they came to together; smaller is better
 * @param bound no film costs less than this
 * @param downbeats how many cuts are tied to downbeats
 * @param beats how many to other beats
 * @param words how many to words
 * @param insideWords how many cuts fall inside words
 * @param moved how many shots that are in the film now would begin at another frame
 * @param leftOut labels of the shots that found no room
 */
record ProposalView(
    Pace pace,
    @Schema(nullable = true) Pace like,
    long length,
    Map<Term, Double> terms,
    double cost,
    double bound,
    int downbeats,
    int beats,
    int words,
    int insideWords,
    int moved,
    List<String> leftOut,
    List<ProposedShot> shots) {

  /** A shot as it would be; {@code start} and {@code end} are frames of the film. */
  record ProposedShot(long shotId, String label, long takeId, long in, long start, long end) {}

  static ProposalView of(FilmService.Proposal proposal, FilmState now, Map<Long, Shot> shots) {
    FilmState state = proposal.state();
    Film film = state.film();
    CutPlan plan = proposal.plan().plan();
    int downbeats = 0;
    int beats = 0;
    int words = 0;
    for (Tie tie : film.ties().subList(1, film.joints().size() - 1)) {
      if (tie instanceof Tie.OnBeat on) {
        boolean down = state.grid().isDownbeat(on.beat());
        downbeats += down ? 1 : 0;
        beats += down ? 0 : 1;
      } else if (tie instanceof Tie.OnWord) {
        words++;
      }
    }
    List<ProposedShot> placed = new ArrayList<>();
    int moved = 0;
    for (int i = 0; i < film.placements().size(); i++) {
      Placement p = film.placements().get(i);
      long start = state.cutting().rangeOf(i).start();
      int before = now.film().indexOfId(p.id());
      moved += before >= 0 && now.cutting().rangeOf(before).start() != start ? 1 : 0;
      placed.add(
          new ProposedShot(
              Long.parseLong(p.shot()),
              label(shots, p.shot()),
              Long.parseLong(p.take()),
              p.in(),
              start,
              state.cutting().rangeOf(i).end()));
    }
    return new ProposalView(
        proposal.plan().pace(),
        proposal.plan().like().orElse(null),
        state.cutting().length(),
        plan.terms(),
        plan.cost(),
        plan.bound(),
        downbeats,
        beats,
        words,
        (int)
            state.cutting().problems().stream()
                .filter(p -> p.kind() == Cutting.Kind.INSIDE_WORD)
                .count(),
        moved,
        plan.leftOut().stream().map(shot -> label(shots, shot)).toList(),
        placed);
  }

  private static String label(Map<Long, Shot> shots, String shot) {
    Shot its = shots.get(Long.valueOf(shot));
    return its == null ? "?" : its.label();
  }
}
