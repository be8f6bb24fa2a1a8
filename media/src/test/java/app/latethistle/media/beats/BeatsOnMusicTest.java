package app.latethistle.media.beats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Beats held against tempo-mapped MIDI files rendered to sound (their packages and the measure are
 * named in {@link Piece} and {@link BeatScore}). A quick part; {@code ./bench beats} runs all.
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

  @Test
  void findsTheBeatsOfRealPieces() throws IOException {
    double beats = 0;
    double amlt = 0;
    double downbeats = 0;
    int count = 0;
    for (Piece piece : Piece.all()) {
      String name = piece.midi().getFileName().toString();
      if (QUICK.stream().anyMatch(name::startsWith)) {
        Piece.Result result = piece.track();
        beats += result.beats();
        amlt += result.amlt();
        downbeats += result.downbeats();
        count++;
      }
    }
    assertThat(count).isEqualTo(QUICK.size());
    assertThat(beats / count).as("mean F-measure").isGreaterThan(0.86);
    assertThat(amlt / count).as("mean AMLt").isGreaterThan(0.9);
    assertThat(downbeats / count).as("mean F-measure of downbeats").isGreaterThan(0.65);
  }
}
