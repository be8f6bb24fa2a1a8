package app.latethistle.core.voice;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;

class LineTimesTest {
  private static final long SECOND = Samples.RATE;

  private static LineTimes.Line following(double seconds, double gap) {
    return new LineTimes.Line(Samples.ofSeconds(seconds), 0, OptionalLong.empty(), gap);
  }

  private static LineTimes.Line at(double seconds, double onset, double at) {
    return new LineTimes.Line(
        Samples.ofSeconds(seconds),
        Samples.ofSeconds(onset),
        OptionalLong.of(Samples.ofSeconds(at)),
        0.5);
  }

  @Test
  void linesFollowEachOtherWithTheirGaps() {
    LineTimes times = LineTimes.of(List.of(following(2, 9), following(3, 0.5), following(1, 1)));
    assertThat(times.places())
        .containsExactly(
            new SampleRange(0, 2 * SECOND),
            new SampleRange(5 * SECOND / 2, 11 * SECOND / 2),
            new SampleRange(13 * SECOND / 2, 15 * SECOND / 2));
    assertThat(times.overlaps()).isEmpty();
  }

  @Test
  void noGapIsSmallerThanTheSmallest() {
    List<SampleRange> places = LineTimes.of(List.of(following(1, 0), following(1, 0))).places();
    assertThat(places.get(1).start() - places.get(0).end())
        .isEqualTo(Samples.ofSeconds(LineTimes.SMALLEST_GAP));
  }

  /** Its first word is where it is wanted, not its first sample. */
  @Test
  void theFirstWordFallsWhereItIsWanted() {
    LineTimes times = LineTimes.of(List.of(at(2, 0.25, 4), following(1, 0.5)));
    assertThat(times.places().get(0).start()).isEqualTo(Samples.ofSeconds(3.75));
    assertThat(times.places().get(1).start()).isEqualTo(Samples.ofSeconds(6.25));
    assertThat(LineTimes.of(List.of(at(2, 0.25, 0.1))).places().get(0).start()).isZero();
  }

  @Test
  void linesThatSoundAtOnceAreToldWithHowLong() {
    LineTimes times = LineTimes.of(List.of(at(3, 0, 1), at(3, 0, 2), at(1, 0, 3.5)));
    assertThat(times.overlaps())
        .containsExactly(
            new LineTimes.Overlap(0, 1, 2 * SECOND),
            new LineTimes.Overlap(0, 2, SECOND / 2),
            new LineTimes.Overlap(1, 2, SECOND));
  }

  @Test
  void aLineThatIsNotReadHoldsNoTime() {
    LineTimes times = LineTimes.of(List.of(following(2, 0), following(0, 0.5), following(1, 0.5)));
    assertThat(times.places().get(1).isEmpty()).isTrue();
    assertThat(times.places().get(2).start()).isEqualTo(5 * SECOND / 2);
    assertThat(times.overlaps()).isEmpty();
  }
}
