package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.take.Box;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.media.ClipReader;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Marks of services go by the way that costs least, each way with what it costs. */
class RepairTest {
  private static final Box MARK = new Box(0.86, 0.88, 0.98, 0.95);

  private final EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 8);

  private JsonNode takesOf(String label) {
    for (JsonNode shot : cut.api.get(cut.path + "/material").json().get("shots")) {
      if (shot.get("label").asString().equals(label)) {
        return shot.get("takes");
      }
    }
    throw new AssertionError("no shot " + label);
  }

  private static Map<String, Object> boxes(Box box) {
    return Map.of(
        "kind",
        "FILL",
        "boxes",
        List.of(
            Map.of(
                "left", box.left(),
                "top", box.top(),
                "right", box.right(),
                "bottom", box.bottom())));
  }

  private static Frame first(JsonNode take) throws IOException {
    String hash =
        RunningServer.shared()
            .bean(JdbcTemplate.class)
            .queryForObject(
                "select medium_hash from take where id = ?", String.class, take.get("id").asLong());
    Path file =
        RunningServer.shared()
            .data()
            .resolve("originals")
            .resolve(hash.substring(0, 2))
            .resolve(hash);
    MediaFacts facts = Probe.probe(file);
    try (ClipReader reader =
        ClipReader.open(file, facts, FrameRate.of(24, 1), new FrameRange(0, 1))) {
      Frame frame = reader.next();
      return new Frame(frame.width(), frame.height(), frame.data().clone());
    }
  }

  @Test
  void anotherTakeIsMadeInWhichABoxIsFilledAndNothingElseIs() throws IOException {
    JsonNode take = takesOf("040").get(0);
    String path = cut.path + "/takes/" + take.get("id").asLong();
    Api.Answer asked = cut.api.post(path + "/repairs", boxes(MARK));
    assertThat(asked.status()).as(asked.text()).isEqualTo(201);
    assertThat(cut.api.post(path + "/repairs", boxes(MARK)).detail()).contains("already");
    cut.api.until(
        path + "/repairs",
        all -> all.isEmpty() || all.get(0).get("work").get("failed").asBoolean());
    assertThat(cut.api.get(path + "/repairs").json()).isEmpty();
    JsonNode takes = takesOf("040");
    assertThat(takes.size()).isEqualTo(2);
    assertThat(takes.get(1).get("fileName").asString()).endsWith(", filled.mkv");
    assertThat(takes.get(1).get("frames")).isEqualTo(take.get("frames"));

    Frame before = first(take);
    Frame after = first(takes.get(1));
    assertThat(Arrays.equals(before.data(), after.data())).isFalse();
    double outside = 0;
    int count = 0;
    for (int at = 0; at < before.width() * before.height() / 2; at++) {
      outside += Math.abs((before.data()[at] & 0xff) - (after.data()[at] & 0xff));
      count++;
    }
    assertThat(outside / count).as("the upper half, but for the encoder").isLessThan(1);
  }

  @Test
  void lightIsMadeEvenInAnotherTakeWithTheSoundItHad() throws IOException {
    JsonNode take = takesOf("010").get(0);
    String path = cut.path + "/takes/" + take.get("id").asLong() + "/repairs";
    Api.Answer asked = cut.api.post(path, Map.of("kind", "LIGHT"));
    assertThat(asked.status()).as(asked.text()).isEqualTo(201);
    assertThat(asked.json().get("kind").asString()).isEqualTo("LIGHT");
    cut.api.until(path, all -> all.isEmpty() || all.get(0).get("work").get("failed").asBoolean());
    assertThat(cut.api.get(path).json()).isEmpty();
    JsonNode made = takesOf("010").get(1);
    assertThat(made.get("fileName").asString()).endsWith(", light made even.mkv");
    assertThat(made.get("frames")).isEqualTo(take.get("frames"));
    assertThat(made.get("sound")).isEqualTo(take.get("sound"));
  }

  /** A clip that leaps after two of its three seconds becomes one of two, with its sound. */
  @Test
  void aJumpIsCutOut(@TempDir Path folder) throws Exception {
    Path clip = folder.resolve("shot_070_take1.mp4");
    String leap = "[0:v]trim=end=2[a];[1:v]trim=end=1[b];[a][b]concat=n=2[v]";
    List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error"));
    for (String picture :
        List.of("mandelbrot=s=320x180:r=24", "mandelbrot=s=320x180:r=24:start_x=0.3:start_y=0.5")) {
      command.addAll(List.of("-f", "lavfi", "-i", picture));
    }
    command.addAll(List.of("-f", "lavfi", "-i", "sine=d=3", "-filter_complex", leap));
    command.addAll(List.of("-map", "[v]", "-map", "2:a", clip.toString()));
    assertThat(new ProcessBuilder(command).inheritIO().start().waitFor()).isZero();
    cut.api.bring(cut.id, "shot_070_take1.mp4", Files.readAllBytes(clip));
    cut.api.until(
        cut.path + "/material", all -> takesOf("070").get(0).get("facts").path("jumps").size() > 0);
    JsonNode take = takesOf("070").get(0);
    assertThat(take.get("facts").get("jumps").toString()).isEqualTo("[2.0]");
    String path = cut.path + "/takes/" + take.get("id").asLong() + "/repairs";
    assertThat(cut.api.post(path, Map.of("kind", "CUT")).status()).isEqualTo(201);
    cut.api.until(path, all -> all.isEmpty() || all.get(0).get("work").get("failed").asBoolean());
    JsonNode made = takesOf("070").get(1);
    assertThat(made.get("fileName").asString()).endsWith(", jumps cut out.mkv");
    assertThat(made.get("frames").asInt()).isEqualTo(48);
    assertThat(made.get("sound").asBoolean()).isTrue();
  }

  @Test
  void whatATakeHasNotIsNotPutRight() {
    long take = takesOf("050").get(0).get("id").asLong();
    String path = cut.path + "/takes/" + take + "/repairs";
    cut.api.until(
        cut.path + "/material",
        all ->
            all.get("shots")
                .valueStream()
                .filter(s -> s.get("label").asString().equals("050"))
                .flatMap(s -> s.get("takes").valueStream())
                .noneMatch(t -> t.get("facts").isNull()));
    assertThat(cut.api.post(path, Map.of("kind", "JUMPS")).detail()).contains("No jump");
    assertThat(cut.api.post(path, Map.of("kind", "REPEATS")).detail()).contains("No picture");
    assertThat(cut.api.post(path, Map.of()).detail()).contains("Say what");
  }

  @Test
  void whatCannotBeFilledIsSaid() {
    long take = takesOf("030").get(0).get("id").asLong();
    String path = cut.path + "/takes/" + take + "/repairs";
    assertThat(cut.api.post(path, boxes(new Box(0.1, 0.1, 0.8, 0.2))).detail())
        .contains("more than half");
    assertThat(cut.api.post(path, boxes(new Box(0.9, 0.9, 1.2, 1))).detail())
        .contains("lies in the picture");
    assertThat(cut.api.post(path, Map.of("kind", "FILL", "boxes", List.of())).detail())
        .contains("no mark");
  }

  /** The demo's second take of 020 has a service's mark in its corner. */
  @Test
  void aMarkHasSeveralWaysAndIsFramedOutWhereItIsSeen() {
    JsonNode takes =
        cut.api
            .until(
                cut.path + "/material",
                m ->
                    m.get("shots")
                        .valueStream()
                        .filter(s -> s.get("label").asString().equals("020"))
                        .flatMap(s -> s.get("takes").valueStream())
                        .noneMatch(t -> t.get("facts").isNull()))
            .get("shots")
            .valueStream()
            .filter(s -> s.get("label").asString().equals("020"))
            .findFirst()
            .orElseThrow()
            .get("takes");
    long clean = takes.get(0).get("id").asLong();
    long marked = takes.get(1).get("id").asLong();
    assertThat(cut.api.get(cut.path + "/film/marks/" + clean).detail()).contains("has no mark");
    JsonNode ways = cut.api.get(cut.path + "/film/marks/" + marked).json();
    assertThat(ways.get("shown").asInt()).isZero();
    assertThat(ways.get("others").get(0).get("id").asLong()).isEqualTo(clean);
    assertThat(ways.get("bars").asInt()).as("the shape whose bars lie over it").isEqualTo(239);
    assertThat(ways.get("closer").asInt()).isBetween(8, 20);

    int place = 1;
    cut.edit("choose-take", Map.of("place", place, "takeId", marked));
    assertThat(marks().get("verdict").asString()).isEqualTo("MUST");
    assertThat(cut.api.get(cut.path + "/film/marks/" + marked).json().get("shown").asInt())
        .isEqualTo(1);
    Api.Answer framed =
        cut.api.post(
            cut.path + "/film/marks/" + marked + "/frame-out",
            Map.of("revision", cut.film.get("revision").asLong()));
    assertThat(framed.status()).as(framed.text()).isEqualTo(200);
    assertThat(marks().get("verdict").asString()).isEqualTo("FINE");
    assertThat(sheet()).contains("1 with a mark framed out");
    cut.undo();
    assertThat(marks().get("verdict").asString()).isEqualTo("MUST");
    assertThat(sheet()).contains("1 with a mark seen");

    covered(marked, "bars", Map.of());
    cut.undo();
    Map<String, Object> badge = Map.of("text", "Night Post", "reach", "WHERE_NEEDED");
    covered(marked, "badge", badge);
    assertThat(ways(marked).at("/badge/text").asString()).isEqualTo("Night Post");
    assertThat(ways(marked).at("/badge/face").asString()).isEqualTo("Source Sans 3");
    assertThat(
            asked(marked, "badge", Map.of("text", "N", "reach", "WHOLE_FILM", "face", "None"))
                .detail())
        .contains("no face “None”");
    assertThat(sheet()).contains("1 with a mark covered");
    covered(marked, "badge", Map.of("text", "N. P.", "reach", "WHOLE_FILM"));
    assertThat(ways(marked).at("/badge/reach").asString()).isEqualTo("WHOLE_FILM");
    Api.Answer empty = asked(marked, "badge", Map.of("text", " ", "reach", "WHERE_NEEDED"));
    assertThat(empty.detail()).contains("Write what the badge says");
    assertThat(asked(marked, "badge-out", Map.of()).status()).isEqualTo(200);
    assertThat(marks().get("verdict").asString()).isEqualTo("MUST");
    assertThat(ways(marked).get("open").asInt()).isEqualTo(1);
  }

  /** The release sheet says what was done. */
  private String sheet() {
    return cut.api.get(cut.path + "/release/sheet.txt").text();
  }

  private JsonNode ways(long take) {
    return cut.api.get(cut.path + "/film/marks/" + take).json();
  }

  private Api.Answer asked(long take, String way, Map<String, Object> how) {
    Map<String, Object> body = new HashMap<>(how);
    body.put("revision", cut.api.get(cut.path + "/film").json().get("revision").asLong());
    return cut.api.post(cut.path + "/film/marks/" + take + "/" + way, body);
  }

  /** A way leaves nothing of the mark to be seen. */
  private void covered(long take, String way, Map<String, Object> how) {
    Api.Answer answer = asked(take, way, how);
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    assertThat(marks().get("verdict").asString()).as(way).isEqualTo("FINE");
    assertThat(ways(take).get("open").asInt()).as(way).isZero();
  }

  /** What the film's checks say of marks. */
  private JsonNode marks() {
    return cut.api
        .get(cut.path + "/film/checks?group=FILM")
        .json()
        .get("findings")
        .valueStream()
        .filter(f -> f.get("check").asString().equals("MARKS"))
        .findFirst()
        .orElseThrow();
  }
}
