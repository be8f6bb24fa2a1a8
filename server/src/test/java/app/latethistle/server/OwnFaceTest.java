package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Faces of one's own: brought in, set in, taken off, and gone along with what is set in them. */
class OwnFaceTest {
  private static final Api API = RunningServer.shared().api();
  private static final String FACES = "/api/own-faces";
  private static final Map<String, Object> AT = Map.of("tie", "free", "frame", 24);

  private static Api.Answer bringIn(String name, String licence, byte[] font) {
    String query =
        "?name=" + name + "&licence=" + URLEncoder.encode(licence, StandardCharsets.UTF_8);
    return API.bytes(FACES + query, font);
  }

  private static List<String> offered() {
    return API.get("/api/title-designs")
        .json()
        .get("families")
        .valueStream()
        .map(family -> family.get("name").asString())
        .toList();
  }

  /** A film with a title that is set in a family. */
  private static EditedFilm titled(String family) {
    EditedFilm cut = EditedFilm.make(API, 8);
    cut.edit("add-title", Map.of("design", "Soft main title", "text", "Night Post", "at", AT));
    set(cut, family);
    return cut;
  }

  private static void set(EditedFilm cut, String family) {
    JsonNode title = cut.api.get(cut.path + "/film/words").json().get("titles").get(0);
    ObjectNode lettering = (ObjectNode) title.get("lettering");
    lettering.putObject("face").put("family", family).put("bold", true).put("italic", false);
    cut.edit(
        "change-title",
        Map.of("title", Map.of("id", title.get("id").asString(), "lettering", lettering)));
  }

  private static byte[] picture(EditedFilm cut) {
    Api.Answer still =
        cut.api.get(cut.path + "/preview/" + cut.film.get("revision").asLong() + "/frames/48.jpg");
    assertThat(still.status()).as(still.text()).isEqualTo(200);
    return still.bytes();
  }

  private static List<String> saidOf(EditedFilm cut) {
    return cut.api
        .get(cut.path + "/film/checks?group=FILM")
        .json()
        .get("findings")
        .valueStream()
        .map(finding -> finding.get("said").asString())
        .filter(said -> said.contains("face"))
        .toList();
  }

  @Test
  void aFaceIsBroughtInSetInAndTakenOffTheList() throws IOException {
    byte[] font = RenamedFace.bold("Thornley");
    Api.Answer unsaid = bringIn("thornley.ttf", " ", font);
    assertThat(unsaid.status()).isEqualTo(422);
    assertThat(unsaid.detail())
        .isEqualTo("thornley.ttf: say in up to 500 letters under what licence it may be used.");
    assertThat(offered()).doesNotContain("Thornley");

    Api.Answer brought = bringIn("thornley.ttf", "OFL 1.1", font);
    assertThat(brought.status()).as(brought.text()).isEqualTo(201);
    assertThat(brought.json().toString())
        .isEqualTo(
            "{\"family\":\"Thornley\",\"bold\":true,\"italic\":false,\"licence\":\"OFL 1.1\","
                + "\"logotype\":false}");
    assertThat(offered()).contains("Thornley");
    EditedFilm cut = titled("Thornley");
    byte[] own = picture(cut);
    set(cut, "Noto Sans");
    assertThat(picture(cut)).isNotEqualTo(own);
    set(cut, "Fraunces");
    assertThat(picture(cut)).as("the same letters under the name they ship by").isEqualTo(own);

    set(cut, "Thornley");
    assertThat(API.delete(FACES + "?family=Thornley").status()).isEqualTo(204);
    assertThat(offered()).doesNotContain("Thornley");
    assertThat(picture(cut)).isEqualTo(own);
    assertThat(API.delete(FACES + "?family=Thornley").status()).isEqualTo(422);
    assertThat(bringIn("again.ttf", "bought", font).json().get("licence").asString())
        .isEqualTo("bought");
    assertThat(API.get(cut.path + "/release").json().get("assets").valueStream())
        .anyMatch(
            asset ->
                asset.get("key").asString().equals("face:Thornley")
                    && asset.get("rights").asString().equals("bought"));
  }

