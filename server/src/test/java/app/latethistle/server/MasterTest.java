package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.cli.Thistle;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

class MasterTest {
  private static Map<String, Object> order(String name, String rate) {
    return Map.of("name", name, "size", "PRODUCTION", "rate", rate, "quality", "SMALL");
  }

  private static JsonNode ended(EditedFilm cut, long master) {
    return cut.api
        .until(
            cut.path + "/masters",
            all -> !find(all, master).get("state").asString().matches("WAITING|RENDERING|CHECKING"))
        .valueStream()
        .filter(m -> m.get("id").asLong() == master)
        .findFirst()
        .orElseThrow();
  }

  private static void bringIn(EditedFilm cut, String item, String file, String text) {
    cut.edit("bring-in-colours", Map.of("items", List.of(item), "file", file, "text", text));
  }

  private static JsonNode find(JsonNode all, long master) {
    return all.valueStream().filter(m -> m.get("id").asLong() == master).findFirst().orElseThrow();
  }

  @Test
  void rendersChecksAndServesAMaster() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 15);
    long id =
        cut.api.post(cut.path + "/masters", order("The cut / one", "24")).json().get("id").asLong();
    JsonNode master = ended(cut, id);
    assertThat(master.get("state").asString()).as("%s", master).isEqualTo("DONE");
    assertThat(master.get("frames").asLong()).isEqualTo(cut.film.get("length").asLong());
    assertThat(master.get("message").asString())
        .contains(cut.film.get("length").asLong() + " frames");
    byte[] file = cut.api.get(cut.path + "/masters/" + id + "/file").bytes();
    assertThat(file).hasSize((int) master.get("bytes").asLong());
    assertThat(new String(file, 4, 4, StandardCharsets.US_ASCII)).isEqualTo("ftyp");
  }

  /** The terminal draws the document of a film as the server draws the film, to the last byte. */
  @Test
  void aTerminalMakesTheSameMaster(@TempDir Path folder) throws IOException {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 8);
    cut.edit(
        "set-treatments",
        Map.of(
            "items", List.of(""),
            "treatments",
                List.of(
                    Map.of("kind", "SHAKE", "bypassed", false),
                    Map.of("kind", "FLASH", "bypassed", false))));
    String list =
        "<ColorCorrection id='a'><SOPNode><Slope>1.2 1 0.8</Slope></SOPNode></ColorCorrection>";
    bringIn(cut, cut.shot(0).get("id").asString(), "warm.cc", list);
    bringIn(cut, "", "lifted.cube", "LUT_1D_SIZE 2\n0.1 0.1 0.1\n1 1 1\n");
    long id = cut.api.post(cut.path + "/masters", order("Page", "24")).json().get("id").asLong();
    assertThat(ended(cut, id).get("state").asString()).isEqualTo("DONE");
    byte[] document = cut.api.get(cut.path + "/film.json").bytes();
    Path film = Files.write(folder.resolve("film.json"), document);
    Path out = folder.resolve("terminal.mp4");
    int code =
        Thistle.run(
            "render",
            film.toString(),
            "--store",
            RunningServer.shared().data().toString(),
            "--quality",
            "small",
            "--out",
            out.toString());
    assertThat(code).isZero();
    assertThat(Files.readAllBytes(out))
        .isEqualTo(cut.api.get(cut.path + "/masters/" + id + "/file").bytes());
  }

  @Test
  void anotherRateKeepsTheTime() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 15);
    long id =
        cut.api
            .post(cut.path + "/masters", order("Thirty", "30000/1001"))
            .json()
            .get("id")
            .asLong();
    JsonNode master = ended(cut, id);
    assertThat(master.get("state").asString()).as("%s", master).isEqualTo("DONE");
    double seconds = cut.film.get("length").asLong() / 24.0;
    assertThat(Math.abs(master.get("frames").asLong() * 1001 / 30000.0 - seconds)).isLessThan(0.02);
  }

  /** A part of the film in another shape, as a teaser has it. */
  @Test
  void aPartOfTheFilmComesOutUpright() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 15);
    Map<String, Object> teaser = new HashMap<>(order("Teaser", "24"));
    teaser.put("shape", "9:16");
    teaser.put("from", 30);
    teaser.put("to", 100);
    long id = cut.api.post(cut.path + "/masters", teaser).json().get("id").asLong();
    JsonNode master = ended(cut, id);
    assertThat(master.get("state").asString()).as("%s", master).isEqualTo("DONE");
    assertThat(master.get("frames").asLong()).isEqualTo(70);
    assertThat(master.get("width").asInt()).isEqualTo(360);
    assertThat(master.get("height").asInt()).isEqualTo(640);
    teaser.put("to", 20);
    assertThat(cut.api.post(cut.path + "/masters", teaser).detail())
        .contains("would end before it begins");
    teaser.put("shape", "9:99");
    assertThat(cut.api.post(cut.path + "/masters", teaser).detail()).contains("too narrow");
  }

  @Test
  void aRenderIsCancelledAndAnotherOneGoesOn() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 18);
    long id = cut.api.post(cut.path + "/masters", order("Stopped", "24")).json().get("id").asLong();
    cut.api.until(cut.path + "/masters", all -> find(all, id).get("framesDone").asLong() > 0);
    cut.api.post(cut.path + "/masters/" + id + "/cancel", Map.of());
    JsonNode master = ended(cut, id);
    assertThat(master.get("state").asString()).isEqualTo("CANCELLED");
    assertThat(cut.api.get(cut.path + "/masters/" + id + "/file").status()).isEqualTo(404);
    long again =
        cut.api.post(cut.path + "/masters", order("Again", "24")).json().get("id").asLong();
    assertThat(ended(cut, again).get("state").asString()).isEqualTo("DONE");
  }

  @Test
  void aRenderGoesOnAfterARestart() {
    try (RunningServer server = RunningServer.fresh()) {
      EditedFilm cut = EditedFilm.make(server.api(), 18);
      long id =
          cut.api.post(cut.path + "/masters", order("Halfway", "24")).json().get("id").asLong();
      cut.api.until(cut.path + "/masters", all -> find(all, id).get("framesDone").asLong() > 40);
      server.restart();
      JsonNode master = ended(cut.through(server.api()), id);
      assertThat(master.get("state").asString()).as("%s", master).isEqualTo("DONE");
    }
  }

  @Test
  void ordersThatMakeNoSenseAreRefused() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 15);
    assertThat(cut.api.post(cut.path + "/masters", order(" ", "24")).status()).isEqualTo(422);
    assertThat(cut.api.post(cut.path + "/masters", order("a", "fast")).detail()).contains("fast");
    long empty = cut.api.production("Empty", 640, 360, 20);
    Api.Answer answer = cut.api.post("/api/productions/" + empty + "/masters", order("a", "24"));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.detail()).contains("empty");
  }
}
