package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.List;
import org.junit.jupiter.api.Test;

class NarrationTest {
  private static Narration.Line line(int number, Narration.Start start) {
    return Voices.line(number, "a bell", 0.3, start);
  }

  private static final Narration VOICE =
      new Narration(
          List.of(
              line(1, new Narration.Start.At(5)),
              line(2, new Narration.Start.After(1)),
              line(3, new Narration.Start.WithShot("s1")),
              line(4, new Narration.Start.After(1)),
              line(5, new Narration.Start.OnBar(3)),
              line(6, new Narration.Start.After(1)),
              line(7, new Narration.Start.WithShot("s2")),
              line(8, new Narration.Start.After(1))));

  private static List<Integer> numbers(Narration narration) {
    return narration.lines().stream().map(Narration.Line::number).toList();
  }

  @Test
  void whatHangsOnShotsIsLeftOut() {
    assertThat(numbers(VOICE.apartFromShots())).containsExactly(1, 2, 5, 6);
    assertThat(Narration.EMPTY.apartFromShots()).isEqualTo(Narration.EMPTY);
  }

  @Test
  void whatStartsWithAShotIsPlacedFromZero() {
    Narration with = VOICE.startingWith("s1");
    assertThat(numbers(with)).containsExactly(3, 4);
    assertThat(with.lines().get(0).start()).isEqualTo(new Narration.Start.At(0));
    assertThat(with.lines().get(1).start()).isEqualTo(new Narration.Start.After(1));
    assertThat(numbers(VOICE.startingWith("s2"))).containsExactly(7, 8);
    assertThat(VOICE.startingWith("s9").lines()).isEmpty();
  }

  @Test
  void aLineBeginsWithItsFirstHeardWord() {
    Narration.Line line = line(1, new Narration.Start.At(0));
    assertThat(line.onset()).isEqualTo(Samples.ofSeconds(0.1));
    Narration.Word unheard = new Narration.Word("a", new SampleRange(0, 0));
    Narration.Word second = new Narration.Word("bell", new SampleRange(900, 1_800));
    assertThat(new Narration.Line("l", 1, List.of(unheard, second), 2_000, line.start()).onset())
        .isEqualTo(900);
    assertThat(new Narration.Line("l", 1, List.of(unheard), 2_000, line.start()).onset()).isZero();
  }

  @Test
  void aRevoicingSaysWhatItDoesAndIsTakenBackByItsInverse() {
    Revoice.Settled none = new Revoice.Settled("", "AFTER", null, null);
    Revoice.Settled read = new Revoice.Settled("9", "AFTER", null, null);
    Revoice.Settled other = new Revoice.Settled("10", "AFTER", null, null);
    Revoice.Settled tight = new Revoice.Settled("9", "AFTER", null, 0.3);
    Revoice.Settled onBar = new Revoice.Settled("9", "BAR", 3.0, null);
    assertThat(new Revoice("4", 2, none, read).label()).isEqualTo("the reading of line 2");
    assertThat(new Revoice("4", 2, read, other).label()).isEqualTo("another reading of line 2");
    assertThat(new Revoice("4", 2, read, tight).label()).isEqualTo("tighten line 2");
    assertThat(new Revoice("4", 2, read, onBar).label()).isEqualTo("another start of line 2");
    Film film = Film.EMPTY;
    Revoice revoice = new Revoice("4", 2, read, onBar);
    assertThat(revoice.apply(film)).isSameAs(film);
    assertThat(revoice.inverse(film)).isEqualTo(new Revoice("4", 2, onBar, read));
  }

  @Test
  void linesAreHeardWhereTheyStart() {
    VoiceClock clock = VoiceClock.of(VOICE, Film.EMPTY, List.of(), Films.GRID, Films.RATE);
    // Bar 3 begins at 0.25 s and eight beats; the line's first word is a tenth of a second in.
    VoiceClock.Spoken onBar = clock.lines().get(4);
    assertThat(onBar.words().get(0).at().start()).isEqualTo(Samples.ofSeconds(4.25));
    assertThat(onBar.isHeard()).isTrue();
    assertThat(clock.lines().get(2).missing()).isEqualTo("its shot is not in the film");
    assertThat(clock.lines().get(0).missing()).isEmpty();
    VoiceClock far =
        VoiceClock.of(
            new Narration(
                List.of(
                    line(1, new Narration.Start.OnBar(0)),
                    line(2, new Narration.Start.OnBar(60)),
                    line(3, new Narration.Start.OnBar(61)))),
            Film.EMPTY,
            List.of(),
            Films.GRID,
            Films.RATE);
    assertThat(far.lines())
        .extracting(VoiceClock.Spoken::missing)
        .containsExactly("the song has no bar 0", "", "the song has no bar 61");
  }

  @Test
  void phrasesBeginAfterARestOfAFifthOfASecond() {
    List<Narration.Word> words =
        List.of(
            new Narration.Word("one", new SampleRange(0, 4_800)),
            new Narration.Word("two", new SampleRange(14_399, 19_200)),
            new Narration.Word("lost", new SampleRange(19_200, 19_200)),
            new Narration.Word("three", new SampleRange(28_800, 33_600)));
    Narration voice =
        new Narration(
            List.of(new Narration.Line("l", 1, words, 40_000, new Narration.Start.At(0))));
    VoiceClock clock = Voices.placed(voice);
    assertThat(clock.phrases()).extracting(VoiceClock.Place::word).containsExactly(0, 3);
    assertThat(clock.speaking(2_000)).map(VoiceClock.Place::word).contains(0);
    assertThat(clock.speaking(0)).isEmpty();
    assertThat(clock.speaking(4_800)).isEmpty();
    assertThat(clock.speaking(4_799)).isPresent();
    assertThat(clock.speaking(10_000)).isEmpty();
    assertThat(clock.speaking(50_000)).isEmpty();
  }
}
