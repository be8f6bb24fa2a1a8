package app.latethistle.server.film;

import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Tie;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import org.springframework.stereotype.Component;

/** Says in words what sounds and titles land on. */
@Component
public class TieWords {
  private final Shots shots;

  TieWords(Shots shots) {
    this.shots = shots;
  }

  /** What something lands on. */
  public String says(FilmState state, Tie tie) {
    if (tie instanceof Tie.OnBeat on) {
      BeatGrid grid = state.grid();
      if (on.beat() >= grid.size()) {
        return "a beat that the song does not have";
      }
      String bar = "bar " + grid.barOf(on.beat());
      String beat =
          grid.isDownbeat(on.beat())
              ? "downbeat of " + bar
              : "beat " + grid.placeOf(on.beat()) + " of " + bar;
      String begins = state.sectionsByBeat().get(on.beat());
      String all = begins == null ? beat : beat + ", where " + begins + " begins";
      return on.offset() == 0 ? all : all + ", " + on.offset() + " f";
    }
    if (tie instanceof Tie.OnWord on) {
      return state
          .cutting()
          .voice()
          .wordOf(on)
          .map(
              w ->
                  (on.edge() == Tie.Edge.START ? "start" : "end")
                      + " of \u2018"
                      + w.get().text()
                      + "\u2019, line "
                      + w.line().number())
          .orElse("a word that is not read");
    }
    if (tie instanceof Tie.OnItem on) {
      return switch (on.kind()) {
        case CUT -> on.id().isEmpty() ? "the film\u2019s end" : "cut into " + label(state, on.id());
        case MARKER ->
            state
                .film()
                .marker(on.id())
                .map(m -> "marker " + m.note())
                .orElse("a marker that is gone");
        case SOUND ->
            state
                .film()
                .sound(on.id())
                .map(s -> "with " + s.what().name())
                .orElse("a sound that is gone");
        case TITLE ->
            state
                .film()
                .title(on.id())
                .map(
                    t ->
                        "with the title \u201c"
                            + t.words().text().lines().findFirst().orElse("")
                            + "\u201d")
                .orElse("a title that is gone");
      };
    }
    return "free";
  }

  private String label(FilmState state, String item) {
    return state
        .film()
        .placement(item)
        .map(Placement::shot)
        .filter(shot -> shot.matches("\\d+"))
        .flatMap(shot -> shots.findById(Long.valueOf(shot)))
        .map(Shot::label)
        .orElse("a shot that is gone");
  }
}
