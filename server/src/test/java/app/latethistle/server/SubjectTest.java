package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The subject of a take: looked for, cut out, kept with the take and used in the film. */
class SubjectTest {
  private static final Map<String, Object> BOX = stroke("AROUND", 300, 200, 700, 900);

  private final EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 8);
  private JsonNode shot;
  private String path;

  @BeforeEach
  void ofTheShotOf050() {
    for (JsonNode one : cut.film.get("shots")) {
      if (one.get("label").asString().equals("050")) {
        shot = one;
      }
    }
    path = cut.path + "/takes/" + shot.get("takeId").asLong() + "/subject";
  }

  private static Map<String, Object> stroke(String kind, int x0, int y0, int x1, int y1) {
    return Map.of(
        "kind", kind, "points", List.of(Map.of("x", x0, "y", y0), Map.of("x", x1, "y", y1)));
  }

  private static Map<String, Object> guides(long frame, Map<?, ?>... strokes) {
    return Map.of("guides", List.of(guide(frame, strokes)));
  }

  private static Map<String, Object> guide(long frame, Map<?, ?>... strokes) {
    return Map.of("frame", frame, "strokes", List.of(strokes));
  }

  private JsonNode done() {
    return cut.api.until(
        path, s -> s.get("work").isNull() || s.get("work").get("failed").asBoolean());
  }

  private String checks() {
    return cut.api.get(cut.path + "/film/checks?group=FILM").text();
  }

  /** What is said of the production in its zip. */
  private String packed() throws IOException {
    byte[] bytes = cut.api.get(cut.path + "/production.zip?media=false").bytes();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      ZipEntry entry = zip.getNextEntry();
      while (!entry.getName().equals("production.json")) {
        entry = zip.getNextEntry();
      }
      return new String(zip.readAllBytes(), StandardCharsets.UTF_8).replaceAll("\\s", "");
    }
  }

  @Test
  void itIsCutOutLaidOverTheCutAndGoesWithTheFilm() throws IOException {
    assertThat(cut.tryEdit("lift-subject", Map.of("item", shot.get("id").asString())).detail())
        .contains("draw what its subject is first");
    assertThat(cut.api.get(path + "/frames/0.jpg").detail()).contains("Nothing has been cut out");
    JsonNode looked = cut.api.post(path + "/outline", guide(3, BOX)).json();
    assertThat(looked.get("picture").asString()).startsWith("data:image/jpeg;base64,/9j/");

    Api.Answer asked = cut.api.post(path, guides(3, BOX));
    assertThat(asked.status()).as(asked.text()).isEqualTo(201);
    assertThat(cut.api.post(path, guides(3, BOX)).detail()).contains("being cut out already");
    JsonNode subject = done();
    String hash = subject.get("cut").asString();
    assertThat(subject.get("guides").get(0).get("strokes").get(0).get("kind").asString())
        .isEqualTo("AROUND");
    assertThat(cut.api.get(path + "/frames/3.jpg").bytes()).startsWith(0xff, 0xd8);

    cut.edit("lift-subject", Map.of("item", shot.get("id").asString()));
    JsonNode over = cut.film.get("overlays").get(0);
    assertThat(over.get("shot").get("matte").get("part").asString()).isEqualTo("SUBJECT");
    assertThat(over.get("start").get("frame")).isEqualTo(shot.get("start"));
    assertThat(over.get("end").get("frame")).isEqualTo(shot.get("end"));
    cut.undo();
    Map<String, Object> titled = Map.of("item", shot.get("id").asString(), "behind", "TITLED");
    assertThat(cut.tryEdit("lift-subject", titled).detail()).contains("No title stands");
    cut.edit("lift-subject", Map.of("item", shot.get("id").asString(), "behind", "BLURRED"));
    assertThat(cut.shot(shot.get("place").asInt()).get("treatments").toString()).contains("BLUR");
    JsonNode document = cut.api.get(cut.path + "/film.json").json();
    assertThat(document.get("takes").findValuesAsString("sha256")).contains(hash);
    assertThat(packed()).contains("\"subject\":\"" + hash, "\"AROUND\"");

    // Cut out anew, the film that shows it is another one; thrown away, its whole picture stays.
    long revision = cut.api.get(cut.path + "/film").json().get("revision").asLong();
    Api.Answer anew = cut.api.post(path, guides(0, stroke("AROUND", 100, 100, 400, 600)));
    assertThat(anew.status()).as(anew.text()).isEqualTo(201);
    JsonNode other = done();
    assertThat(other.get("cut").asString()).as(other.toString()).isNotEqualTo(hash);
    cut.api.until(cut.path + "/film", f -> f.get("revision").asLong() > revision);
    assertThat(checks()).doesNotContain("not cut out of its take");
    assertThat(cut.api.delete(path).status()).isEqualTo(204);
    assertThat(cut.api.get(path).json().get("cut").isNull()).isTrue();
    assertThat(checks()).contains("not cut out of its take", "Let all of it stay");
    assertThat(cut.api.get(cut.path + "/film.json").json().get("takes").toString())
        .doesNotContain("subject");
  }

  @Test
  void whatCannotBeCutOutIsSaid() {
    Map<String, Object> beside = stroke("OUT", 10, 10, 20, 20);
    assertThat(cut.api.post(path, Map.of("guides", List.of())).detail()).contains("1 to 50");
    assertThat(cut.api.post(path, guides(100_000, BOX)).detail()).contains("frames");
    assertThat(cut.api.post(path + "/outline", guide(0, beside)).detail())
        .contains("Draw a box about the subject");
    assertThat(cut.api.post(path, guides(0, beside)).status()).isEqualTo(201);
    assertThat(done().get("work").get("message").asString())
        .contains("Draw a box about the subject");
    assertThat(cut.api.delete(path).status()).isEqualTo(204);
    assertThat(cut.api.get(path).json().get("work").isNull()).isTrue();
  }
}
