package app.latethistle.core.film;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.look.Framing;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Three shots of three seconds at 24 frames, each with a line that speaks of it. */
class LineApartTest {
  private static final Map<String, String> SPEAKERS = Map.of("s0", "l0", "s1", "l1", "s2", "l2");
  private static final Revoice WAIT =
      new Revoice(
          "l1",
          2,
          new Revoice.Settled("r", "AFTER", null, null),
          new Revoice.Settled("r", "SHOT", 1.0, null));

  /** A film whose lines of a second start at the seconds given. */
  private static Resolved film(double... starts) {
    List<Placement> shots = new ArrayList<>();
    List<Joint> joints = new ArrayList<>(List.of(Joint.START));
    Map<String, Take> takes = new HashMap<>();
    for (int i = 0; i < 3; i++) {
      shots.add(Placement.of("s" + i, "t" + i, 48, Framing.FILL));
      joints.add(Joint.of(Tie.free(72L * (i + 1))));
      takes.put("t" + i, new Take("t" + i, "m" + i, 200, PictureShape.of(1280, 720)));
    }
    List<Narration.Line> lines = new ArrayList<>();
    for (int i = 0; i < starts.length; i++) {
      Narration.Word word = new Narration.Word("bell", new SampleRange(0, Samples.RATE));
      lines.add(
          new Narration.Line(
              "l" + i,
              i + 1,
              List.of(word),
              Samples.RATE,
              new Narration.Start.At(Samples.ofSeconds(starts[i]))));
    }
    Clocks clocks = new Clocks(BeatGrid.EMPTY, new Narration(lines));
    return Resolved.of(Film.cut(shots, joints), clocks, Films.RATE, takes);
  }

  @Test
  void linesOverTheirOwnShotsAreNoTrouble() {
    assertThat(LineApart.in(film(1, 4, 7), SPEAKERS)).isEmpty();
    assertThat(LineApart.in(film(1, 2.6, 7), SPEAKERS)).as("half of it is enough").isEmpty();
    assertThat(LineApart.in(film(1, 1.5, 7), Map.of())).as("they speak of no shot").isEmpty();
  }

  @Test
  void aLineThatRunsAheadWaitsOrHasTheShotBeforeShortened() {
    Resolved film = film(0, 1.5, 7);
    LineApart apart = LineApart.in(film, SPEAKERS).get(0);
    assertThat(apart).isEqualTo(new LineApart("l1", 2, 1, 0, 24));
    List<Remedy> ways = apart.remedies(film, SPEAKERS, WAIT);
    assertThat(ways)
        .extracting(Remedy::kind)
        .containsExactly(Remedy.Kind.WAIT, Remedy.Kind.CUT_SOONER);
    assertThat(ways.get(0).frames()).isEqualTo(36);
    assertThat(ways.get(0).edit()).isEqualTo(WAIT);
    Resolved mended = film.with(ways.get(1).edit().apply(film.film()));
    assertThat(mended.cutting().frames()).containsExactly(0L, 36L, 144L, 216L);
    assertThat(LineApart.in(mended, SPEAKERS)).isEmpty();
  }

  @Test
  void aShotComesToItsLine() {
    // The second and third line are heard in each other's place.
    Resolved film = film(1, 7, 4);
    LineApart apart = LineApart.in(film, SPEAKERS).get(0);
    assertThat(apart.over()).isEqualTo(2);
    Remedy way =
        apart.remedies(film, SPEAKERS, WAIT).stream()
            .filter(r -> r.kind() == Remedy.Kind.CARRY)
            .findFirst()
            .orElseThrow();
    Resolved mended = film.with(way.edit().apply(film.film()));
    assertThat(mended.film().placements())
        .extracting(Placement::shot)
        .containsExactly("s0", "s2", "s1");
    assertThat(LineApart.in(mended, SPEAKERS)).isEmpty();
  }

  @Test
  void nothingIsOfferedThatDoesNotHelp() {
    // The line comes after its shot is gone, and another line is where the shot would go.
    Resolved film = film(1, 4.2, 5);
    LineApart apart = LineApart.in(film, SPEAKERS).get(0);
    assertThat(apart.line()).isEqualTo("l2");
    for (Remedy way : apart.remedies(film, SPEAKERS, WAIT)) {
      if (way.kind() != Remedy.Kind.WAIT) {
        Resolved mended = film.with(way.edit().apply(film.film()));
        assertThat(LineApart.in(mended, SPEAKERS)).isEmpty();
      }
    }
  }
}
