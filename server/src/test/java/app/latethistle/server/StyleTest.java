package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A channel's style: kept of one production, taken by others, changed for all, as one file. */
class StyleTest {
  private static final Api API = RunningServer.shared().api();
  private static final Map<String, Object> AT = Map.of("tie", "free", "frame", 24);

  /** A film with a title, a treatment that looks in a table, an output and tags. */
  private static EditedFilm styled() {
    EditedFilm cut = EditedFilm.make(API, 8);
    cut.edit("add-title", Map.of("design", "Carved main title", "text", "Night Post", "at", AT));
    cut.edit(
        "bring-in-colours",
        Map.of(
            "items", List.of(""),
            "file", "warm.cube",
            "text", "LUT_1D_SIZE 2\n0.05 0 0\n1 1 0.9\n"));
    cut.edit("caption-look", Map.of("language", "en", "kind", "FEW_WORDS"));
    Map<String, Object> said = new HashMap<>();
    said.put("name", "{film}, teaser");
    said.put("encoding", "MP4");
    said.put("quality", "HIGH");
    said.put("longest", 30);
    said.put("ticked", false);
    said.put("to", AT);
    cut.api.post(cut.path + "/outputs", said);
    tagged(cut, "winter", "mail");
    JsonNode sound =
        cut.api.post(cut.path + "/sounds/ask", Map.of("words", "dull thud")).json().get(0);
    cut.edit("lay-sound", Map.of("sound", sound.get("id").asLong(), "at", AT, "offset", 0));
    cut.api.post(cut.path + "/sounds/ask", Map.of("words", "slow creak"));
    return cut;
  }

  private static void tagged(EditedFilm cut, String... tags) {
    Map<String, Object> sheet = new HashMap<>();
    sheet.put("title", "A film");
    sheet.put("description", tags[0].equals("winter") ? "One film a week." : "");
    sheet.put("chapters", true);
    sheet.put("tags", List.of(tags));
    sheet.put("generated", true);
    sheet.put("rights", Map.of());
    assertThat(cut.api.json("PUT", cut.path + "/release", sheet).status()).isEqualTo(200);
  }

  private static JsonNode kept(EditedFilm cut, String name) {
    Api.Answer kept = API.post(cut.path + "/style/keep", Map.of("name", name));
    assertThat(kept.status()).as(kept.text()).isEqualTo(201);
    return kept.json();
  }

  private static Api.Answer take(EditedFilm cut, long style) {
    long revision = API.get(cut.path + "/film").json().get("revision").asLong();
    return API.post(cut.path + "/style/take", Map.of("style", style, "revision", revision));
  }

  private static JsonNode taken(EditedFilm cut) {
    return API.get(cut.path + "/style").json();
  }

  /** How many sounds a production has that were asked for in words. */
  private static long ownSounds(EditedFilm cut) {
    return API.get(cut.path + "/sounds?words=thud")
        .json()
        .get("sounds")
        .valueStream()
        .filter(s -> s.get("source").asString().startsWith("asked for"))
        .count();
  }

  private static JsonNode film(EditedFilm cut) {
    return API.get(cut.path + "/film.json").json().get("film");
  }

  @Test
  void aStyleGoesFromOneProductionToOthers() {
    EditedFilm first = styled();
    long style = kept(first, "Thistle House").get("id").asLong();
    assertThat(taken(first).get("style").get("name").asString()).isEqualTo("Thistle House");
    EditedFilm other = EditedFilm.make(API, 8);
    other.edit("add-title", Map.of("design", "Soft main title", "text", "Salt", "at", AT));
    tagged(other, "salt");
    assertThat(taken(other).get("style").isNull()).isTrue();

    Api.Answer answer = take(other, style);
    assertThat(answer.status()).as(answer.text()).isEqualTo(204);
    assertThat(film(other).get("finish")).isEqualTo(film(first).get("finish"));
    JsonNode title = film(other).get("titles").get(0);
    assertThat(title.get("lettering")).isEqualTo(film(first).get("titles").get(0).get("lettering"));
    assertThat(title.toString()).contains("Salt");
    assertThat(API.get(other.path + "/outputs").json().valueStream())
        .anySatisfy(
            o -> {
              assertThat(o.get("called").asString()).isEqualTo("Cut, teaser");
              assertThat(o.get("said").get("longest").asInt()).isEqualTo(30);
              assertThat(o.get("part").asString()).isEqualTo("the whole film");
            });
    assertThat(API.get(other.path + "/release").json().get("sheet").get("tags").toString())
        .isEqualTo("[\"salt\",\"winter\",\"mail\"]");
    assertThat(API.get(other.path + "/release").json().at("/sheet/description").asString())
        .isEqualTo("One film a week.");
    assertThat(ownSounds(other)).isEqualTo(1);
    assertThat(taken(other).get("changed").asBoolean()).isFalse();
    assertThat(API.get(other.path + "/history").json().get("undo").get("label").asString())
        .isEqualTo("take the style of Thistle House");

    first.film = API.get(first.path + "/film").json();
    first.edit("caption-look", Map.of("language", "en", "kind", "TWO_LINES"));
    kept(first, "Thistle House");
    assertThat(taken(other).get("changed").asBoolean()).isTrue();
    assertThat(taken(first).get("changed").asBoolean()).isFalse();
    assertThat(take(other, style).status()).isEqualTo(204);
    assertThat(taken(other).get("changed").asBoolean()).isFalse();
    assertThat(take(other, style).status()).as("it has it already").isEqualTo(204);
    assertThat(ownSounds(other)).as("each once").isEqualTo(1);

    API.delete(other.path + "/style");
    assertThat(taken(other).get("style").isNull()).isTrue();
    assertThat(film(other).get("finish")).isEqualTo(film(first).get("finish"));
  }

