package app.latethistle.media.beats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Beats held against tempo-mapped MIDI files rendered to sound and against recordings (their
 * packages and the measure are named in {@link Rendered}, {@link Recorded} and {@link BeatScore}).
 * A quick part; {@code ./bench beats} runs all.
 */
class BeatsOnMusicTest {
  private static final List<String> QUICK =
      List.of(
          "say_what_redfarn",
          "48-Techno",
          "17-The-Benevolent",
          "29-Runaway",
          "modern_motion",
          "5432gone");

  /** Packages that had no part in choosing the tracker's weights, and two that had. */
  private static final List<String> RECORDINGS =
      List.of("unknownhorizons", "warmux_exoticux", "nexuiz", "tuxmath_tuxi");

  @Test
  void findsTheBeatsOfRenderedPieces() throws IOException {
    double beats = 0;
    double amlt = 0;
    double downbeats = 0;
    int count = 0;
    for (Piece piece : Rendered.ofGames()) {
      if (QUICK.stream().anyMatch(piece.name()::startsWith)) {
        Piece.Result result = piece.track();
        beats += result.beats();
        amlt += result.amlt();
        downbeats += result.downbeats();
        count++;
      }
    }
    assertThat(count).isEqualTo(QUICK.size());
    assertThat(beats / count).as("mean F-measure").isGreaterThan(0.94);
    assertThat(amlt / count).as("mean AMLt").isGreaterThan(0.94);
    assertThat(downbeats / count).as("mean F-measure of downbeats").isGreaterThan(0.7);
  }

  @Test
  void findsTheBeatsOfRecordings() throws IOException {
    assumeThat(Recorded.areHere()).as("the recordings lie beside the repository").isTrue();
    double beats = 0;
    double amlt = 0;
    int count = 0;
    for (Piece piece : Recorded.all()) {
      if (RECORDINGS.stream().anyMatch(piece.name()::startsWith)) {
        Piece.Result result = piece.track();
        beats += result.beats();
        amlt += result.amlt();
        count++;
      }
    }
    assertThat(count).isEqualTo(RECORDINGS.size());
    assertThat(beats / count).as("mean F-measure").isGreaterThan(0.95);
    assertThat(amlt / count).as("mean AMLt").isGreaterThan(0.95);
  }
}
