package app.latethistle.server.film;

import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Makes views of films with the names of their shots. */
@Component
class FilmViews {
  private final CutRequests cuts;
  private final Shots shots;
  private final RemedyWords remedies;

  FilmViews(CutRequests cuts, Shots shots, RemedyWords remedies) {
    this.cuts = cuts;
    this.shots = shots;
    this.remedies = remedies;
  }

  FilmView of(FilmState state) {
    return FilmView.of(state, shotsOf(state.production().id()), cuts.outside(state), remedies);
  }

  /** A production's shots by id. */
  Map<Long, Shot> shotsOf(long productionId) {
    return shots.findByProductionId(productionId).stream()
        .collect(Collectors.toMap(Shot::id, s -> s));
  }
}