  @Test
  void aStyleLeavesAndComesAsOneFile() {
    EditedFilm first = styled();
    JsonNode style = kept(first, "One file");
    String text = API.get("/api/styles/" + style.get("id").asLong() + "/document").text();
    assertThat(text).contains("warm.cube", "LUT_1D_SIZE 2", "Cinzel").contains("{film}, teaser");
    assertThat(style.get("holds").toString()).contains("1 sound", "a description", "2 tags");
    API.delete("/api/styles/" + style.get("id").asLong());
    assertThat(taken(first).get("style").isNull()).isTrue();
    Api.Answer back = API.post("/api/styles/document", Map.of("text", text));
    assertThat(back.status()).as(back.text()).isEqualTo(201);
    assertThat(back.json().get("holds")).isEqualTo(style.get("holds"));
    EditedFilm other = EditedFilm.make(API, 8);
    assertThat(take(other, back.json().get("id").asLong()).status()).isEqualTo(204);
    assertThat(film(other).get("finish")).isEqualTo(film(first).get("finish"));
    for (String bad : List.of("", "[]", "{\"format\": 1}", text.replace("FEW_WORDS", "NO_WORDS"))) {
      Api.Answer refused = API.post("/api/styles/document", Map.of("text", bad));
      assertThat(refused.status()).as(refused.text()).isEqualTo(422);
    }
    assertThat(API.post(first.path + "/style/keep", Map.of("name", " ")).detail()).contains("name");
    assertThat(take(other, 999_999).status()).isEqualTo(404);
  }

  /**
   * The services that a film's pictures are from come with their terms where they are not known.
   */
  @Test
  void servicesComeWithTheirTerms() {
    String text =
        API.get("/api/styles/" + kept(styled(), "Of services").get("id").asLong() + "/document")
            .text();
    JsonNode usual = API.get("/api/services").json().get(0).get("profile");
    ObjectNode document = (ObjectNode) JsonMapper.shared().readTree(text);
    ObjectNode unknown = ((ObjectNode) usual.deepCopy()).put("name", "Far Plate");
    unknown.put("marks", "MAY_GO").put("format", 2);
    ObjectNode known = ((ObjectNode) usual.deepCopy()).put("longestPrompt", 77).put("format", 2);
    document.putArray("services").add(unknown).add(known);
    Api.Answer back = API.post("/api/styles/document", Map.of("text", document.toString()));
    assertThat(back.status()).as(back.text()).isEqualTo(201);
    assertThat(back.json().get("holds").toString()).contains("2 services");
    assertThat(take(EditedFilm.make(API, 8), back.json().get("id").asLong()).status())
        .isEqualTo(204);
    List<JsonNode> now =
        API.get("/api/services").json().valueStream().map(s -> s.get("profile")).toList();
    assertThat(now)
        .filteredOn(s -> s.get("name").asString().equals("Far Plate"))
        .singleElement()
        .satisfies(s -> assertThat(s.get("marks").asString()).isEqualTo("MAY_GO"));
    assertThat(now).contains(usual);
    API.get("/api/services")
        .json()
        .valueStream()
        .filter(s -> s.at("/profile/name").asString().equals("Far Plate"))
        .forEach(s -> API.delete("/api/services/" + s.get("id").asLong()));
  }
}
