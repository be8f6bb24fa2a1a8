package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The colour of shots through the API. */
class LookTest {
  private EditedFilm cut;

  @BeforeEach
  void make() {
    cut = EditedFilm.make(RunningServer.shared().api(), 18);
  }

  private JsonNode look() {
    return cut.api.get(cut.path + "/film/look").json();
  }

  private String item(int place) {
    return cut.shot(place).get("id").asString();
  }

  private void correct(int place, int exposure) {
    cut.edit(
        "correct", Map.of("items", List.of(item(place)), "correction", correction(exposure, 0)));
  }

  private static Map<String, ?> correction(int exposure, int warmth) {
    Map<String, ?> one = Map.of("red", 1, "green", 1, "blue", 1);
    Map<String, ?> straight = Map.of("points", List.of());
    return Map.of(
        "basics",
        Map.of("exposure", exposure, "contrast", 0, "warmth", warmth, "tint", 0, "saturation", 0),
        "tones",
        Map.of(
            "pivot",
            41,
            "blacks",
            0,
            "whites",
            0,
            "shoulder",
            0,
            "toe",
            0,
            "vibrance",
            0,
            "curves",
            Map.of("luma", straight, "red", straight, "green", straight, "blue", straight)),
        "ranges",
        List.of(),
        "cdl",
        Map.of(
            "slope",
            one,
            "offset",
            Map.of("red", 0, "green", 0, "blue", 0),
            "power",
            one,
            "saturation",
            1));
  }

  private int exposure(int place) {
    return look().at("/shots/" + place + "/correction/basics/exposure").asInt();
  }

  @Test
  void aGroupIsMatchedToItsOwnKeyAndLedTowardsTheFilms() {
    cut.edit("choose-key", Map.of("item", item(0), "ofFilm", true));
    cut.edit("group-shots", Map.of("items", List.of(item(1), item(2)), "name", "the fair"));

    JsonNode grouped = look();
    assertThat(grouped.at("/groups/0").asString()).isEqualTo("the fair");
    assertThat(grouped.at("/shots/1/keyOf").asString()).isEqualTo("GROUP");
    assertThat(grouped.at("/shots/2/group").asString()).isEqualTo("the fair");
    assertThat(grouped.at("/shots/1/now/whole").asDouble()).isZero();
    cut.edit("match", Map.of("items", List.of(item(1), item(2)), "strength", 100));
    JsonNode led = look().at("/shots/1/correction/basics");
    assertThat(led.get("exposure").asInt()).as("a group keeps its brightness").isZero();
    assertThat(look().at("/shots/2/now/whole").asDouble())
        .isLessThan(grouped.at("/shots/2/now/whole").asDouble() + 0.5);
    cut.edit("ungroup-shots", Map.of("items", List.of(item(1), item(2))));
    assertThat(look().get("groups")).isEmpty();
  }

  @Test
  void aCorrectionIsCopiedToMany() {
    correct(0, 120);
    cut.edit("correct-as", Map.of("items", List.of(item(1), item(2)), "like", item(0)));
    assertThat(List.of(exposure(1), exposure(2))).containsExactly(120, 120);
    cut.undo();
    assertThat(exposure(1)).isZero();
  }

  @Test
  void aTableOverTheFilmIsSeenAndABrokenOneRefusedWithItsLine() throws IOException {
    double plain = brightness("");
    Map<String, ?> negative =
        Map.of(
            "items", List.of(""), "file", "turned.cube", "text", "LUT_1D_SIZE 2\n1 1 1\n0 0 0\n");
    cut.edit("bring-in-colours", negative);
    assertThat(brightness("")).isNotCloseTo(plain, within(plain * 0.05));
    assertThat(brightness("/uncorrected")).isEqualTo(plain);
    String document = cut.api.get(cut.path + "/film.json").text();
    assertThat(document).contains("LUT_1D_SIZE 2");

    assertThat(
            refusal(
                "bring-in-colours",
                Map.of("items", List.of(""), "file", "bad.cube", "text", "LUT_3D_SIZE two")))
        .isEqualTo("bad.cube: Line 1 of the table: \"two\" is no number.");
    assertThat(
            refusal(
                "bring-in-colours",
                Map.of("items", List.of(item(0)), "file", "look.txt", "text", "")))
        .contains("look.txt is neither a table");
  }

