package app.latethistle.core.release;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.time.FrameRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Chapters as places of publication read them. */
class ChaptersTest {
  private static final FrameRate RATE = FrameRate.FPS_24;

  private static Chapters chapters(Object... startsAndNames) {
    List<Chapters.Chapter> list = new ArrayList<>();
    for (int i = 0; i < startsAndNames.length; i += 2) {
      list.add(new Chapters.Chapter((Integer) startsAndNames[i], (String) startsAndNames[i + 1]));
    }
    return Chapters.of(list, RATE);
  }

  @Test
  void scenesOfOneNameAreOneAndTheFirstIsAtNought() {
    Chapters of = chapters(12, "Jetty", 240, "Jetty", 480, "Valley", 3600 * 24, "Dawn");
    assertThat(of.text()).isEqualTo("0:00 Jetty\n0:20 Valley\n1:00:00 Dawn");
  }

  @Test
  void whatIsTooShortIsJoinedToItsShorterNeighbour() {
    Chapters of = chapters(0, "A", 480, "B", 600, "C", 960, "D");
    assertThat(of.fault(1400).orElseThrow())
        .isEqualTo("B is 5.0 s; chapters under 10 s may be refused");
    assertThat(of.joined(1400).text()).isEqualTo("0:00 A\n0:20 C\n0:40 D");
    assertThat(of.joined(1400).fault(1400)).isEmpty();
  }

  /** However short scenes are, what is joined has none under ten seconds, unless the film is. */
  @Test
  void joinedChaptersAreLongEnough() {
    for (int seed = 0; seed < 300; seed++) {
      Random random = new Random(seed);
      List<Chapters.Chapter> list = new ArrayList<>();
      long at = 0;
      for (int i = 0; i < 1 + random.nextInt(12); i++) {
        list.add(new Chapters.Chapter(at, "scene " + random.nextInt(6)));
        at += 1 + random.nextInt(600);
      }
      Chapters joined = Chapters.of(list, RATE).joined(at);
      assertThat(joined.list().get(0).start()).isZero();
      assertThat(joined.tooShort(at).isEmpty() || joined.list().size() == 1).isTrue();
    }
  }
}
