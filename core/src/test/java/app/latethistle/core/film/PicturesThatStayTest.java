package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Framing;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Split, roll, slide and ripple change no picture that stays, whatever way its shot runs. */
class PicturesThatStayTest {

  /** What is seen at each frame of a film: the take, and the place in it, not rounded. */
  private static List<String> pictures(Resolved film) {
    List<String> pictures = new ArrayList<>();
    for (int i = 0; i < film.film().placements().size(); i++) {
      pictures.addAll(pictures(film, i));
    }
    return pictures;
  }

  private static List<String> pictures(Resolved film, int place) {
    Placement shot = film.film().placements().get(place);
    FrameRange range = film.range(place);
    Take take = film.takes().get(shot.take());
    List<String> pictures = new ArrayList<>();
    for (long k = 0; k < range.length(); k++) {
      pictures.add(
          take == null
              ? "black"
              : take.id()
                  + " "
                  + shot.run().frame(shot.in(), take.frames(), k, range.length())
                  + " "
                  + shot.run().between());
    }
    return pictures;
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void aSplitChangesNothingThatIsSeen(long seed) {
    Random random = new Random(seed);
    Resolved film = Films.running(random);
    List<String> before = pictures(film);
    for (int i = 0; i < 8; i++) {
      int place = random.nextInt(film.film().placements().size());
      FrameRange range = film.range(place);
      if (range.length() > 1) {
        long at = range.start() + 1 + random.nextLong(range.length() - 1);
        film = film.with(Trims.split(film, place, Tie.free(at)).apply(film.film()));
      }
      assertThat(pictures(film)).isEqualTo(before);
    }
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void whatIsOnBothSidesOfARolledCutStays(long seed) {
    Random random = new Random(seed);
    Resolved film = Films.running(random);
    int made = 0;
    for (int i = 0; i < 8 && film.film().placements().size() > 1; i++) {
      int joint = 1 + random.nextInt(film.film().placements().size() - 1);
      Tie to = Tie.free(film.frame(joint) + random.nextLong(25) - 12);
      Resolved after;
      try {
        after = film.with(Trims.roll(film, joint, to).apply(film.film()));
      } catch (IllegalArgumentException e) {
        continue;
      }
      made++;
      long from = Math.min(film.frame(joint), after.frame(joint));
      long until = Math.max(film.frame(joint), after.frame(joint));
      List<String> was = pictures(film);
      List<String> is = pictures(after);
      assertThat(is.subList(0, (int) from)).isEqualTo(was.subList(0, (int) from));
      assertThat(is.subList((int) until, is.size()))
          .isEqualTo(was.subList((int) until, was.size()));
      film = after;
    }
    assertThat(made > 0 || film.film().placements().size() < 3).isTrue();
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void aShotThatSlidesShowsTheSame(long seed) {
    Random random = new Random(seed);
    Resolved film = Films.running(random);
    int n = film.film().placements().size();
    if (n < 3) {
      return;
    }
    int place = 1 + random.nextInt(n - 2);
    Tie to = Tie.free(film.frame(place) + random.nextLong(25) - 12);
    Resolved after;
    try {
      after = film.with(Trims.slide(film, place, to).apply(film.film()));
    } catch (IllegalArgumentException e) {
      return;
    }
    assertThat(pictures(after, place)).isEqualTo(pictures(film, place));
    List<String> was = pictures(film);
    List<String> is = pictures(after);
    int early = (int) Math.min(film.frame(place), after.frame(place));
    int late = (int) Math.max(film.frame(place + 1), after.frame(place + 1));
    assertThat(is.subList(0, early)).isEqualTo(was.subList(0, early));
    assertThat(is.subList(late, is.size())).isEqualTo(was.subList(late, was.size()));
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void aRippleKeepsWhatIsLeftOfItsShotAndAllOthers(long seed) {
    Random random = new Random(seed);
    Resolved film = Films.running(random);
    int place = random.nextInt(film.film().placements().size());
    FrameRange range = film.range(place);
    boolean start = random.nextBoolean();
    long by = random.nextLong(Math.max(1, range.length() - 1));
    Tie to = Tie.free(start ? range.start() + by : range.end() - by);
    Edit edit = start ? Trims.rippleStart(film, place, to) : Trims.rippleEnd(film, place, to);
    Resolved after = film.with(edit.apply(film.film()));
    List<String> was = pictures(film, place);
    List<String> is = pictures(after, place);
    assertThat(is).isEqualTo(start ? was.subList((int) by, was.size()) : was.subList(0, is.size()));
    Map<String, List<String>> others = new HashMap<>();
    for (int i = 0; i < film.film().placements().size(); i++) {
      if (i != place && film.range(i).length() == after.range(i).length()) {
        others.put(film.film().placementAt(i).id(), pictures(film, i));
        assertThat(pictures(after, i)).isEqualTo(others.get(after.film().placementAt(i).id()));
      }
    }
  }

  /** The two cases in which pictures were once others after an edit. */
  @Test
  void halfSpeedIsSplitBetweenFramesAndARampKeepsItsSpeed() {
    Film film =
        Films.cut(
            List.of(
                Placement.of("s0", "a0", 0, Framing.FILL).withRun(Run.at(50)),
                Placement.of("s1", "a1", 0, Framing.FILL)),
            List.of(Tie.free(0), Tie.free(20), Tie.free(40)));
    Resolved resolved = Films.resolved(film);
    Resolved split = resolved.with(Trims.split(resolved, 0, Tie.free(5)).apply(film));
    Placement second = split.film().placementAt(1);
    assertThat(second.run().frame(second.in(), 120, 0, 15)).isEqualTo(2.5);
    assertThat(second.run().frame(second.in(), 120, 1, 15)).isEqualTo(3);

    Film ramped =
        SetAspect.of(Aspect.RUN, "s0", new Run(Run.Way.FORWARD, 100, 200, Run.Between.NEAREST))
            .apply(film);
    Resolved before = Films.resolved(ramped);
    Resolved rolled = before.with(Trims.roll(before, 1, Tie.free(30)).apply(ramped));
    Placement longer = rolled.film().placementAt(0);
    assertThat(longer.run().frame(0, 120, 10, 30)).isEqualTo(12.5);
    // Past its end a run stays as quick as it was there.
    assertThat(longer.run().frame(0, 120, 25, 30)).isEqualTo(30 + 2 * 5);
  }

  @Test
  void aNewSpeedBeginsWithTheFrameThatIsSeen() {
    Film film =
        Films.cut(
            List.of(Placement.of("s0", "a0", 10, Framing.FILL).withRun(Run.at(50))),
            List.of(Tie.free(0), Tie.free(20)));
    Resolved resolved = Films.resolved(film);
    Resolved split = resolved.with(Trims.split(resolved, 0, Tie.free(8)).apply(film));
    String second = split.film().placementAt(1).id();
    Film after = Sources.run(split, second, Run.at(100)).apply(split.film());
    assertThat(after.placementAt(1).in()).isEqualTo(14);
    assertThat(after.placementAt(1).run().since()).isZero();
  }
}
