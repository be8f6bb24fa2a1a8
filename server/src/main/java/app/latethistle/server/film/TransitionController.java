package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Joins;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.time.FrameRate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** How shots become one another. */
@RestController
class TransitionController {
  private final FilmEdits edits;

  TransitionController(FilmEdits edits) {
    this.edits = edits;
  }

  /** A kind of transition, what can be said of it, and how it is if nothing is. */
  record KindView(TransitionKind kind, List<TransitionKind.Part> parts, Passing usual) {}

  record SetOnBorders(long revision, Passing transition) {}

  record SetTransition(long revision, List<Integer> joints, Passing transition) {}

  /** The kinds there are. */
  @GetMapping("/api/transitions")
  List<KindView> kinds() {
    return Stream.of(TransitionKind.values())
        .map(kind -> new KindView(kind, kind.parts(), Passing.usual(kind)))
        .toList();
  }

  @PostMapping("/api/productions/{productionId}/film/set-transition")
  FilmView setTransition(@PathVariable long productionId, @RequestBody SetTransition s) {
    return edits.make(
        productionId,
        s.revision(),
        state -> Joins.set(state.resolved(), s.joints(), known(s.transition(), state)));
  }

  /**
   * A transition as it is wanted.
   *
   * @throws IllegalArgumentException if it goes by a picture that is not among the takes
   */
  private static Transition known(Passing wanted, FilmState state) {
    Transition transition = wanted.transition();
    String picture = transition.manner().picture();
    if (!picture.isEmpty() && state.resolved().takeOfFile(picture).isEmpty()) {
      throw new Refused(
          "The picture that a transition goes by is a still among the takes; bring it in first.");
    }
    return transition;
  }

  /** The same on every joint that lies on a border of the song's sections or on a break. */
  @PostMapping("/api/productions/{productionId}/film/set-border-transitions")
  FilmView setBorderTransitions(@PathVariable long productionId, @RequestBody SetOnBorders s) {
    return edits.make(
        productionId,
        s.revision(),
        state -> {
          List<Integer> joints = Joins.onBorders(state.resolved(), borders(state));
          if (joints.isEmpty()) {
            throw new Refused(
                "No cut lies on a border of the song's sections or on a break; tie one there first.");
          }
          return Joins.set(state.resolved(), joints, known(s.transition(), state));
        });
  }

  /** Frames at which something else begins in the music. */
  private static Set<Long> borders(FilmState state) {
    FrameRate rate = state.production().rate();
    long start = state.film().music().start();
    Set<Long> borders = new HashSet<>(state.sections());
    state.song().stream()
        .flatMap(song -> song.moments().stream())
        .filter(m -> m.kind() == KeyMoment.Kind.BREAK)
        .forEach(m -> borders.add(rate.nearestFrame(m.at() - start)));
    return borders;
  }
}
