package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.Section;
import app.latethistle.core.time.Samples;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A grid of 24 beats from frame 6 on, 12 frames apart, its first downbeat the second beat. */
class ReasonsTest {
  private static final BeatGrid GRID = grid();

  private static BeatGrid grid() {
    BeatGrid even = BeatGrid.even(120, 0.25, 24, 4);
    return new BeatGrid(even.samples(), even.surenesses(), 4, 1, 1);
  }

  private static String reason(Tie tie, Narration narration, List<Section> sections) {
    Film film =
        Films.cut(List.of(Placement.of("s0", "a0", 0, Framing.FILL)), List.of(Tie.free(0), tie));
    Resolved resolved = Resolved.of(film, new Clocks(GRID, narration), Films.RATE, Films.takes());
    List<KeyMoment> moments = List.of(new KeyMoment(Samples.ofSeconds(8.75), KeyMoment.Kind.DROP));
    List<String> reasons =
        new Reasons(GRID, sections, moments, Films.RATE).of(film, resolved.cutting());
    assertThat(reasons.get(0)).startsWith("the film begins");
    return reasons.get(1);
  }

  private static String reason(Tie tie) {
    return reason(tie, Narration.EMPTY, List.of());
  }

  @ParameterizedTest
  @CsvSource({
    "1, 0, downbeat of bar 1",
    "5, 0, downbeat of bar 2",
    "6, 0, beat 2 of bar 2",
    "8, 0, beat 4 of bar 2",
    "0, 0, beat 4 of the lead-in",
    "5, 3, 3 f after downbeat of bar 2",
    "5, -2, 2 f before downbeat of bar 2",
    "5, 6, offbeat after downbeat of bar 2",
    "5, 7, offbeat after downbeat of bar 2",
    "5, 5, offbeat after downbeat of bar 2",
    "5, 8, 8 f after downbeat of bar 2",
    "5, 4, 4 f after downbeat of bar 2",
    "23, 6, 6 f after beat 3 of bar 6",
    "24, 0, a beat that the song does not have"
  })
  void aCutOnABeatIsToldByIt(int beat, int offset, String expected) {
    assertThat(reason(new Tie.OnBeat(beat, offset))).isEqualTo(expected);
  }

  @ParameterizedTest
  @CsvSource({
    "66, 'free, on downbeat of bar 2'",
    "67, 'free, 1 f after downbeat of bar 2'",
    "65, 'free, 1 f before downbeat of bar 2'",
    "290, 'free, 8 f after beat 3 of bar 6'",
    "378, 'free, 96 f after beat 3 of bar 6'",
    "379, 'free, past the last beat'"
  })
  void aFreeCutIsToldByTheBeatNearIt(long frame, String expected) {
    assertThat(reason(Tie.free(frame))).isEqualTo(expected);
  }

  @Test
  void sectionsAndKeyMomentsAreNamedWhereTheyAre() {
    List<Section> sections =
        List.of(
            new Section(0, Samples.ofSeconds(2.75), 'A', Section.Name.QUIET, 0.2),
            new Section(
                Samples.ofSeconds(2.75), Samples.ofSeconds(4.75), 'B', Section.Name.BUILD, 0.5),
            new Section(
                Samples.ofSeconds(4.75), Samples.ofSeconds(6.75), 'C', Section.Name.FULL, 0.9),
            new Section(
                Samples.ofSeconds(6.75), Samples.ofSeconds(8.75), 'A', Section.Name.OPENING, 0.9),
            new Section(
                Samples.ofSeconds(8.75), Samples.ofSeconds(99), 'D', Section.Name.CODA, 0.1));
    assertThat(reason(Tie.onBeat(5), Narration.EMPTY, sections))
        .isEqualTo("downbeat of bar 2, the build begins");
    assertThat(reason(Tie.onBeat(9), Narration.EMPTY, sections))
        .isEqualTo("downbeat of bar 3, the full part begins");
    assertThat(reason(Tie.onBeat(13), Narration.EMPTY, sections))
        .isEqualTo("downbeat of bar 4, the opening comes again");
    assertThat(reason(Tie.onBeat(17), Narration.EMPTY, sections))
        .isEqualTo("downbeat of bar 5, the coda begins, on the drop");
    // Two frames are less than a tenth of a second, three are more.
    assertThat(reason(new Tie.OnBeat(17, 2), Narration.EMPTY, sections)).contains("coda");
    assertThat(reason(new Tie.OnBeat(17, 3), Narration.EMPTY, sections)).doesNotContain("coda");
  }

  @Test
  void wordsAreNamedWhereACutIsInsideThemOrJustBefore() {
    // "a" from 2.6 to 2.9 s, "bell," from 3.0 to 3.3 s.
    Narration voice = Voices.at("a bell,", 0.3, 2.6);
    assertThat(reason(Tie.onBeat(5), voice, List.of()))
        .isEqualTo("downbeat of bar 2, inside \u2018a\u2019");
    assertThat(reason(Tie.free(54), voice, List.of())).endsWith(", 350 ms before \u2018a\u2019");
    assertThat(reason(Tie.free(48), voice, List.of())).doesNotContain("before \u2018");
    assertThat(reason(Tie.free(51), voice, List.of())).endsWith(", 475 ms before \u2018a\u2019");
    assertThat(reason(Tie.free(70), voice, List.of())).endsWith(", 83 ms before \u2018bell\u2019");
    assertThat(reason(Tie.free(100), voice, List.of())).doesNotContain("\u2018");
  }

  @Test
  void aCutOnAWordIsToldByIt() {
    Narration voice = Voices.at("a bell,", 0.3, 2.5);
    assertThat(reason(new Tie.OnWord("l1", 1, Tie.Edge.START, -2), voice, List.of()))
        .isEqualTo("2 f before start of \u2018bell\u2019 in line 1");
    assertThat(reason(new Tie.OnWord("l1", 1, Tie.Edge.END, 0), voice, List.of()))
        .isEqualTo("end of \u2018bell\u2019 in line 1");
    assertThat(reason(new Tie.OnWord("l1", 7, Tie.Edge.END, 0), voice, List.of()))
        .isEqualTo("a word that is not read");
    assertThat(reason(new Tie.OnWord("l9", 0, Tie.Edge.END, 0), voice, List.of()))
        .isEqualTo("a word that is not read");
  }

  @Test
  void withoutASongACutIsFree() {
    Film film =
        Films.cut(
            List.of(Placement.of("s0", "a0", 0, Framing.FILL)), List.of(Tie.free(0), Tie.free(30)));
    Resolved resolved =
        Resolved.of(film, new Clocks(BeatGrid.EMPTY, Narration.EMPTY), Films.RATE, Films.takes());
    assertThat(
            new Reasons(BeatGrid.EMPTY, List.of(), List.of(), Films.RATE)
                .of(film, resolved.cutting()))
        .containsExactly("the film begins", "free");
  }
}
