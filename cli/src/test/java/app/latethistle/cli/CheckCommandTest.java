package app.latethistle.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A finished file looked at from a terminal. */
class CheckCommandTest {
  private static final Path SONG = Path.of("..", "demo", "slow bellows.m4a");

  @TempDir private Path folder;

  private static Path clip() throws IOException {
    try (Stream<Path> files = Files.list(Path.of("..", "demo"))) {
      return files
          .filter(f -> f.getFileName().toString().startsWith("shot_040_take1"))
          .findFirst()
          .orElseThrow();
    }
  }

  @Test
  void aSongIsFineUnlessAnotherLoudnessWasAskedFor() {
    Terminal.Said said = Terminal.run("check", SONG.toString());
    assertThat(said.out()).contains("LUFS, range").contains("true peaks at");
    Terminal.Said missed = Terminal.run("check", SONG.toString(), "--loudness", "-40");
    assertThat(missed.code()).isEqualTo(1);
    assertThat(missed.out()).startsWith("must  loudness").contains("not the -40.0 LUFS asked for");
  }

  @Test
  void aClipIsToldAsJson() throws IOException {
    Terminal.Said said = Terminal.run("check", clip().toString(), "--json");
    JsonNode all = JsonMapper.shared().readTree(said.out());
    assertThat(all.valueStream().map(f -> f.get("check").asString()))
        .contains("whole", "black", "frozen", "flashes", "levels");
    assertThat(all.valueStream().map(f -> f.get("verdict").asString()))
        .isSubsetOf("must", "look", "fine");
  }

  @Test
  void whatIsNoFilmIsRefusedByName() throws IOException {
    assertThat(Terminal.run("check", folder.resolve("none.mp4").toString()).err())
        .contains("none.mp4: There is no such file.");
    Path text = Files.writeString(folder.resolve("film.mp4"), "no film at all");
    Terminal.Said said = Terminal.run("check", text.toString());
    assertThat(said.code()).isNotZero();
    assertThat(said.err()).contains("not a clip, picture or sound");
  }
}
