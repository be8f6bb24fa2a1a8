package app.latethistle.core.story;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PromptTest {
  private static final ServiceProfile STILL = ServiceProfile.USUAL.get(0);
  private static final ServiceProfile CLIP = ServiceProfile.USUAL.get(1);
  private static final Sheets SHEETS =
      new Sheets(
          List.of(new Sheets.Person("Maren", "grey braid", "oilskin coat", "")),
          List.of(new Sheets.Place("jetty", "long wet planks")),
          new Sheets.Look("35 mm", "grainy film", "lantern light", "cold blue", "", "16:9"),
          List.of("lettering", "extra fingers"));
  private static final StoryShot SHOT =
      new StoryShot(
          1,
          "010",
          "Maren opens a letter",
          List.of("Maren"),
          "Jetty",
          "",
          CameraMove.PUSH_IN,
          1,
          3,
          "hushed",
          List.of(),
          "Door 7",
          0);

  @Test
  void composesByRuleAndLeavesTheCameraOutForStills() {
    Prompt clip = Prompt.of(SHOT, SHEETS, CLIP);
    assertThat(clip.text())
        .isEqualTo(
            "Maren opens a letter. Maren: grey braid, oilskin coat. The words \"Door 7\" to be read."
                + " Jetty: long wet planks. Hushed. Grainy film, 35 mm, lantern light, cold blue."
                + " The camera pushes in gently, a little.");
    assertThat(clip.exclusion()).isEqualTo("extra fingers");
    assertThat(clip.named()).isEmpty();
    assertThat(Prompt.of(SHOT, SHEETS, STILL).text())
        .isEqualTo(clip.text().replace(" The camera pushes in gently, a little.", ""));
  }

  @Test
  void flagsPeopleWithoutASheet() {
    StoryShot joon =
        new StoryShot(
            1,
            "010",
            "Maren and Joon",
            List.of("Joon"),
            "",
            "",
            CameraMove.STILL,
            2,
            3,
            "",
            List.of(),
            "words far too long to be drawn well",
            0);
    assertThat(Prompt.of(joon, SHEETS, CLIP).flags())
        .hasSize(3)
        .anyMatch(f -> f.startsWith("Lettering is asked for"))
        .anyMatch(f -> f.startsWith("Joon has no sheet"))
        .anyMatch(f -> f.startsWith("Lettering of 35"));
    assertThat(Prompt.of(joon, SHEETS, CLIP).named())
        .containsExactly(new Prompt.Mention("Maren", true));
  }

  private static StoryShot seen(String seen, String where, String lettering) {
    return new StoryShot(
        1, "010", seen, List.of(), where, "", CameraMove.STILL, 2, 3, "", List.of(), lettering, 0);
  }

  @Test
  void namesInAShotsWordsAreNoticed() {
    StoryShot tam = seen("A letter for Tam lies at the jetty. Snow falls on Tam.", "Jetty", "");
    assertThat(Prompt.of(tam, SHEETS, CLIP).named())
        .containsExactly(new Prompt.Mention("Tam", false));
    StoryShot none = seen("Snow falls on the Jetty in December.", "Jetty", "");
    assertThat(Prompt.of(none, SHEETS, CLIP).named()).isEmpty();
  }

  @Test
  void aPlaceThatIsSeenIsNotSaidTwice() {
    String looks = "long wet planks";
    assertThat(Prompt.of(seen("Wide view of the jetty", "Jetty", ""), SHEETS, CLIP).text())
        .startsWith("Wide view of the jetty. Long wet planks.");
    assertThat(Prompt.of(seen("A bell", "Jetty", ""), SHEETS, CLIP).text())
        .contains("Jetty: " + looks);
    assertThat(Prompt.of(seen("A bell on the pier", "pier", ""), SHEETS, CLIP).text())
        .startsWith("A bell on the pier. Grainy");
  }

  @Test
  void letteringThatIsAskedForIsNotExcluded() {
    Prompt prompt = Prompt.of(seen("A door", "", "Door 7"), SHEETS, CLIP);
    assertThat(prompt.exclusion()).isEqualTo("extra fingers");
    assertThat(prompt.flags()).anyMatch(f -> f.startsWith("Lettering is asked for"));
    assertThat(Prompt.of(seen("A door", "", ""), SHEETS, CLIP).exclusion())
        .isEqualTo("lettering, extra fingers");
  }

  /** However long its parts are, a prompt fits, and nothing vanishes without being told. */
  @ParameterizedTest
  @MethodSource("app.latethistle.core.Seeds#few")
  void neverGrowsTooLongAndTellsWhatItDropped(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    StoryShot shot =
        new StoryShot(
            1,
            "010",
            words(random, "seen", 80),
            List.of("Maren"),
            "Jetty",
            words(random, "act", 20),
            CameraMove.RISE,
            3,
            3,
            "mood mood mood",
            List.of(),
            "Door",
            0);
    Prompt prompt = Prompt.of(shot, SHEETS, CLIP);
    assertThat(prompt.text().length()).isBetween(1, CLIP.longestPrompt());
    String all = prompt.text() + prompt.dropped().stream().map(Prompt.Part::text).toList();
    for (String part : List.of("ood mood", "grey braid", "long wet planks", "camera rises")) {
      assertThat(all).contains(part);
    }
    for (int i = 1; i < prompt.dropped().size(); i++) {
      assertThat(
              List.of(
                  "mood",
                  "camera",
                  "look",
                  "place",
                  "lettering",
                  "looks of Maren",
                  "rest of what is seen"))
          .containsSubsequence(prompt.dropped().get(i - 1).name(), prompt.dropped().get(i).name());
    }
  }

  private static String words(SplittableRandom random, String word, int most) {
    return (word + " ").repeat(1 + random.nextInt(most)).strip();
  }

  @Test
  void countsCreditsAndRefusesBadProfiles() {
    assertThat(STILL.cost(0, 3)).isEqualTo(3);
    assertThat(CLIP.cost(5, 0)).isEqualTo(10);
    assertThat(CLIP.lengthFor(4.2)).isEqualTo(5);
    assertThat(CLIP.lengthFor(30)).isEqualTo(8);
    assertThatThrownBy(
            () ->
                new ServiceProfile(
                    "Vane",
                    ServiceProfile.Kind.CLIP,
                    EnumSet.allOf(ServiceProfile.Input.class),
                    500,
                    List.of("16:9"),
                    List.of(),
                    24,
                    720,
                    1,
                    1,
                    ServiceProfile.Period.DAY,
                    1,
                    1))
        .hasMessageContaining("Vane");
  }

  @Test
  void proposesSoundsFromWords() {
    assertThat(Lexicon.USUAL.soundsFor("Snowing over the letterbox; a doorbell"))
        .extracting(Lexicon.Sound::name)
        .containsExactly("soft snow wind");
    assertThat(Lexicon.USUAL.soundsFor("A lighthouse; the lights go on. Letters, writing, running"))
        .extracting(Lexicon.Sound::name)
        .containsExactly("lights switch on", "paper", "pen", "running");
    List<SoundIdea> list =
        SoundIdea.listFor(
            List.of(
                new StoryShot(
                    4,
                    "010",
                    "",
                    List.of(),
                    "",
                    "",
                    CameraMove.STILL,
                    2,
                    3,
                    "",
                    List.of("bell", "kettle of fog"),
                    "",
                    0)),
            Lexicon.USUAL,
            List.of(new SoundIdea(4, "Bell", "ship bell")));
    assertThat(list)
        .containsExactly(
            new SoundIdea(4, "Bell", "ship bell"),
            new SoundIdea(4, "kettle of fog", "kettle of fog"));
  }
}
