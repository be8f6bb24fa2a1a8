package app.latethistle.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Films;
import app.latethistle.core.film.Joins;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.Span;
import app.latethistle.core.look.Transition;
import app.latethistle.core.look.TransitionKind;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.sound.Manner;
import app.latethistle.core.time.SampleRange;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** At 24 frames a second a frame has 2,000 samples. */
class FilmSoundsTest {
  private static final long FRAME = 2_000;
  private static final Set<String> SOUNDING = Set.of("a0", "a1", "b0");

  private static Placement shot(String id, String take, ClipSound heard) {
    return Placement.of(id, take, 7, Framing.FILL).withSound(heard);
  }

  private static FilmSound clip(String id, String take) {
    return new FilmSound(
        id,
        new SoundMaterial.OfTake(take, 5, 20),
        Landing.on(Tie.free(50)),
        Manner.PLAIN.withGain(-9));
  }

  /** What becomes of a part's edges at a sample of the film. */
  private static float edge(Part part, long sample) {
    float[] one = {1};
    part.edges().apply(one, 1, sample - part.at().start(), 1, part.at().length());
    return one[0];
  }

  private static ClipSound on(int lead, int tail, int gain) {
    return new ClipSound(true, lead, tail, gain);
  }

  private static Film film(ClipSound first, ClipSound second) {
    return Films.cut(
        List.of(shot("s0", "a0", first), shot("s1", "a1", second)),
        List.of(Tie.free(0), Tie.free(30), Tie.free(72)));
  }

  private static List<Part> parts(Film film) {
    return new FilmSounds(Films.resolved(film), Shape.of(16, 9), SOUNDING).parts();
  }

  @Test
  void aClipIsHeardWhileItIsSeen() {
    List<Part> parts = parts(film(on(0, 0, -6), ClipSound.OFF));
    assertThat(parts).hasSize(1);
    Part part = parts.get(0);
    assertThat(part.bus()).isEqualTo(Bus.CLIPS);
    assertThat(part.media()).isEqualTo("media-a0");
    assertThat(part.at()).isEqualTo(new SampleRange(0, 30 * FRAME));
    assertThat(part.gain()).isEqualTo(-6);
    Course.Running course = (Course.Running) part.course();
    assertThat(course.in()).isEqualTo(7 * FRAME);
    assertThat(course.material()).isEqualTo(120 * FRAME);
    assertThat(course.lead()).isZero();
    assertThat(course.picture()).isEqualTo(30 * FRAME);
  }

  /** Over a dissolve both clips are heard, and together their power is that of one. */
  @Test
  void soundsCrossWherePicturesDo() {
    Film cut = film(on(0, 0, 0), on(0, 0, 0));
    Transition how = Transition.of(TransitionKind.DISSOLVE, Span.frames(12));
    Film film = Joins.set(Films.resolved(cut), List.of(1), how).apply(cut);
    List<Part> parts = parts(film);
    assertThat(parts.get(0).at()).isEqualTo(new SampleRange(0, 36 * FRAME));
    assertThat(parts.get(1).at()).isEqualTo(new SampleRange(24 * FRAME, 72 * FRAME));
    assertThat(((Course.Running) parts.get(1).course()).lead()).isEqualTo(6 * FRAME);
    for (long sample = 25 * FRAME; sample < 35 * FRAME; sample += 313) {
      double goes = edge(parts.get(0), sample);
      double comes = edge(parts.get(1), sample);
      assertThat(goes * goes + comes * comes).isCloseTo(1, within(1e-6));
    }
    // Who said that it is heard sooner has it so.
    Film sooner =
        Joins.set(Films.resolved(cut), List.of(1), how).apply(film(on(0, 0, 0), on(3, 0, 0)));
    assertThat(parts(sooner).get(1).at().start()).isEqualTo(27 * FRAME);
    assertThat(parts(sooner).get(1).edges()).isEqualTo(Edges.crossing(0, 0));
  }

  @Test
  void leadAndTailReachOverTheCut() {
    List<Part> parts = parts(film(on(0, 12, 0), on(10, -5, 0)));
    assertThat(parts)
        .extracting(Part::at)
        .containsExactly(new SampleRange(0, 42 * FRAME), new SampleRange(20 * FRAME, 67 * FRAME));
    Course.Running second = (Course.Running) parts.get(1).course();
    assertThat(second.lead()).isEqualTo(10 * FRAME);
    assertThat(second.picture()).isEqualTo(42 * FRAME);
  }

  @Test
  void whatHasNoSoundOrStandsStillIsNotHeard() {
    Film mute =
        Films.cut(
            List.of(shot("s0", "a2", on(0, 0, 0)), Placement.gap("s1")),
            List.of(Tie.free(0), Tie.free(30), Tie.free(72)));
    assertThat(parts(mute)).isEmpty();
    Run held = new Run(Run.Way.HOLD, 100, 100, Run.Between.NEAREST);
    Film still =
        Films.cut(
            List.of(shot("s0", "a0", on(0, 0, 0)).withRun(held)),
            List.of(Tie.free(0), Tie.free(30)));
    assertThat(parts(still)).isEmpty();
  }

  @Test
  void aTakeThatIsGoneIsNotHeard() {
    Film gone =
        Films.cut(List.of(shot("s0", "lost", on(0, 0, 0))), List.of(Tie.free(0), Tie.free(30)));
    assertThat(new FilmSounds(Films.resolved(gone), Shape.of(16, 9), Set.of("lost")).parts())
        .isEmpty();
  }

  @Test
  void overlaysAndDetachedSoundsFollowTheCut() {
    Film film = film(on(0, 0, 0), ClipSound.OFF);
    film =
        Put.overlay(Overlay.whole(1, shot("o1", "b0", on(0, 0, -3)), Tie.free(40), Tie.free(60)))
            .apply(film);
    film = Put.sound(clip("d1", "a1")).apply(film);
    film = Put.sound(clip("d2", "a5")).apply(film);
    List<Part> parts = parts(film);
    assertThat(parts).extracting(Part::media).containsExactly("media-a0", "media-b0", "media-a1");
    assertThat(parts.get(1).at()).isEqualTo(new SampleRange(40 * FRAME, 60 * FRAME));
    assertThat(parts.get(2).at()).isEqualTo(new SampleRange(50 * FRAME, 70 * FRAME));
    assertThat(parts.get(2).gain()).isEqualTo(-9);
    assertThat(parts.get(2).course()).isEqualTo(new Course.Straight(5 * FRAME));
  }

  @Test
  void aRunIsToldInSamples() {
    Run slow = new Run(Run.Way.FORWARD, 50, 200, Run.Between.BLENDED, 90, 12);
    Film film =
        Films.cut(
            List.of(shot("s0", "a0", on(0, 0, 0)).withRun(slow)),
            List.of(Tie.free(0), Tie.free(30)));
    Run run = ((Course.Running) parts(film).get(0).course()).run();
    assertThat(run)
        .isEqualTo(new Run(Run.Way.FORWARD, 50, 200, Run.Between.BLENDED, 90 * FRAME, 12 * FRAME));
  }
}
