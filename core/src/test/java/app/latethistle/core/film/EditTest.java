package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class EditTest {
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void everyEditIsTakenBackByItsInverse(long seed) {
    Random random = new Random(seed);
    Film film = Films.film(random);
    for (int i = 0; i < 30; i++) {
      Edit edit = Films.edit(film, random);
      Film after = edit.apply(film);
      assertThat(edit.inverse(film).apply(after)).as("%s", edit).isEqualTo(film);
      assertThat(after.joints())
          .hasSize(after.placements().isEmpty() ? 0 : after.placements().size() + 1);
      film = after;
    }
  }

  /** Cut again, shots that still follow each other go over as they did, whatever lies on it. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aNewCutKeepsItsTransitionsAndItsTreatments(long seed) {
    Random random = new Random(seed);
    Film planned = Films.film(random);
    Transition dissolve = Transition.of(TransitionKind.DISSOLVE, Span.frames(6));
    Film now = planned;
    for (int j = 1; j < planned.placements().size(); j++) {
      if (random.nextBoolean()) {
        now = SetAspect.of(Aspect.TRANSITION, planned.jointName(j), dissolve).apply(now);
      }
    }
    Finish glowing =
        now.finish().withTreatments(Treatments.of(Treatment.usual(TreatmentKind.GLOW)));
    now = SetAspect.of(Aspect.FINISH, "", glowing).apply(now);
    Film again = now.cutAs(planned.withFinish(Finish.NONE.withEnd(new EndFade(9))));
    assertThat(again.joints()).isEqualTo(now.joints());
    assertThat(again.finish()).isEqualTo(glowing.withEnd(new EndFade(9)));
    // The first shot is left out: its neighbour begins the film, the others stay as they were.
    if (planned.placements().size() > 2) {
      int n = planned.placements().size();
      Film fewer =
          planned.withCut(planned.placements().subList(1, n), planned.joints().subList(1, n + 1));
      List<Joint> joints = now.cutAs(fewer).joints();
      assertThat(joints.get(0).transition()).isEqualTo(Transition.CUT);
      assertThat(joints.subList(1, n)).isEqualTo(now.joints().subList(2, n + 1));
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void undoAndRedoWalkThroughTheSameFilmsWithoutEnd(long seed) {
    Random random = new Random(seed);
    EditLog log = EditLog.of(Film.EMPTY);
    List<Film> seen = new ArrayList<>(List.of(Film.EMPTY));
    for (int i = 0; i < 200; i++) {
      log = log.apply(Films.edit(log.film(), random));
      seen.add(log.film());
    }
    for (int i = 199; i >= 0; i--) {
      assertThat(log.undoLabel()).isNotEmpty();
      log = log.undo();
      assertThat(log.film()).isEqualTo(seen.get(i));
    }
    assertThat(log.undoLabel()).isEmpty();
    assertThat(log.undo()).isSameAs(log);
    for (int i = 1; i <= 200; i++) {
      log = log.redo();
      assertThat(log.film()).isEqualTo(seen.get(i));
    }
    assertThat(log.redo()).isSameAs(log);
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void aReplayedLogIsTheSameFilm(long seed) {
    Random random = new Random(seed);
    EditLog log = EditLog.of(Film.EMPTY);
    List<Function<Film, Edit>> edits = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      Edit edit = Films.edit(log.film(), random);
      edits.add(before -> edit);
      log = log.apply(edit);
    }
    EditLog undone = log.undo().undo().undo();
    EditLog replayed = EditLog.replay(edits, undone.done());
    assertThat(replayed.film()).isEqualTo(undone.film());
    assertThat(replayed.redo().redo().redo().film()).isEqualTo(log.film());
  }

  @Test
  void aNewEditForgetsWhatWasUndone() {
    Film film = Films.film(new Random(3));
    EditLog log =
        EditLog.of(film).apply(Films.lock(film, 0, true)).apply(Films.slip(film, 0, 7)).undo();
    assertThat(log.redoLabel()).isEqualTo("slip a shot");
    log = log.apply(Films.frame(film, 0, Framing.SOFT));
    assertThat(log.redoLabel()).isEmpty();
    assertThat(log.undoLabel()).isEqualTo("change framing");
  }

  @Test
  void editsThatDoNotFitSayWhy() {
    Film film = Films.film(new Random(3));
    int n = film.placements().size();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SetAspect.of(Aspect.RUN, "gone", Run.PLAIN).apply(film))
        .withMessageContaining("not in the film any more: gone");
    assertThatIllegalArgumentException().isThrownBy(() -> Films.slip(film, 0, -1));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Films.tie(film, 0, Tie.free(3)).apply(film))
        .withMessageContaining("start stays");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Places.reorder(Films.resolved(film), 0, n))
        .withMessageContaining("no shot at place " + n);
    assertThatIllegalArgumentException().isThrownBy(() -> Tie.onBeat(-1));
    Edit taken = Places.leaveGap(Films.resolved(film), 0);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> taken.apply(taken.apply(film)))
        .withMessageContaining("look at the film as it is now");
  }

  @Test
  void aFilmHasNoTwoItemsOfOneName() {
    Placement shot = Placement.of("s", "a0", 0, Framing.FILL);
    assertThatIllegalArgumentException()
        .isThrownBy(
            () -> Films.cut(List.of(shot, shot), List.of(Tie.free(0), Tie.free(9), Tie.free(20))))
        .withMessageContaining("named s");
  }
}