  @Test
  void whatIsNoFontOrAnotherOfItsNameIsRefused() throws IOException {
    byte[] font = RenamedFace.bold("Heathrow");
    assertThat(bringIn("a.ttf", "own", font).status()).isEqualTo(201);
    byte[] cut = Arrays.copyOf(font, 3_000);
    assertThat(bringIn("cut.ttf", "own", cut).detail()).startsWith("cut.ttf: It is no font");
    byte[] text = "Not a font.".getBytes(StandardCharsets.UTF_8);
    assertThat(bringIn("note.ttf", "own", text).detail()).startsWith("note.ttf: It is no font");
    assertThat(bringIn("big.ttf", "own", new byte[12_000_001]).detail()).contains("12 MB");
    assertThat(bringIn("shipped.ttf", "own", RenamedFace.bold("Fraunces")).detail())
        .isEqualTo("shipped.ttf: “Fraunces” ships with the application; choose it in the list.");
    assertThat(bringIn("b.ttf", "own", RenamedFace.bold("Heathrow", "latin-ext")).detail())
        .startsWith("b.ttf: another file of “Heathrow” is here already");
  }

  /** A picture stands in place of the words, in the film and in what a terminal draws of it. */
  @Test
  void aLogotypeIsBroughtInAndStandsInPlaceOfWords() throws IOException {
    byte[] png = LookTest.png(0xd02010);
    Api.Answer brought = bringIn("House%20sign.png", "own", png);
    assertThat(brought.status()).as(brought.text()).isEqualTo(201);
    assertThat(brought.json().get("family").asString()).isEqualTo("House sign");
    assertThat(brought.json().get("logotype").asBoolean()).isTrue();
    assertThat(bringIn("House%20sign.png", "own", png).status()).as("again").isEqualTo(201);
    assertThat(bringIn("House%20sign.png", "own", LookTest.png(0x10d020)).detail())
        .contains("another file of “House sign” is here already");
    EditedFilm cut = titled("House sign");
    assertThat(redness(picture(cut))).isGreaterThan(0.02);
    assertThat(saidOf(cut)).isEmpty();
    assertThat(cut.api.get(cut.path + "/film.json").json().at("/faces/0/family").asString())
        .isEqualTo("House sign");
    set(cut, "Noto Sans");
    assertThat(redness(picture(cut))).isLessThan(0.005);
  }

  /** The share of a picture's pixels that are as red as the logotype. */
  private static double redness(byte[] jpeg) throws IOException {
    BufferedImage picture = ImageIO.read(new ByteArrayInputStream(jpeg));
    int red = 0;
    for (int y = 0; y < picture.getHeight(); y++) {
      for (int x = 0; x < picture.getWidth(); x++) {
        Color c = new Color(picture.getRGB(x, y));
        red += c.getRed() > 160 && c.getGreen() < 90 && c.getBlue() < 90 ? 1 : 0;
      }
    }
    return red / (double) (picture.getWidth() * picture.getHeight());
  }

  @Test
  void aStyleTakesItAlongAndAFaceThatIsNotHereIsSaid() throws IOException {
    bringIn("m.ttf", "own", RenamedFace.bold("Marrowby"));
    EditedFilm cut = titled("Marrowby");
    assertThat(cut.api.get(cut.path + "/film.json").json().at("/faces/0/family").asString())
        .isEqualTo("Marrowby");
    JsonNode kept = API.post(cut.path + "/style/keep", Map.of("name", "Marrow")).json();
    String text = API.get("/api/styles/" + kept.get("id").asLong() + "/document").text();
    assertThat(text).contains("Marrowby");
    assertThat(API.post("/api/styles/document", Map.of("text", text)).status()).isEqualTo(201);
    assertThat(saidOf(cut)).isEmpty();
    set(cut, "Nobodys");
    assertThat(saidOf(cut)).anyMatch(said -> said.contains("“Nobodys” is not here"));
  }
}
