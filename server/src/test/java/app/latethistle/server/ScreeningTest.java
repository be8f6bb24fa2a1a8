package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A film is watched by a link, beyond the machine too, and nothing else is served there. */
class ScreeningTest {
  private static EditedFilm cut;
  private static Api beyond;

  @BeforeAll
  static void cut() {
    RunningServer server = RunningServer.shared();
    cut = EditedFilm.make(server.api(), 8);
    beyond = new Api(server.beyond());
  }

  private static JsonNode link(String name) {
    Api.Answer made = cut.api.post(cut.path + "/screenings", Map.of("name", name));
    assertThat(made.status()).as(made.text()).isEqualTo(201);
    return made.json();
  }

  private static Api.Answer leave(String path, double second, String text) {
    Map<String, Object> note = Map.of("reel", "film", "second", second, "by", "Ines", "text", text);
    return beyond.post(path + "/notes", note);
  }

  /** The first name in a playlist that fits. */
  private static String named(String list, String pattern) {
    Matcher found = Pattern.compile(pattern, Pattern.MULTILINE).matcher(list);
    assertThat(found.find()).as(list).isTrue();
    return found.group(1);
  }

  @Test
  void theFilmPlaysAndANoteStandsAsAMarker() {
    String path = link("Ines").get("path").asString();
    JsonNode shown = beyond.get(path + "/reels").json();
    assertThat(shown.get("title").asString()).isEqualTo("Cut");
    JsonNode film = shown.get("reels").get(0);
    String folder = path + "/film/" + cut.api.get(cut.path + "/film").json().get("revision");
    assertThat(path + "/" + film.get("source").asString()).isEqualTo(folder + "/film.m3u8");
    String pictures = beyond.get(folder + "/picture.m3u8").text();
    Api.Answer segment = beyond.get(folder + "/" + named(pictures, "^(\\S+\\.ts)$"));
    assertThat(segment.status()).isEqualTo(200);
    assertThat(segment.bytes()[0]).as("a transport stream's sync byte").isEqualTo((byte) 0x47);
    String sounds = beyond.get(folder + "/sound.m3u8").text();
    assertThat(beyond.get(folder + "/" + named(sounds, "^(\\S+\\.m4s)$")).status()).isEqualTo(200);

    assertThat(leave(path, 2.5, "Too early?").status()).isEqualTo(201);
    JsonNode marker = cut.api.get(cut.path + "/film").json().get("markers").get(0);
    assertThat(marker.get("note").asString()).isEqualTo("Too early?");
    assertThat(marker.get("by").asString()).isEqualTo("Ines");
    assertThat(marker.get("at").get("frame").asLong()).isEqualTo(60);

    cut.film = cut.api.get(cut.path + "/film").json();
    cut.edit("tick-marker", Map.of("name", marker.get("name").asString(), "done", true));
    JsonNode note = beyond.get(path + "/reels").json().get("notes").get(0);
    assertThat(note.get("done").asBoolean()).isTrue();
    assertThat(note.get("second").asDouble()).isEqualTo(2.5);
    cut.undo();
    assertThat(cut.film.get("markers").get(0).get("done").asBoolean()).isFalse();
  }

  @Test
  void aNoteSaysWhoAndWhat() {
    String path = link("Somebody").get("path").asString();
    assertThat(leave(path, 1, " ").detail()).contains("Write a note");
    assertThat(leave(path, 1, "x".repeat(501)).detail()).contains("up to 500");
    Map<String, Object> nobody = Map.of("reel", "film", "second", 1, "by", "", "text", "Here");
    assertThat(beyond.post(path + "/notes", nobody).detail()).contains("Say who you are");
    Map<String, Object> other =
        Map.of("reel", "version-99", "second", 1, "by", "Ines", "text", "Here");
    assertThat(beyond.post(path + "/notes", other).detail()).contains("is not here any more");
  }

  @Test
  void aLinkEndsAfterAWeekOrWhenItIsWithdrawn() {
    JsonNode withdrawn = link("Withdrawn");
    JsonNode old = link("Old");
    for (JsonNode link : List.of(withdrawn, old)) {
      assertThat(beyond.get(link.get("path").asString() + "/reels").status()).isEqualTo(200);
    }
    cut.api.delete(cut.path + "/screenings/" + withdrawn.get("id").asLong());
    RunningServer.shared()
        .bean(JdbcTemplate.class)
        .update(
            "update screening set ends_at = ends_at - interval '7 days' where id = ?",
            old.get("id").asLong());
    for (JsonNode link : List.of(withdrawn, old)) {
      Api.Answer gone = beyond.get(link.get("path").asString() + "/reels");
      assertThat(gone.status()).isEqualTo(404);
      assertThat(gone.detail()).contains("ended or was withdrawn");
      assertThat(leave(link.get("path").asString(), 1, "Still here").status()).isEqualTo(404);
    }
    assertThat(cut.api.get(cut.path + "/screenings").json().get("links").toString())
        .doesNotContain("Withdrawn", "\"Old\"");
  }

  @Test
  void aMasterIsServedToWhoeverHasTheLink() {
    Map<String, Object> order =
        Map.of("name", "Shown", "size", "PRODUCTION", "rate", "24", "quality", "SMALL");
    long id = cut.api.post(cut.path + "/masters", order).json().get("id").asLong();
    cut.api.until(cut.path + "/masters", all -> !all.get(0).get("bytes").isNull());
    String path = link("Ines").get("path").asString();
    assertThat(beyond.get(path + "/reels").text()).contains("masters/" + id);
    assertThat(beyond.get(path + "/masters/" + id).bytes())
        .isEqualTo(cut.api.get(cut.path + "/masters/" + id + "/file").bytes());
    assertThat(beyond.get(path + "/masters/" + (id + 1000)).status()).isEqualTo(404);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/",
        "/api/productions",
        "/api/openapi",
        "/actuator/health",
        "/productions/1/score",
        "/watch/",
        "/watch/short/reels",
        "/api/productions/1/film.json"
      })
  void nothingElseIsServedBeyond(String path) {
    assertThat(beyond.get(path).status()).isEqualTo(404);
  }

  @Test
  void noLinkLeadsOutOfItsFilm() {
    String path = link("Ines").get("path").asString();
    assertThat(beyond.get(path + "/film/1/frames").status()).isEqualTo(404);
    assertThat(beyond.get(path + "/film/..%2f..%2fmasters/film.m3u8").status()).isIn(400, 404);
    assertThat(beyond.delete(path + "/reels").status()).isIn(400, 404, 405);
    assertThat(beyond.get("/watch/" + "A".repeat(24) + "/reels").status()).isEqualTo(404);
  }
}