  @Test
  void aColourListTakesThePlaceOfTheShotsOwnAndLeavesAgain() throws IOException {
    String list =
        "<ColorCorrection id='a'><SOPNode><Slope>1.2 1 0.8</Slope></SOPNode></ColorCorrection>";
    cut.edit(
        "bring-in-colours", Map.of("items", List.of(item(0)), "file", "warm.cc", "text", list));
    assertThat(look().at("/shots/0/correction/cdl/slope/red").asDouble()).isEqualTo(1.2);
    String shot = cut.path + "/film/shots/" + item(0);
    assertThat(cut.api.get(shot + "/grade.cdl").text()).contains("<ColorDecision>");
    assertThat(cut.api.get(shot + "/grade.cube").text()).contains("LUT_3D_SIZE 33");
    byte[] all = cut.api.get(cut.path + "/film/looks.zip").bytes();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(all))) {
      assertThat(zip.getNextEntry().getName()).endsWith(".cube");
      assertThat(zip.getNextEntry().getName()).isEqualTo("finish.cube");
      assertThat(zip.getNextEntry()).isNull();
    }
  }

  @Test
  void aFinishOfOnesOwnIsKeptLeavesAndComesBack() {
    String all = "/api/finishes";
    int before = cut.api.get(all).json().size();
    assertThat(before).isGreaterThanOrEqualTo(10);
    String text =
        "{\"lateThistleFinish\": 1, \"name\": \"Mine\","
            + " \"treatments\": [{\"kind\": \"GRAIN\"}]}";
    cut.api.post(all + "/bring-in", Map.of("file", "mine.json", "text", text));
    JsonNode mine = cut.api.get(all).json().get(before);
    assertThat(mine.get("name").asString()).isEqualTo("Mine");
    assertThat(mine.get("own").asBoolean()).isTrue();
    long id = mine.get("id").asLong();
    assertThat(cut.api.get(all + "/" + id + ".json").text()).contains("\"GRAIN\"");
    cut.api.delete(all + "/" + id);
    assertThat(cut.api.get(all).json()).hasSize(before);
  }

  @Test
  void aRangeIsPickedInThePictureAndTriedBeforeItIsDone() throws IOException {
    String frame = cut.path + "/preview/" + cut.film.get("revision").asLong() + "/frames/4";
    JsonNode range = cut.api.get(frame + "/range?item=" + item(0) + "&x=0.5&y=0.5").json();
    assertThat(range.get("darkest").asInt()).isLessThan(range.get("lightest").asInt());
    String correction = look().at("/shots/0/correction").toString();
    String brighter = correction.replace("\"exposure\":0", "\"exposure\":150");
    assertThat(brighter).isNotEqualTo(correction);
    String tried = "/corrected.jpg?item=" + item(0) + "&correction=" + encoded(brighter);
    BufferedImage image =
        ImageIO.read(new ByteArrayInputStream(cut.api.get(frame + tried).bytes()));
    assertThat(image.getWidth()).isGreaterThan(300);
    assertThat(
            cut.api
                .get(frame + "/corrected.jpg?item=" + item(0) + "&correction=" + encoded("{]"))
                .detail())
        .contains("could not be read");
    String grain = "[{\"kind\":\"GRAIN\",\"bypassed\":false}]";
    String finished = "/finished.jpg?small=true&treatments=" + encoded(grain);
    assertThat(cut.api.get(frame + finished).bytes()).startsWith(0xFF, 0xD8);
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  @Test
  void scopesAreDrawnFromTheFilmsFrame() throws IOException {
    String frame = cut.path + "/preview/" + cut.film.get("revision").asLong() + "/frames/4";
    for (String scope : List.of("waveform", "parade", "vectors", "histogram")) {
      BufferedImage image =
          ImageIO.read(new ByteArrayInputStream(cut.api.get(frame + "/" + scope + ".png").bytes()));
      assertThat(image.getWidth()).isGreaterThan(200);
    }
    assertThat(cut.api.get(frame + "/beyond").json().get("above").asDouble()).isBetween(0.0, 0.1);
  }

  @Test
  void aCorrectedShotIsSeenSoAndGoesWithUndo() throws IOException {
    String before = cut.content();
    double dark = brightness("");

    correct(0, 150);

    assertThat(brightness("")).isGreaterThan(dark * 1.15);
    assertThat(brightness("/uncorrected")).isEqualTo(dark);
    assertThat(cut.shot(0).get("corrected").asBoolean()).isTrue();
    cut.undo();
    assertThat(cut.content()).isEqualTo(before);
  }

  @Test
  void shotsAreMeasuredFromTheKeyShotAndBroughtToIt() {
    assertThat(look().get("key").isNull()).isTrue();
    correct(1, 80);
    cut.edit("choose-key", Map.of("item", item(0), "ofFilm", false));

    double before = look().get("shots").get(1).get("now").get("whole").asDouble();
    cut.edit("match", Map.of("items", List.of(item(1)), "strength", 100));

    JsonNode matched = look().get("shots").get(1);
    assertThat(look().get("key").asString()).isEqualTo(item(0));
    assertThat(look().get("shots").get(0).get("now").get("whole").asDouble()).isZero();
    assertThat(matched.get("now").get("whole").asDouble()).isLessThan(before);
    cut.undo();
    assertThat(exposure(1)).isEqualTo(80);
  }

  @Test
  void shotsAreBroughtToAStillThatIsBroughtIn() throws IOException {
    byte[] red = png(0xb04030);
    JsonNode still = cut.api.bytes(cut.path + "/film/look/stills?name=dusk.png", red).json();
    cut.edit("choose-key-still", Map.of("picture", still.get("picture").asString()));

    JsonNode before = look();
    assertThat(before.get("key").isNull()).isTrue();
    assertThat(before.at("/still/name").asString()).isEqualTo("dusk.png");
    assertThat(before.at("/shots/0/keyOf").asString()).isEqualTo("NONE");
    cut.edit("match", Map.of("items", List.of(item(0), item(1)), "strength", 100));
    for (int place = 0; place < 2; place++) {
      String now = "/shots/" + place + "/now/warmth";
      assertThat(Math.abs(look().at(now).asDouble()))
          .isLessThan(Math.abs(before.at(now).asDouble()));
    }
    String picture = still.get("picture").asString();
    assertThat(cut.api.get(cut.path + "/film/look/stills/" + picture + ".png").bytes())
        .startsWith(0x89, 0x50);
    cut.edit("choose-key", Map.of("item", item(0), "ofFilm", true));
    assertThat(look().get("still").isNull()).isTrue();
  }

  @Test
  void whatIsNoStillIsRefusedByItsName() {
    byte[] text = "no picture".getBytes(StandardCharsets.UTF_8);
    assertThat(cut.api.bytes(cut.path + "/film/look/stills?name=notes.png", text).detail())
        .startsWith("notes.png");
    assertThat(refusal("choose-key-still", Map.of("picture", "f".repeat(64))))
        .contains("bring it in again");
  }

  /** A picture of one colour. */
  static byte[] png(int rgb) throws IOException {
    BufferedImage image = new BufferedImage(64, 36, BufferedImage.TYPE_INT_RGB);
    for (int i = 0; i < 64 * 36; i++) {
      image.setRGB(i % 64, i / 64, rgb);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  /** A stop brighter in the left half of the first shot's take. */
  @Test
  void aRangeIsMaskedAndCorrectedInThatPartAlone() throws IOException {
    cut.edit("mask-range", Map.of("item", item(0), "range", 0, "kind", "RECTANGLE"));
    JsonNode range = look().at("/shots/0/correction/ranges/0");
    assertThat(range.get("width").asInt()).isEqualTo(180);
    assertThat(range.at("/where/masks/0/kind").asString()).isEqualTo("RECTANGLE");
    double plain = brightness("");
    // A range that changes nothing is drawn, and rounded, all the same.
    assertThat(brightness("/uncorrected")).isCloseTo(plain, within(plain / 1000));

    String correction = look().at("/shots/0/correction").toString();
    int at = correction.indexOf("\"ranges\"");
    String brighter =
        correction.substring(0, at)
            + correction.substring(at).replace("\"exposure\":0", "\"exposure\":150");
    cut.edit("correct", Map.of("items", List.of(item(0)), "correction", tree(brighter)));

    double part = brightness("");
    correct(0, 150);
    assertThat(part).isGreaterThan(plain * 1.02).isLessThan(brightness("") * 0.98);
    assertThat(refusal("mask-range", Map.of("item", item(0), "range", 1, "kind", "ELLIPSE")))
        .contains("has no range 2");
  }

  private static JsonNode tree(String json) {
    return JsonMapper.builder().build().readTree(json);
  }

  private JsonNode light(int place) {
    return cut.api.get(cut.path + "/film/look/light?item=" + item(place)).json();
  }

  private static int apart(JsonNode light) {
    int[] green = light.valueStream().mapToInt(l -> l.get("green").asInt()).sorted().toArray();
    return green[green.length - 1] - green[0];
  }

  /** The shot whose light changes most. */
  private int pumping() {
    int most = 0;
    for (int place = 0; place < cut.film.get("shots").size(); place++) {
      most = apart(light(place)) > apart(light(most)) ? place : most;
    }
    return most;
  }

  @Test
  void lightThatChangesThroughAShotIsLevelled() throws IOException {
    int place = pumping();
    JsonNode light = light(place);
    assertThat(light)
        .hasSize(cut.shot(place).get("end").asInt() - cut.shot(place).get("start").asInt());
    assertThat(apart(light)).as("hundredths of a stop").isGreaterThan(5);
    String before = cut.content();
    long darkest = 0;
    for (int i = 0; i < light.size(); i++) {
      boolean darker =
          light.get(i).get("green").asInt() < light.get((int) darkest).get("green").asInt();
      darkest = darker ? i : darkest;
    }
    long frame = cut.shot(place).get("start").asLong() + darkest;
    double dark = brightness(frame, "");

    cut.edit("level", Map.of("items", List.of(item(place)), "strength", 100));

    assertThat(look().at("/shots/" + place + "/levelled").asInt()).isEqualTo(100);
    assertThat(brightness(frame, "")).isGreaterThan(dark);
    assertThat(light(place)).as("the light as it came").isEqualTo(light);
    assertThat(brightness(frame, "/uncorrected")).isEqualTo(dark);
    cut.edit("uncorrect", Map.of("items", List.of(item(place))));
    assertThat(look().at("/shots/" + place + "/levelled").asInt()).isZero();
    cut.undo();
    cut.undo();
    assertThat(cut.content()).isEqualTo(before);
  }

  @Test
  void whatCannotBeDoneIsSaid() {
    assertThat(refusal("level", Map.of("items", List.of(item(1)), "strength", 101)))
        .contains("not by 101 %");
    assertThat(refusal("match", Map.of("items", List.of(item(1)), "strength", 50)))
        .contains("Choose the shot that the others are to look like first");
    assertThat(refusal("match", Map.of("items", List.of(item(1)), "strength", 150)))
        .contains("0 to 100 %, not 150");
    assertThat(refusal("choose-key", Map.of("item", "nothing", "ofFilm", true)))
        .contains("not in the film");
    assertThat(
            refusal("correct", Map.of("items", List.of(item(0)), "correction", correction(0, 300))))
        .contains("Warmth goes from -100 to 100, not 300");
  }

  private String refusal(String name, Map<String, ?> values) {
    return cut.tryEdit(name, values).detail();
  }

  /** Sum of the green of the film's fifth frame. */
  private double brightness(String how) throws IOException {
    return brightness(4, how);
  }

  /** Sum of the green of a frame of the film. */
  private double brightness(long frame, String how) throws IOException {
    String preview = cut.path + "/preview/" + cut.film.get("revision").asLong();
    String still = preview + "/frames/" + frame + how + ".jpg";
    byte[] jpeg = cut.api.get(still).bytes();
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(jpeg));
    double sum = 0;
    for (int y = 0; y < image.getHeight(); y += 4) {
      for (int x = 0; x < image.getWidth(); x += 4) {
        sum += image.getRGB(x, y) >> 8 & 0xff;
      }
    }
    return sum;
  }
}
