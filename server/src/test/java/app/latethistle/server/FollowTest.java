package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Titles and sounds that go with a place in a shot, through the API. */
class FollowTest {
  private final EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);

  private Map<String, Object> place(String item, int shot, double x, double y) {
    JsonNode seen = cut.shot(shot);
    return Map.of(
        "item",
        item,
        "shot",
        seen.get("id").asString(),
        "frame",
        seen.get("start").asLong() + 2,
        "x",
        x,
        "y",
        y);
  }

  private JsonNode title() {
    return cut.api.get(cut.path + "/film/words").json().get("titles").get(0);
  }

  private Map<String, Object> onCut(int shot) {
    return Map.of("tie", "cut", "item", cut.shot(shot).get("id").asString());
  }

  @Test
  void aTitleGoesWithAPlaceIntoTheFilmItsDocumentAndBack() {
    cut.edit("add-title", Map.of("design", "Soft main title", "text", "here", "at", onCut(1)));
    assertThat(title().get("follows").isNull()).isTrue();
    assertThat(title().get("along")).isEmpty();
    cut.edit("follow-place", place("title", 1, 0.5, 0.6));

    JsonNode follows = title().get("follows");
    assertThat(follows.get("shot").asString()).isEqualTo(cut.shot(1).get("id").asString());
    assertThat(follows.get("start").asLong()).isEqualTo(cut.shot(1).get("start").asLong());
    JsonNode at = title().get("place");
    JsonNode along = title().get("along");
    assertThat(along).hasSize((int) (at.get("end").asLong() - at.get("start").asLong()));
    JsonNode landed = along.get((int) (at.get("landing").asLong() - at.get("start").asLong()));
    assertThat(landed.get("x").asDouble()).isZero();
    JsonNode followed =
        cut.api.get(cut.path + "/film.json").json().get("film").get("titles").get(0).get("follows");
    assertThat(followed.get("x").size()).isEqualTo(followed.get("y").size()).isPositive();

    cut.undo();
    assertThat(title().get("follows").isNull()).isTrue();
    cut.redo();
    cut.edit("follow-nothing", Map.of("item", "title"));
    assertThat(title().get("along")).isEmpty();
  }

  @Test
  void aSoundIsHeardFromAPlace() {
    JsonNode knock = cut.api.post(cut.path + "/sounds/ask", Map.of("words", "knock")).json().get(0);
    cut.edit("lay-sound", Map.of("sound", knock.get("id").asLong(), "at", onCut(1), "offset", 0));
    String id = cut.api.get(cut.path + "/film/mix").json().get("laid").get(0).get("id").asString();
    cut.edit("follow-place", place(id, 1, 0.5, 0.6));
    JsonNode laid = cut.api.get(cut.path + "/film/mix").json().get("laid").get(0);
    assertThat(laid.get("follows").get("shot").asString())
        .isEqualTo(cut.shot(1).get("id").asString());
    assertThat(cut.api.get(cut.path + "/film/hear-sound.wav?sound=" + id).status()).isEqualTo(200);
  }

  @Test
  void aFocusGoesWithWhatIsThere() {
    long start = cut.shot(1).get("start").asLong();
    cut.edit("follow-focus", Map.of("place", 1, "frame", start + 2, "x", 0.5, "y", 0.6));
    JsonNode points = cut.shot(1).get("focus").get("points");
    assertThat(points).hasSize(12);
    assertThat(points.get(0).get("at").asInt()).isZero();
    assertThat(points.get(11).get("at").asInt()).isEqualTo(1000);
    assertThat(points.get(0).get("x").asInt()).isBetween(400, 600);
    cut.undo();
    assertThat(cut.shot(1).get("focus").toString()).isNotEqualTo(points.toString());
  }

  @Test
  void whatCannotBeFollowedIsSaid() {
    cut.edit("add-title", Map.of("design", "Soft main title", "text", "here", "at", onCut(1)));
    assertThat(cut.tryEdit("follow-place", place("title", 1, 1.2, 0.5)).detail())
        .contains("in the shot's picture");
    assertThat(cut.tryEdit("follow-place", place("gone", 1, 0.5, 0.6)).detail())
        .contains("not in the film any more: gone");
    Map<String, Object> nowhere =
        Map.of("item", "title", "shot", "s99", "frame", 3, "x", 0.5, "y", 0.5);
    assertThat(cut.tryEdit("follow-place", nowhere).detail()).contains("Choose a shot");
    assertThat(title().get("follows").isNull()).isTrue();
  }
}
