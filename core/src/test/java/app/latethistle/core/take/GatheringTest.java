package app.latethistle.core.take;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class GatheringTest {
  private static final List<String> FILES =
      List.of(
          "shot 10.mp4", "shot 2 take 2.mp4", "shot 2 take 1.mp4", "shot 1.mp4", "loose end.mp4");

  private static List<String> labels(List<String> files) {
    return Gathering.of(files).stream()
        .map(s -> s.key().number() + s.key().unnumbered() + ":" + s.takes().size())
        .toList();
  }

  @Test
  void putsTwoBeforeTenAndTakesUnderTheirShot() {
    List<Gathering.Shot> shots = Gathering.of(FILES);
    assertThat(shots).hasSize(4);
    assertThat(shots.get(0).key().number()).isEqualTo("1");
    assertThat(shots.get(1).key().number()).isEqualTo("2");
    assertThat(shots.get(2).key().number()).isEqualTo("10");
    assertThat(shots.get(3).takes())
        .extracting(Gathering.Clip::file)
        .containsExactly("loose end.mp4");
    assertThat(shots.get(1).takes())
        .extracting(Gathering.Clip::file)
        .containsExactly("shot 2 take 1.mp4", "shot 2 take 2.mp4");
  }

  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void doesNotDependOnTheOrderOfArrival(long seed) {
    List<String> shuffled = new ArrayList<>(FILES);
    Collections.shuffle(shuffled, new Random(seed));
    assertThat(labels(shuffled)).isEqualTo(labels(FILES));
  }

  @Test
  void scenesComeBeforeShots() {
    List<Gathering.Shot> shots =
        Gathering.of(List.of("scene 2 shot 1.mp4", "scene 1 shot 9.mp4", "scene 1 shot 10.mp4"));
    assertThat(shots)
        .extracting(s -> s.key().scene() + "/" + s.key().number())
        .containsExactly("1/9", "1/10", "2/1");
  }

  @Test
  void reportsMissingAndDoubledNumbers() {
    ShotNumbers numbers =
        ShotNumbers.of(
            List.of(
                new ShotNumbers.Claim("a.mp4", "", "10", 1),
                new ShotNumbers.Claim("b.mp4", "", "20", 1),
                new ShotNumbers.Claim("c.mp4", "", "50", 1),
                new ShotNumbers.Claim("d.mp4", "", "20", 1)),
            List.of());
    assertThat(numbers.missing()).containsExactly("shot 30", "shot 40");
    assertThat(numbers.doubled()).hasSize(1);
    assertThat(numbers.doubled().get(0)).contains("b.mp4").contains("d.mp4");
  }

  @Test
  void anEvenRowIsWithoutRemark() {
    ShotNumbers numbers =
        ShotNumbers.of(
            List.of(
                new ShotNumbers.Claim("a.mp4", "", "1", 1),
                new ShotNumbers.Claim("b.mp4", "", "2", 1),
                new ShotNumbers.Claim("c.mp4", "", "2", 2),
                new ShotNumbers.Claim("d.mp4", "", "3", 1)),
            List.of());
    assertThat(numbers.missing()).isEmpty();
    assertThat(numbers.doubled()).isEmpty();
  }

  @Test
  void shotsThatAreNotMadeYetAreNotMissingAndOneNameIsNotTwice() {
    ShotNumbers numbers =
        ShotNumbers.of(
            List.of(
                new ShotNumbers.Claim("a.mp4", "", "10", 1),
                new ShotNumbers.Claim("b.mp4", "", "20", 1),
                new ShotNumbers.Claim("b.mp4", "", "20", 1),
                new ShotNumbers.Claim("c.mp4", "", "50", 1)),
            List.of(ShotNumbers.name("", "030")));
    assertThat(numbers.missing()).containsExactly("shot 40");
    assertThat(numbers.doubled()).isEmpty();
  }
}
