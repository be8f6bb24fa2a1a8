package app.latethistle.core.story;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ShotListTest {
  private static final Script SCRIPT =
      Script.parse(
          """
          ## EXT. JETTY - NIGHT
          - Maren rows across the valley. A bell hangs under water.
          Narrator: The water came at night. It took the doors first.
          ## The stilt house
          Maren: Who writes to a house that drowned?
          - She opens a letter marked "Door Seven".
          """,
          ScriptFormat.MARKDOWN);

  private static ShotList proposed(int count) {
    return ShotProposal.of(SCRIPT, Delivery.of(100), List.of("Maren"), count);
  }

  private static List<String> numbers(ShotList list) {
    return list.shots().stream().map(StoryShot::number).toList();
  }

  @Test
  void proposesOneForEachSentenceAndEstablishesEachPlace() {
    ShotList list = proposed(0);
    assertThat(list.shots())
        .extracting(StoryShot::seen)
        .containsExactly(
            "Wide view of the jetty",
            "Maren rows across the valley.",
            "A bell hangs under water.",
            "Wide view of the stilt house",
            "Maren speaks",
            "She opens a letter marked \"Door Seven\".");
    assertThat(numbers(list)).containsExactly("010", "020", "030", "040", "050", "060");
    assertThat(list.shots()).extracting(StoryShot::line).containsExactly(0, 1, 1, 2, 2, 0);
    StoryShot rows = list.shots().get(1);
    assertThat(rows.who()).containsExactly("Maren");
    assertThat(rows.where()).isEqualTo("jetty");
    assertThat(rows.move()).isEqualTo(CameraMove.FOLLOW);
    assertThat(list.shots().get(2).sounds()).contains("bell", "water lapping");
    assertThat(list.shots().get(5).lettering()).isEqualTo("Door Seven");
    // Ten words at 100 a minute over two shots.
    assertThat(rows.seconds() + list.shots().get(2).seconds()).isCloseTo(6, within(0.11));
  }

  @ParameterizedTest
  @org.junit.jupiter.params.provider.ValueSource(ints = {1, 3, 6, 9, 20})
  void keepsTimeWhenACountIsWanted(int count) {
    ShotList list = proposed(count);
    assertThat(list.shots()).hasSize(count);
    assertThat(list.seconds()).isCloseTo(proposed(0).seconds(), within(1e-6));
  }

  @Test
  void leavesRoomBetweenNumbers() {
    ShotList list = proposed(3);
    int first = list.shots().get(0).id();
    list = list.addAfter(first);
    assertThat(numbers(list)).containsExactly("010", "015", "020", "030");
    list = list.addAfter(0);
    assertThat(numbers(list)).containsExactly("005", "010", "015", "020", "030");
    list = list.moveAfter(list.shots().get(4).id(), first);
    assertThat(numbers(list)).containsExactly("005", "010", "012", "015", "020");
    for (int i = 0; i < 2; i++) {
      list = list.addAfter(first);
    }
    assertThat(numbers(list))
        .as("numbered anew, no room")
        .containsExactly("010", "020", "030", "040", "050", "060", "070");
  }

  /** Any row of changes keeps ids apart, numbers rising and the time that each change promises. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#many")
  void keepsItsRulesUnderAnyChanges(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    ShotList list = proposed(1 + random.nextInt(8));
    for (int i = 0; i < 40 && !list.shots().isEmpty(); i++) {
      Map<Integer, StoryShot> before = new HashMap<>();
      list.shots().forEach(s -> before.put(s.id(), s));
      double seconds = list.seconds();
      int id = list.shots().get(random.nextInt(list.shots().size())).id();
      int other = list.shots().get(random.nextInt(list.shots().size())).id();
      boolean last = id == list.shots().get(list.shots().size() - 1).id();
      switch (random.nextInt(5)) {
        case 0 -> list = list.addAfter(random.nextBoolean() ? id : 0);
        case 1 -> {
          boolean tiny = list.get(id).seconds() < 0.4;
          list = list.split(id);
          assertThat(list.seconds()).isCloseTo(seconds, within(tiny ? 0.4 : 1e-9));
        }
        case 2 -> {
          if (!last) {
            list = list.join(id);
            assertThat(list.seconds()).isCloseTo(seconds, within(1e-9));
          }
        }
        case 3 -> {
          list = list.moveAfter(id, random.nextBoolean() ? other : 0);
          assertThat(list.seconds()).isCloseTo(seconds, within(1e-9));
          assertThat(list.shots()).hasSize(before.size());
        }
        default -> list = list.remove(Set.of(id));
      }
      List<Integer> values = new ArrayList<>();
      list.shots().forEach(s -> values.add(Integer.parseInt(s.number())));
      assertThat(values).isSorted().doesNotHaveDuplicates();
    }
  }

  @Test
  void namesWhatIsWrong() {
    ShotList list = proposed(2);
    assertThatThrownBy(() -> list.join(list.shots().get(1).id())).hasMessageContaining("020");
    assertThatThrownBy(() -> list.get(99)).hasMessageContaining("99");
    assertThatThrownBy(() -> list.shots().get(0).lasting(0)).hasMessageContaining("Shot 010");
    assertThatThrownBy(() -> CameraMove.parse("zigzag")).hasMessageContaining("'zigzag'");
    assertThat(CameraMove.parse("Push-in")).isEqualTo(CameraMove.PUSH_IN);
    assertThat(CameraMove.parse("pan")).isEqualTo(CameraMove.PAN_RIGHT);
  }

  @Test
  void shotsStayWithTheirLinesWhenTheScriptChanges() {
    Story story =
        Story.empty(60)
            .withScript("Narrator: One bell rang.\nNarrator: The water came.", ScriptFormat.PLAIN);
    story = story.withShots(ShotProposal.of(story.script(), story.delivery(), List.of(), 0));
    assertThat(story.shots().shots()).extracting(StoryShot::line).containsExactly(1, 2);
    story =
        story.withScript(
            "Narrator: New first.\nNarrator: The dark water came.", ScriptFormat.PLAIN);
    assertThat(story.shots().shots()).extracting(StoryShot::line).containsExactly(0, 2);
  }
}
