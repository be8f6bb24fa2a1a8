package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How requests that cannot be answered are answered: by whose fault it is, in a sentence. */
class AnswersTest {
  private final Api api = RunningServer.shared().api();

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "/film",
        "/material",
        "/songs",
        "/story",
        "/voice",
        "/film/versions",
        "/takes/7/strip.jpg",
        "/songs/7/peaks",
        "/masters/7/file",
        "/preview/1/film.m3u8",
        "/requests/ledger"
      })
  void whatIsNotThereIsNamed(String path) {
    Api.Answer answer = api.get("/api/productions/987654" + path);
    assertThat(answer.status()).as(path).isEqualTo(404);
    assertThat(answer.detail()).as(path).contains("There is no").containsPattern("987654|\\b7\\b");
  }

  @ParameterizedTest
  @CsvSource({
    "'{\"title\": ', 400, could not be read",
    "'{\"title\": \"a\", \"width\": \"wide\"}', 400, could not be read",
    "'[]', 400, could not be read",
    "'{\"title\": \"\", \"width\": 640, \"height\": 360, \"rate\": \"24\", \"targetSeconds\": 9}', 422, title",
    "'{\"title\": \"a\", \"width\": 3, \"height\": 360, \"rate\": \"24\", \"targetSeconds\": 9}', 422, 3",
    "'{\"title\": \"a\", \"width\": 640, \"height\": 360, \"rate\": \"fast\", \"targetSeconds\": 9}', 422, fast",
  })
  void aValueThatCannotBeUsedIsNamed(String body, int status, String named) {
    Api.Answer answer = raw("/api/productions", body);
    assertThat(answer.status()).as(answer.text()).isEqualTo(status);
    assertThat(answer.detail()).contains(named);
  }

  private Api.Answer raw(String path, String body) {
    return api.text(path, body);
  }

  @Test
  void anAddressThatIsNoNumberIsNoFaultOfOurs() {
    Api.Answer answer = api.get("/api/productions/first/film");
    assertThat(answer.status()).isEqualTo(400);
    assertThat(api.get("/api/productions").status()).isEqualTo(200);
  }

  @Test
  void noAnswerTellsOfThisMachine() {
    long id = api.production("Answers", 640, 360, 20);
    String path = "/api/productions/" + id;
    String said =
        api.bring(id, "broken.mp4", "no film".getBytes(StandardCharsets.UTF_8)).text()
            + api.post(path + "/film/roll", Map.of("revision", 0, "joint", 99)).text()
            + api.post(path + "/masters", Map.of()).text()
            + api.get(path + "/takes/1/frames/1.jpg").text()
            + api.text(path + "/story/script", "{").text();
    assertThat(said)
        .doesNotContain(RunningServer.shared().data().toString())
        .doesNotContain("app.latethistle")
        .doesNotContain("java.")
        .doesNotContain("\tat ");
    api.delete(path);
  }

  /** What answers nothing says so by its status. */
  @Test
  void changesWithoutAnAnswerAreAnsweredWithNone() {
    long id = api.production("Nothing", 640, 360, 20);
    String path = "/api/productions/" + id;
    assertThat(api.delete(path + "/refusals").status()).isEqualTo(204);
    assertThat(api.post("/api/storage/clear", Map.of()).status()).isEqualTo(204);
    assertThat(api.delete(path).status()).isEqualTo(204);
  }
}
