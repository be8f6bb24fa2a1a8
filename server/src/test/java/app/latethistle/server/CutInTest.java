package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A cut leaves for other programs and comes in from them. */
class CutInTest {
  private final EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 10);

  private Api.Answer bring(String file, String text) {
    return cut.tryEdit("cut-in", Map.of("file", file, "text", text));
  }

  /** Frames of the cuts, and takes between them. */
  private static String places(JsonNode film) {
    StringBuilder places = new StringBuilder();
    film.get("joints").forEach(j -> places.append(j.get("frame").asLong()).append(' '));
    film.get("shots").forEach(s -> places.append(s.get("takeId").asLong()).append(' '));
    return places.toString();
  }

  @Test
  void whatLeavesAsATimelineOrEditListComesInAsTheSameCut() {
    String before = places(cut.film);
    String otio = cut.api.get(cut.path + "/film/timeline.otio").text();
    assertThat(otio).contains("\"Music\"").contains("\"Audio\"");
    String edl = cut.api.get(cut.path + "/film/cut.edl").text();
    cut.edit("take-out", Map.of("places", List.of(1), "leaveGap", false));
    assertThat(places(cut.film)).isNotEqualTo(before);
    for (String[] foreign : new String[][] {{"reel.otio", otio}, {"REEL.EDL", edl}}) {
      Api.Answer answer = bring(foreign[0], foreign[1]);
      assertThat(answer.status()).as(answer.text()).isEqualTo(200);
      JsonNode film = answer.json().get("film");
      assertThat(places(film)).as(foreign[0]).isEqualTo(before);
      assertThat(film.get("joints").get(1).get("tie").asString())
          .as("a cut on a beat is tied to it again")
          .isEqualTo("BEAT");
      cut.film = film;
      cut.undo();
    }
    assertThat(places(cut.film)).isNotEqualTo(before);
  }

  /** Layers and sounds of a timeline come in where they lay; what is not here is told. */
  @Test
  void whatLiesBesideTheCutComesInToo() {
    cut.edit(
        "lay-over", Map.of("piece", cut.piece(0, 5, 24), "start", moment(30), "end", moment(54)));
    JsonNode sound =
        cut.api.post(cut.path + "/sounds/ask", Map.of("words", "dull thud")).json().get(0);
    cut.edit("lay-sound", Map.of("sound", sound.get("id").asLong(), "at", free(40), "offset", 0));
    String otio = cut.api.get(cut.path + "/film/timeline.otio").text();
    assertThat(otio).contains("\"sha256\"");
    JsonNode before = cut.api.get(cut.path + "/film.json").json().get("film");
    // The files are known by their bytes, whatever they are called there.
    String renamed = otio.replace("shot_010_take1", "reel_7").replace("dull thud", "hit_3");
    Api.Answer answer = bring("reel.otio", renamed);
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    JsonNode after = cut.api.get(cut.path + "/film.json").json().get("film");
    assertThat(places(answer.json().get("film"))).isEqualTo(places(cut.film));
    assertThat(after.at("/overlays/0/layer")).isEqualTo(before.at("/overlays/0/layer"));
    assertThat(after.at("/overlays/0/start/frame").asLong()).isEqualTo(30);
    assertThat(after.at("/overlays/0/end/frame").asLong()).isEqualTo(54);
    assertThat(after.at("/overlays/0/shot/take")).isEqualTo(before.at("/overlays/0/shot/take"));
    assertThat(after.at("/overlays/0/shot/in")).isEqualTo(before.at("/overlays/0/shot/in"));
    assertThat(after.at("/sounds/0/file/media")).isEqualTo(before.at("/sounds/0/file/media"));
    assertThat(after.get("sounds")).hasSize(1);
    cut.film = answer.json().get("film");
    String elsewhere =
        renamed
            .replaceAll("\"sha256\" : \"[0-9a-f]+\"", "\"sha256\" : \"\"")
            .replace("reel_7", "shot_010_take1");
    assertThat(bring("reel.otio", elsewhere).json().get("left").toString())
        .contains("Not here, of the track 'Sounds': hit_3");
  }

  private static Map<String, Object> moment(long frame) {
    return Map.of("frame", frame, "offset", 0);
  }

  private static Map<String, Object> free(long frame) {
    return Map.of("tie", "free", "frame", frame);
  }

  @Test
  void allFormatsAreInOneFolder() throws IOException {
    Map<String, Object> at = Map.of("frame", 12, "offset", 0);
    cut.edit("set-marker", Map.of("at", at, "note", "look, \"here\""));
    byte[] zip = cut.api.get(cut.path + "/film/formats.zip").bytes();
    Map<String, String> texts = new HashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        texts.put(entry.getName(), new String(in.readAllBytes(), StandardCharsets.UTF_8));
      }
    }
    assertThat(texts)
        .containsKeys("timeline.otio", "cut.edl", "shots.csv", "cues.csv", "looks/finish.cube");
    assertThat(texts.get("markers.csv")).contains("12,00:00:00:12,\"look, \"\"here\"\"\"");
    assertThat(texts.get("beats.csv")).startsWith("time_s,bar,beat\n").contains(",1,2\n");
  }

  @Test
  void whatIsNotHereIsBlackAndTold() {
    String list =
        """
        001  AX  V  C  00:00:00:10 00:00:02:00 01:00:00:00 01:00:01:14
        * FROM CLIP NAME: SHOT_010_TAKE1 the drowned valley.MOV
        002  AX  V  C  00:00:00:00 00:00:02:00 01:00:01:14 01:00:03:14
        * FROM CLIP NAME: elsewhere.mp4
        """;
    JsonNode answer = bring("other.edl", list).json();
    assertThat(answer.get("film").get("shots").size()).isEqualTo(2);
    assertThat(answer.get("film").get("shots").get(1).get("takeId").asLong()).isZero();
    assertThat(answer.get("left").toString()).contains("elsewhere.mp4 is not here");
    assertThat(bring("other.edl", list.replaceAll("NAME: .*", "NAME: nothing")).detail())
        .contains("None of its files");
    assertThat(bring("cut.xml", "<x/>").detail()).contains(".otio").contains(".edl");
    assertThat(bring("broken.otio", "{").detail()).contains("broken.otio").contains("JSON");
  }
}
