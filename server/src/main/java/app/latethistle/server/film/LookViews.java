package app.latethistle.server.film;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.grade.Drift;
import app.latethistle.core.grade.Summary;
import app.latethistle.core.look.Correction;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Measures how alike the shots of a film look. */
@Component
class LookViews {
  private final Shots shots;
  private final ShotColours colours;

  LookViews(Shots shots, ShotColours colours) {
    this.shots = shots;
    this.colours = colours;
  }

  /** The key shot where it is seen first. */
  static Optional<Placement> key(Film film) {
    return film.placements().stream()
        .filter(p -> p.hasPicture() && p.shot().equals(film.finish().key()))
        .findFirst();
  }

  LookView of(FilmState state) {
    Optional<Placement> key = key(state.film());
    Optional<Summary> wanted = key.flatMap(k -> summary(state, k, k.how().correction()));
    List<LookView.LookShot> list = new ArrayList<>();
    List<Placement> placements = state.film().placements();
    for (int i = 0; i < placements.size(); i++) {
      Placement p = placements.get(i);
      if (p.hasPicture()) {
        long frame = (state.cutting().rangeOf(i).start() + state.cutting().rangeOf(i).end()) / 2;
        list.add(shot(state, p, frame, wanted));
      }
    }
    return new LookView(
        state.production().revision(), key.map(Placement::id).orElse(null), Drift.CLOSE, list);
  }

  private LookView.LookShot shot(
      FilmState state, Placement p, long frame, Optional<Summary> wanted) {
    Shot shot = shots.findById(Long.parseLong(p.shot())).orElse(null);
    Correction correction = p.how().correction();
    return new LookView.LookShot(
        p.id(),
        shot == null ? "?" : shot.label(),
        shot == null ? "" : shot.title(),
        frame,
        BasicsView.of(correction.basics()),
        !correction.withBasics(Correction.NONE.basics()).isNone(),
        drift(state, p, wanted, Correction.NONE),
        drift(state, p, wanted, correction));
  }

  private Drift drift(
      FilmState state, Placement p, Optional<Summary> wanted, Correction correction) {
    return wanted
        .flatMap(key -> summary(state, p, correction).map(s -> Drift.between(key, s)))
        .orElse(null);
  }

  private Optional<Summary> summary(FilmState state, Placement p, Correction correction) {
    Optional<List<ColourPicture>> pictures = colours.of(state, p);
    return pictures.map(list -> Summary.of(list, correction));
  }
}
