package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.core.look.Framing;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.Section;
import app.latethistle.core.time.Samples;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Films tied to words: Films.GRID counts 120 a minute from 0.25 s, in fours. */
class VoiceClockTest {
  private static Film film(Tie... joints) {
    List<Placement> placements = new java.util.ArrayList<>();
    for (int i = 0; i + 1 < joints.length; i++) {
      placements.add(Placement.of("s" + i, "a" + i, 0, Framing.FILL));
    }
    return Films.cut(placements, List.of(joints));
  }

  private static Cutting cutting(Film film, Narration narration) {
    return Cutting.of(film, new Clocks(Films.GRID, narration), Films.RATE, Films.takes());
  }

  private static Tie word(String line, int word, Tie.Edge edge, int offset) {
    return new Tie.OnWord(line, word, edge, offset);
  }

  @Test
  void cutsOnWordsMoveWithTheirLine() {
    Film film = film(Tie.free(0), word("l1", 1, Tie.Edge.START, -2), Tie.onBeat(16));
    // Words of 0.4 s and rests of 0.1 s: the second word begins half a second after the first.
    assertThat(cutting(film, Voices.at("a lantern here", 0.4, 2)).frames()).contains(58L);
    assertThat(cutting(film, Voices.at("a lantern here", 0.4, 3)).frames()).contains(82L);
    Cutting without = cutting(film, Narration.EMPTY);
    assertThat(without.problems())
        .extracting(Cutting.Problem::kind)
        .contains(Cutting.Kind.WORD_MISSING);
  }

  @Test
  void linesStartWithShotsAndShotsWithWordsOfOthers() {
    Narration narration =
        new Narration(
            List.of(
                Voices.line(1, "one two", 0.4, new Narration.Start.OnBar(2)),
                Voices.line(2, "three four", 0.4, new Narration.Start.WithShot("s1")),
                Voices.line(3, "five", 0.4, new Narration.Start.After(0.5)),
                Voices.line(4, "six", 0.4, new Narration.Start.OnBar(1000))));
    Film film = film(Tie.free(0), word("l1", 1, Tie.Edge.END, 0), word("l2", 1, Tie.Edge.END, 0));
    Cutting cutting = cutting(film, narration);
    // Bar 2 begins at 2.25 s; its second word ends 0.9 s later, and 0.9 s after that the fourth.
    assertThat(cutting.frames()).containsExactly(0L, 76L, 98L);
    assertThat(cutting.voice().lines().get(2).words().get(0).at().start())
        .isEqualTo(cutting.voice().lines().get(1).at().end() + Samples.ofSeconds(0.6));
    assertThat(cutting.voice().lines().get(3).missing()).isEqualTo("the song has no bar 1000");
  }

  /** A line that begins with a shot whose cut is tied to that very line. */
  @Test
  void tiesThatGoInACircleAreToldAndRest() {
    Narration narration =
        new Narration(
            List.of(
                Voices.line(1, "one two", 0.4, new Narration.Start.OnBar(2)),
                Voices.line(2, "three four", 0.4, new Narration.Start.WithShot("s1")),
                Voices.line(3, "five", 0.4, new Narration.Start.After(0.5))));
    for (String line : List.of("l2", "l3")) {
      Film film = film(Tie.free(0), word(line, 0, Tie.Edge.END, 0), Tie.free(500));
      Cutting cutting = cutting(film, narration);
      assertThat(cutting.problems())
          .contains(new Cutting.Problem(Cutting.Kind.TIED_IN_CIRCLE, 0, 0));
      // The line follows the one before it, and the cut is where its word is heard then.
      VoiceClock.Spoken second = cutting.voice().lines().get(1);
      assertThat(second.at().start() - cutting.voice().lines().get(0).at().end())
          .isEqualTo(Samples.ofSeconds(0.1));
      assertThat(cutting(film, narration)).isEqualTo(cutting);
    }
    // A cut before the shot hangs on the line and would push the shot, and the line, on for ever.
    Film pushed = film(Tie.free(0), word("l2", 1, Tie.Edge.END, 0), Tie.free(20), Tie.free(500));
    Narration second =
        new Narration(
            List.of(
                narration.lines().get(0),
                Voices.line(2, "three four", 0.4, new Narration.Start.WithShot("s2"))));
    assertThat(cutting(pushed, second).problems())
        .extracting(Cutting.Problem::kind)
        .contains(Cutting.Kind.TIED_IN_CIRCLE);
  }

  @Test
  void aLongChainOfLinesAndShotsSettles() {
    List<Narration.Line> lines =
        new java.util.ArrayList<>(List.of(Voices.line(1, "one", 0.4, new Narration.Start.At(0))));
    Tie[] ties = new Tie[14];
    ties[0] = Tie.free(0);
    for (int i = 1; i < ties.length; i++) {
      ties[i] = word("l" + i, 0, Tie.Edge.END, 0);
      lines.add(Voices.line(i + 1, "more", 0.4, new Narration.Start.WithShot("s" + i)));
    }
    Cutting cutting = cutting(film(ties), new Narration(lines));
    // The first line's lead of 0.1 s, then 0.4 s from each word's start to the next one's.
    for (int i = 1; i < ties.length - 1; i++) {
      assertThat(cutting.frames().get(i)).isCloseTo(Math.round(24 * (0.1 + 0.4 * i)), within(6L));
    }
    assertThat(cutting.problems()).noneMatch(p -> p.kind() == Cutting.Kind.TIED_IN_CIRCLE);
  }

  @Test
  void cutsInsideWordsAreFound() {
    Narration narration = Voices.at("lantern", 1, 2);
    Film film = film(Tie.free(0), Tie.free(58), Tie.free(200));
    assertThat(cutting(film, narration).problems())
        .contains(new Cutting.Problem(Cutting.Kind.INSIDE_WORD, 0, 10));
    for (long edge : new long[] {47, 48, 49, 71, 72, 73}) {
      Film fine = film(Tie.free(0), Tie.free(edge), Tie.free(200));
      assertThat(cutting(fine, narration).problems())
          .extracting(Cutting.Problem::kind)
          .doesNotContain(Cutting.Kind.INSIDE_WORD);
    }
  }

  @Test
  void tellsWhyEachCutIsWhereItIs() {
    Narration narration = Voices.at("(\u2018Lantern,\u2019 again", 0.5, 2.35);
    Film film =
        film(
            Tie.free(0),
            Tie.onBeat(4),
            new Tie.OnBeat(5, 3),
            word("l1", 1, Tie.Edge.START, -2),
            Tie.free(108),
            Tie.onBeat(16));
    Reasons reasons =
        new Reasons(
            Films.GRID,
            List.of(
                new Section(0, 108_000, 'A', Section.Name.OPENING, 0.3),
                new Section(108_000, 900_000, 'B', Section.Name.FULL, 1)),
            List.of(new KeyMoment(Samples.ofSeconds(8.25), KeyMoment.Kind.DROP)),
            Films.RATE);
    assertThat(reasons.of(film, cutting(film, narration)))
        .containsExactly(
            "the film begins",
            "downbeat of bar 2, the full part begins, 100 ms before \u2018Lantern\u2019",
            "3 f after beat 2 of bar 2, 75 ms before \u2018again\u2019",
            "2 f before start of \u2018again\u2019 in line 1",
            "free, 6 f after downbeat of bar 3",
            "downbeat of bar 5, on the drop");
    assertThat(Cutting.of(film, Films.GRID, Films.RATE, Map.of()).voice())
        .isEqualTo(VoiceClock.SILENT);
  }
}
