package app.latethistle.server.film;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.grade.Drift;
import app.latethistle.core.grade.Summary;
import app.latethistle.core.look.Correction;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.material.Shot;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Measures how alike the shots of a film look. */
@Component
class LookViews {
  private final FilmViews films;
  private final ShotColours colours;

  LookViews(FilmViews films, ShotColours colours) {
    this.films = films;
    this.colours = colours;
  }

  /** The key shot where it is seen first. */
  static Optional<Placement> key(Film film) {
    return film.placements().stream()
        .filter(p -> p.hasPicture() && p.shot().equals(film.finish().key()))
        .findFirst();
  }

  LookView of(FilmState state) {
    Map<Long, Shot> shots = films.shotsOf(state.production().id());
    Optional<Placement> key = key(state.film());
    Optional<Summary> wanted =
        key.flatMap(k -> colours.of(state, k).map(p -> Summary.of(p, k.how().correction())));
    List<LookView.LookShot> list = new ArrayList<>();
    List<Placement> placements = state.film().placements();
    for (int i = 0; i < placements.size(); i++) {
      Placement p = placements.get(i);
      if (p.hasPicture()) {
        FrameRange range = state.cutting().rangeOf(i);
        Shot shot = shots.get(Long.valueOf(p.shot()));
        list.add(shot(state, p, shot, (range.start() + range.end()) / 2, wanted));
      }
    }
    return new LookView(
        state.production().revision(), key.map(Placement::id).orElse(null), Drift.CLOSE, list);
  }

  private LookView.LookShot shot(
      FilmState state, Placement p, Shot shot, long frame, Optional<Summary> wanted) {
    Correction correction = p.how().correction();
    Drift before = null;
    Drift now = null;
    Optional<List<ColourPicture>> pictures =
        wanted.isPresent() ? colours.of(state, p) : Optional.empty();
    if (pictures.isPresent()) {
      before = drift(wanted.get(), pictures.get(), Correction.NONE);
      now = correction.isNone() ? before : drift(wanted.get(), pictures.get(), correction);
    }
    return new LookView.LookShot(
        p.id(),
        shot == null ? "?" : shot.label(),
        shot == null ? "" : shot.title(),
        frame,
        BasicsView.of(correction.basics()),
        !correction.withBasics(Correction.NONE.basics()).isNone(),
        before,
        now);
  }

  private static Drift drift(Summary key, List<ColourPicture> shot, Correction correction) {
    return Drift.between(key, Summary.of(shot, correction));
  }
}
