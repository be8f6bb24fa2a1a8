package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The colour of shots through the API. */
class LookTest {
  private CutFilm cut;

  @BeforeEach
  void make() {
    cut = CutFilm.make(RunningServer.shared().api(), 18);
  }

  private JsonNode look() {
    return cut.api.get(cut.path + "/film/look").json();
  }

  private String item(int place) {
    return cut.shot(place).get("id").asString();
  }

  private void correct(int place, int exposure) {
    cut.edit(
        "correct",
        Map.of(
            "items",
            List.of(item(place)),
            "correction",
            Map.of("exposure", exposure, "contrast", 0, "warmth", 0, "tint", 0, "saturation", 0)));
  }

  @Test
  void aCorrectedShotIsSeenSoAndGoesWithUndo() throws IOException {
    String before = cut.content();
    double dark = brightness("");

    correct(0, 150);

    assertThat(brightness("")).isGreaterThan(dark * 1.15);
    assertThat(brightness("/uncorrected")).isEqualTo(dark);
    assertThat(cut.shot(0).get("corrected").asBoolean()).isTrue();
    cut.undo();
    assertThat(cut.content()).isEqualTo(before);
  }

  @Test
  void shotsAreMeasuredFromTheKeyShotAndBroughtToIt() {
    assertThat(look().get("key").isNull()).isTrue();
    correct(1, 80);
    cut.edit("choose-key", Map.of("item", item(0)));

    double before = look().get("shots").get(1).get("now").get("whole").asDouble();
    cut.edit("match", Map.of("items", List.of(item(1)), "strength", 100));

    JsonNode matched = look().get("shots").get(1);
    assertThat(look().get("key").asString()).isEqualTo(item(0));
    assertThat(look().get("shots").get(0).get("now").get("whole").asDouble()).isZero();
    assertThat(matched.get("now").get("whole").asDouble()).isLessThan(before);
    cut.undo();
    assertThat(look().get("shots").get(1).get("correction").get("exposure").asInt()).isEqualTo(80);
  }

  @Test
  void whatCannotBeDoneIsSaid() {
    assertThat(refusal("match", Map.of("items", List.of(item(1)), "strength", 50)))
        .contains("Choose the shot that the others are to look like first");
    assertThat(refusal("match", Map.of("items", List.of(item(1)), "strength", 150)))
        .contains("0 to 100 %, not 150");
    assertThat(refusal("choose-key", Map.of("item", "nothing"))).contains("not in the film");
    assertThat(
            refusal(
                "correct",
                Map.of(
                    "items",
                    List.of(item(0)),
                    "correction",
                    Map.of(
                        "exposure", 0, "contrast", 0, "warmth", 300, "tint", 0, "saturation", 0))))
        .contains("Warmth goes from -100 to 100, not 300");
  }

  private String refusal(String name, Map<String, ?> values) {
    return cut.tryEdit(name, values).detail();
  }

  /** Sum of the green of the film's fifth frame. */
  private double brightness(String how) throws IOException {
    String still =
        cut.path + "/preview/" + cut.film.get("revision").asLong() + "/frames/4" + how + ".jpg";
    byte[] jpeg = cut.api.get(still).bytes();
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(jpeg));
    double sum = 0;
    for (int y = 0; y < image.getHeight(); y += 4) {
      for (int x = 0; x < image.getWidth(); x += 4) {
        sum += image.getRGB(x, y) >> 8 & 0xff;
      }
    }
    return sum;
  }
}
