package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class StoryTest {
  private final Api api = RunningServer.shared().api();
  private final WrittenStory written = WrittenStory.make(api);

  private int shotId(int place) {
    return written.story.get("shots").get(place).get("id").asInt();
  }

  private List<String> numbers() {
    return written.shots().stream().map(s -> s.get("label").asString()).toList();
  }

  @Test
  void readsTimesAndShortensAScript() {
    JsonNode now = written.story;
    assertThat(now.get("format").asString()).isEqualTo("MARKDOWN");
    assertThat(now.get("words").asInt()).isEqualTo(9);
    now = written.put("delivery", Map.of("delivery", Map.of("wordsPerMinute", 90, "gap", 1)));
    assertThat(now.get("spokenSeconds").asDouble()).isEqualTo(6);
    now = written.post("cut", Map.of("line", 1, "text", "really"));
    assertThat(now.get("lines").get(0).get("text").asString())
        .isEqualTo("The water came at night, and it stayed.");
    assertThat(new Past(api, written.id).undoes()).isEqualTo("shorten line 1");
    assertThat(written.undo().get("words").asInt()).isEqualTo(9);
    assertThat(written.redo().get("words").asInt()).isEqualTo(8);
  }

  @Test
  void shotsOfTheStoryAreThoseTakesGatherUnder() {
    written.post("shots/propose", Map.of("count", 0));
    assertThat(numbers()).containsExactly("010", "020", "030", "040");
    int second = shotId(1);
    int last = shotId(3);
    written.post("shots/move", Map.of("id", last, "after", second));
    assertThat(numbers()).containsExactly("010", "020", "025", "030");
    written.post("shots/remove", Map.of("ids", List.of(second)));
    assertThat(numbers()).containsExactly("010", "025", "030");
    written.post(
        "shots/change",
        Map.of("ids", List.of(last), "fields", Map.of("move", "RISE", "seconds", 4.5)));
    written.undo();
    assertThat(written.undo().get("shots").size()).isEqualTo(4);
  }

  @Test
  void aBadOrLateChangeIsRefusedAndNothingIsLost() {
    written.post("shots/propose", Map.of("count", 0));
    String before = api.get(written.path).text();
    Api.Answer late = written.send("POST", "shots/add", Map.of("id", 0, "revision", 1));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.text()).contains("This story was changed in another window");
    Map<String, ?> tooShort = Map.of("ids", List.of(shotId(0)), "fields", Map.of("seconds", -3));
    Api.Answer bad = written.send("POST", "shots/change", tooShort);
    assertThat(bad.status()).isEqualTo(422);
    assertThat(bad.text()).contains("0.2 to 600");
    Api.Answer none = written.send("POST", "cut", Map.of("line", 9, "text", "really"));
    assertThat(none.status()).isBetween(400, 499);
    assertThat(api.get(written.path).text()).isEqualTo(before);
  }

  @Test
  void aChangedSheetChangesEveryPrompt() {
    written.post("shots/propose", Map.of("count", 0));
    Map<String, String> look =
        Map.of("lens", "", "film", "torn paper", "light", "", "grade", "", "tone", "", "shape", "");
    written.put(
        "sheets",
        Map.of(
            "sheets",
            Map.of(
                "people",
                List.of(),
                "places",
                List.of(),
                "exclusions",
                List.of("cars"),
                "look",
                look)));
    JsonNode prompts = api.get(written.path + "/prompts?service=Kestle%20Motion").json();
    assertThat(prompts.size()).isEqualTo(4);
    prompts.forEach(
        p -> {
          assertThat(p.get("text").asString()).contains("Torn paper", "The camera");
          assertThat(p.get("exclusion").asString()).isEqualTo("cars");
        });
    JsonNode stills = api.get(written.path + "/prompts?service=Kestle%20Still").json();
    stills.forEach(p -> assertThat(p.get("text").asString()).doesNotContain("The camera"));
    assertThat(api.get(written.path + "/prompts.csv?service=Kestle%20Motion").text())
        .startsWith("number,seen,prompt,exclusion,dropped\r\n010,");
    assertThat(api.get(written.path + "/drafts?seed=3").json().size()).isEqualTo(3);
  }

  /** Read back with PDFBox's own text extraction. */
  @Test
  void theStoryboardPrintsEveryShot() throws IOException {
    written.post("shots/propose", Map.of("count", 0));
    byte[] file = api.get(written.path + "/storyboard.pdf").bytes();
    try (PDDocument document = Loader.loadPDF(file)) {
      String text = new PDFTextStripper().getText(document);
      assertThat(text).contains("010", "040", "A bell under water", "Snow on a roof");
    }
  }

  @Test
  void aSlateSaysWhatItsShotSays() {
    written.post("shots/propose", Map.of("count", 2));
    written.awaitShot(1, s -> s.get("held").asBoolean());
    api.bringDemo(written.id, "slow bellows");
    long at = api.get(written.production + "/film").json().get("revision").asLong();
    JsonNode film =
        api.post(written.production + "/film/first-cut", Map.of("revision", at, "everything", true))
            .json();
    assertThat(film.get("shots").size()).isEqualTo(2);
    String slate =
        written.production
            + "/takes/"
            + film.get("shots").get(0).get("takeId").asLong()
            + "/frames/0.jpg";
    byte[] before = api.get(slate).bytes();
    written.post(
        "shots/change",
        Map.of("ids", List.of(shotId(0)), "fields", Map.of("seen", "A heron on the sluice")));
    long revision = film.get("revision").asLong();
    JsonNode after =
        api.until(written.production + "/film", f -> f.get("revision").asLong() > revision);
    assertThat(api.get(slate).bytes()).isNotEqualTo(before);
    assertThat(after.get("joints")).isEqualTo(film.get("joints"));
  }

  /** Slates alone make a film: they hold the time of shots that nobody has made yet. */
  @Test
  void aLineOverAnotherShotThanItsOwnIsToldAndLeftToWait() {
    written.post("shots/propose", Map.of("count", 0));
    written.awaitShot(3, s -> s.get("held").asBoolean());
    String voice = written.production + "/voice/lines/1/narrate";
    assertThat(
            api.post(voice, Map.of("voice", "Merrin", "wordsPerMinute", 150, "manner", "EVEN"))
                .status())
        .isEqualTo(204);
    String path = written.production + "/film";
    JsonNode film = film("first-cut", Map.of("everything", true));
    assertThat(film.get("shots")).hasSize(4);
    // The line begins with the film, whose first shot shows the place.
    JsonNode problem = film.get("problems").get(0);
    assertThat(problem.get("kind").asString()).isEqualTo("LINE_APART");
    assertThat(problem.get("text").asString()).startsWith("Line 1 is spoken over 010");
    assertThat(problem.get("remedies").findValuesAsString("kind")).contains("WAIT", "CARRY");
    film = film("mend", Map.of("place", problem.get("place").asInt(), "remedy", "WAIT"));
    assertThat(film.get("problems")).isEmpty();
    JsonNode line = api.get(written.production + "/voice").json().get("lines").get(0);
    assertThat(line.get("startKind").asString()).isEqualTo("SHOT");
    new Past(api, written.id).undo();
    line = api.get(written.production + "/voice").json().get("lines").get(0);
    assertThat(line.get("startKind").asString()).isEqualTo("AFTER");
    assertThat(api.get(path).json().get("problems")).hasSize(1);
  }

  private JsonNode film(String edit, Map<String, ?> values) {
    String path = written.production + "/film";
    Map<String, Object> body = new HashMap<>(values);
    body.put("revision", api.get(path).json().get("revision"));
    Api.Answer answer = api.post(path + "/" + edit, body);
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    return answer.json();
  }
}
