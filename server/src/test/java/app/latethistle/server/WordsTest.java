package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The film's titles and captions through the API. */
class WordsTest {
  private static final String SCRIPT =
      """
      ## The jetty

      Maren (V.O.): The water came at night, and it really stayed.

      Maren (V.O.): Nobody remembers the year, and nobody asks.
      """;

  private static EditedFilm cut() {
    return EditedFilm.make(RunningServer.shared().api(), 18);
  }

  /** A film with two lines read. */
  private static EditedFilm spoken() {
    EditedFilm cut = cut();
    long revision = cut.api.get(cut.path + "/story").json().get("revision").asLong();
    cut.api.json(
        "PUT",
        cut.path + "/story/script",
        Map.of("text", SCRIPT, "fileName", "", "revision", revision));
    for (int line = 1; line <= 2; line++) {
      Api.Answer read =
          cut.api.post(
              cut.path + "/voice/lines/" + line + "/narrate",
              Map.of("voice", "Merrin", "wordsPerMinute", 110, "manner", "EVEN"));
      assertThat(read.status()).as(read.text()).isEqualTo(204);
    }
    cut.film = cut.api.get(cut.path + "/film").json();
    return cut;
  }

  private static JsonNode words(EditedFilm cut, String query) {
    return cut.api.get(cut.path + "/film/words?" + query).json();
  }

  private static JsonNode title(EditedFilm cut) {
    return words(cut, "").get("titles").get(0);
  }

  private static Map<String, Object> onCut(EditedFilm cut, int place) {
    return Map.of("tie", "cut", "item", cut.shot(place).get("id").asString());
  }

  private static void add(EditedFilm cut, String design, String text, Map<String, ?> at) {
    cut.edit("add-title", Map.of("design", design, "text", text, "at", at));
  }

  @Test
  void aTitleLandsOnItsCutFollowsItAndIsChangedAndTakenOut() {
    EditedFilm cut = cut();
    add(cut, "Soft main title", "Night Post", onCut(cut, 2));
    assertThat(cut.film.get("titled").asInt()).isEqualTo(1);
    JsonNode title = title(cut);
    long frame = cut.joint(2).get("frame").asLong();
    assertThat(title.get("place").get("landing").asLong()).isEqualTo(frame);
    assertThat(title.get("place").get("start").asLong()).isEqualTo(frame - 16);
    assertThat(title.get("says").asString()).startsWith("cut into ");
    assertThat(title.get("stays").asDouble()).isGreaterThan(title.get("needs").asDouble());

    cut.edit("move-joint", Map.of("joint", 2, "to", Map.of("offset", 0, "frame", frame - 3)));
    assertThat(title(cut).get("place").get("landing").asLong())
        .isEqualTo(cut.joint(2).get("frame").asLong());

    Map<String, Object> lands = new HashMap<>();
    lands.put("id", title.get("id").asString());
    lands.put("at", Map.of("tie", "beat", "beat", 9, "offset", 0));
    lands.put("frames", 30);
    lands.put("until", Map.of("tie", "cut", "item", ""));
    cut.edit("land-title", lands);
    assertThat(title(cut).get("place").get("end").asLong())
        .isEqualTo(cut.film.get("length").asLong());
    assertThat(title(cut).get("says").asString()).contains("bar");

    change(cut, Map.of("words", Map.of("kind", "MAIN", "text", "Nachtpost", "second", "bald")));
    assertThat(title(cut).get("words").get("text").asString()).isEqualTo("Nachtpost");
    change(cut, Map.of("box", Map.of("x", 500, "y", 200, "width", 800), "shape", "9:16"));
    assertThat(title(cut).get("boxes")).hasSize(2);
    assertThat(title(cut).get("boxes").get(1).get("shape").asString()).isEqualTo("9:16");

    cut.edit("titles-out", Map.of("titles", List.of("title")));
    assertThat(words(cut, "").get("titles")).isEmpty();
    cut.undo();
    assertThat(title(cut).get("words").get("second").asString()).isEqualTo("bald");
  }

  private static void change(EditedFilm cut, Map<String, ?> to) {
    Map<String, Object> title = new HashMap<>(to);
    title.put("id", "title");
    cut.edit("change-title", Map.of("title", title));
  }

  @Test
  void aTitleIsSeenInThePictureFromItsFirstFrameOn() throws IOException {
    EditedFilm cut = cut();
    double without = light(cut, 90);
    double sooner = light(cut, 40);
    add(cut, "End card", "More", Map.of("tie", "free", "frame", 60));
    assertThat(light(cut, 90)).isNotEqualTo(without);
    assertThat(light(cut, 40)).isEqualTo(sooner);
    long after = cut.film.get("revision").asLong();
    String change =
        "{\"id\":\"title\",\"layer\":4,\"words\":{\"kind\":\"END\",\"text\":\"\",\"second\":\"\"}}";
    Api.Answer empty =
        cut.api.get(
            cut.path
                + "/preview/"
                + after
                + "/frames/90/titled.jpg?change="
                + URLEncoder.encode(change, StandardCharsets.UTF_8));
    assertThat(empty.status()).isEqualTo(422);
    assertThat(empty.detail()).contains("A title says nothing");
  }

  /** The mean of a still's green. */
  private static double light(EditedFilm cut, long frame) throws IOException {
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(cut.still(frame)));
    double sum = 0;
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        sum += image.getRGB(x, y) >> 8 & 0xff;
      }
    }
    return sum / image.getWidth() / image.getHeight();
  }

  @Test
  void whatCannotBeReadIsSaidWithWhatHelps() {
    EditedFilm cut = cut();
    add(cut, "Typed card", "lanterns", Map.of("tie", "free", "frame", 60));
    // Letters as dark as the night behind them.
    JsonNode plain = title(cut).get("lettering");
    assertThat(plain.get("colour").asInt()).isEqualTo(0xfbf3df);
    Map<String, Object> dark = new HashMap<>();
    plain.properties().forEach(e -> dark.put(e.getKey(), e.getValue()));
    dark.put("colour", 0x1a2740);
    dark.put("shadow", Map.of("away", 0, "softness", 0, "opacity", 0, "colour", 0));
    change(cut, Map.of("lettering", dark));
    JsonNode sight = cut.api.get(cut.path + "/film/titles/title/sight").json();
    assertThat(sight.get("least").asDouble()).isLessThan(sight.get("needed").asDouble());
    assertThat(sight.get("letters")).hasSize(8);
    assertThat(sight.get("remedies")).isNotEmpty();
    JsonNode plate =
        sight
            .get("remedies")
            .valueStream()
            .filter(r -> r.get("kind").asString().equals("PLATE"))
            .findFirst()
            .orElseThrow();
    change(cut, Map.of("lettering", plate.get("lettering")));
    JsonNode mended = cut.api.get(cut.path + "/film/titles/title/sight").json();
    assertThat(mended.get("least").asDouble()).isEqualTo(plate.get("ratio").asDouble());
    assertThat(mended.get("least").asDouble()).isGreaterThan(sight.get("least").asDouble());
  }

  @Test
  void captionsComeFromTheVoiceAndAreCorrectedAndTranslated() {
    EditedFilm cut = spoken();
    JsonNode captions = words(cut, "").get("captions").get("captions");
    assertThat(captions.valueStream().map(c -> c.get("lines").toString()).toList().toString())
        .contains("The water came at night,")
        .contains("nobody asks.");
    String line = captions.get(0).get("line").asString();
    cut.edit(
        "write-caption",
        Map.of("language", "en", "line", line, "text", "The water came, and it stayed."));
    assertThat(words(cut, "").get("captions").get("captions").get(0).get("lines").get(0).asString())
        .startsWith("The water came,");

    cut.edit("add-language", Map.of("language", "de", "translated", true));
    JsonNode german = words(cut, "language=de").get("captions");
    assertThat(german.get("said").toString()).contains("Wasser");
    assertThat(german.get("captions").get(0).get("start").asLong())
        .isEqualTo(captions.get(0).get("start").asLong());
    assertThat(cut.tryEdit("add-language", Map.of("language", "de", "translated", false)).detail())
        .isEqualTo("The film is captioned in de already.");
    assertThat(cut.tryEdit("add-language", Map.of("language", "fr", "translated", true)).detail())
        .contains("small dictionary");
    assertThat(cut.tryEdit("add-language", Map.of("language", "?", "translated", false)).detail())
        .contains("names no language");
    assertThat(words(cut, "").get("languages")).hasSize(2);
    cut.edit("language-out", Map.of("language", "de"));
    assertThat(words(cut, "").get("languages")).hasSize(1);
  }

  /** Who speaks, and what else is heard, for those who do not hear. */
  @Test
  void captionsTellWhoSpeaksAndWhatElseIsHeard() {
    EditedFilm cut = spoken();
    cut.edit("caption-look", Map.of("language", "en", "speakers", "NAMES"));
    JsonNode named = words(cut, "").get("captions");
    assertThat(named.at("/look/speakers").asString()).isEqualTo("NAMES");
    assertThat(named.at("/captions/0/lines/0").asString()).startsWith("Maren: The water");

    long sound =
        cut.api
            .post(cut.path + "/sounds/ask", Map.of("words", "knock"))
            .json()
            .get(0)
            .get("id")
            .asLong();
    long end =
        named.get("captions").valueStream().mapToLong(c -> c.get("end").asLong()).max().getAsLong();
    cut.edit(
        "lay-sound",
        Map.of("sound", sound, "at", Map.of("tie", "free", "frame", end + 20), "offset", 0));
    JsonNode laid = words(cut, "").at("/captions/sounds/0");
    assertThat(laid.get("text").asString()).isEmpty();
    String id = laid.get("sound").asString();
    cut.edit("caption-sounds", Map.of("language", "en", "texts", Map.of(id, "[somebody knocks]")));
    JsonNode told = words(cut, "").get("captions");
    assertThat(told.at("/sounds/0/crowded").asBoolean()).isFalse();
    JsonNode last = told.get("captions").get(told.get("captions").size() - 1);
    assertThat(last.get("lines").get(0).asString()).isEqualTo("[somebody knocks]");
    assertThat(last.get("start").asLong()).isEqualTo(end + 20);
    assertThat(cut.api.get(cut.path + "/film/captions.srt").text()).contains("[somebody knocks]");
    assertThat(
            cut.tryEdit(
                    "caption-sounds", Map.of("language", "en", "texts", Map.of("none", "[rain]")))
                .detail())
        .isEqualTo("That sound is not in the film any more.");
    cut.edit("caption-sounds", Map.of("language", "en", "texts", Map.of(id, "")));
    assertThat(words(cut, "").at("/captions/sounds/0/text").asString()).isEmpty();
  }

  @Test
  void captionsAreBrokenShorterInUprightPicturesAndBurnedWhereAsked() throws IOException {
    EditedFilm cut = spoken();
    assertThat(words(cut, "shape=9:16").get("captions").get("letters").asInt()).isEqualTo(24);
    long start = words(cut, "").get("captions").get("captions").get(0).get("start").asLong();
    double without = light(cut, start + 2);
    cut.edit("caption-look", Map.of("language", "en", "burned", List.of("16:9")));
    assertThat(light(cut, start + 2)).isNotEqualTo(without);
    assertThat(words(cut, "").get("captions").get("look").get("burned").toString())
        .isEqualTo("[\"16:9\"]");
  }

  @Test
  void captionsLeaveAndComeBackAsFiles() {
    EditedFilm cut = spoken();
    Api.Answer vtt = cut.api.get(cut.path + "/film/captions.vtt");
    assertThat(vtt.text()).startsWith("WEBVTT").contains("-->");
    assertThat(cut.api.get(cut.path + "/film/captions.doc").detail()).contains("srt, vtt or ttml");

    Api.Answer in = bring(cut, "de", "other.vtt", vtt.text().getBytes(StandardCharsets.UTF_8));
    assertThat(in.status()).as(in.text()).isEqualTo(200);
    cut.film = in.json().get("film");
    JsonNode german = words(cut, "language=de").get("captions");
    assertThat(german.get("own").asBoolean()).isTrue();
    assertThat(german.get("captions").size())
        .isEqualTo(words(cut, "").get("captions").get("captions").size());
    assertThat(german.get("captions").get(0).get("start"))
        .isEqualTo(words(cut, "").get("captions").get("captions").get(0).get("start"));

    String table = cut.api.get(cut.path + "/film/captions.csv?language=fr").text();
    assertThat(table).startsWith("line,read,fr");
    String french = "line,read,fr\r\n1,x,\"L'eau est venue la nuit.\"\r\n9,x,rien\r\n";
    Api.Answer told = bring(cut, "fr", "fr.csv", french.getBytes(StandardCharsets.UTF_8));
    assertThat(told.json().get("mended").toString()).contains("there is no line 9");
    cut.film = told.json().get("film");
    assertThat(words(cut, "language=fr").get("captions").get("captions").toString())
        .contains("L'eau est venue");
  }

  @Test
  void filesThatAreNoneAreRefusedAndNothingIsLost() {
    EditedFilm cut = spoken();
    long revision = cut.film.get("revision").asLong();
    assertThat(bring(cut, "de", "a.srt", new byte[10_000_000]).detail())
        .isEqualTo("a.srt has 10 MB; captions have up to 2 MB.");
    assertThat(bring(cut, "de", "a.srt", "nothing".getBytes(StandardCharsets.UTF_8)).detail())
        .contains("a.srt has no captions");
    assertThat(bring(cut, "de", "late.srt", late()).detail())
        .isEqualTo("late.srt has no captions inside of the film.");
    assertThat(bring(cut, "de", "t.csv", "a,b\n".getBytes(StandardCharsets.UTF_8)).detail())
        .contains("t.csv has no row that begins with a line's number");
    assertThat(cut.api.get(cut.path + "/film").json().get("revision").asLong()).isEqualTo(revision);
  }

  private static byte[] late() {
    return "1\n01:00:00,000 --> 01:00:02,000\nlate\n".getBytes(StandardCharsets.UTF_8);
  }

  private static Api.Answer bring(EditedFilm cut, String language, String name, byte[] content) {
    return cut.tryEdit(
        "bring-captions",
        Map.of(
            "language", language,
            "name", name,
            "content", Base64.getEncoder().encodeToString(content)));
  }

  /** A take is seen in a title's letters, in the film document too, until it is taken out. */
  @Test
  void aTakeIsSeenInATitlesLetters() throws IOException {
    EditedFilm cut = cut();
    add(cut, "Soft main title", "Night Post", onCut(cut, 2));
    byte[] coloured = still(cut);
    String take = cut.api.get(cut.path + "/material").json().at("/shots/0/takes/0/id").asString();
    change(cut, Map.of("picture", take));
    assertThat(title(cut).get("picture").asString()).isEqualTo(take);
    assertThat(still(cut)).isNotEqualTo(coloured);
    assertThat(cut.api.get(cut.path + "/film/titles/title/sight").json().get("least").asDouble())
        .isPositive();
    JsonNode document = cut.api.get(cut.path + "/film.json").json();
    assertThat(document.at("/film/titles/0/take").asString()).isEqualTo(take);
    assertThat(document.get("takes").valueStream().map(t -> t.get("id").asString())).contains(take);
    Api.Answer refused =
        cut.tryEdit("change-title", Map.of("title", Map.of("id", "title", "picture", "999999")));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.detail()).contains("no take 999999");
    change(cut, Map.of("picture", ""));
    assertThat(title(cut).get("picture").isNull()).isTrue();
    assertThat(still(cut)).isEqualTo(coloured);
  }

  /** The picture at the frame where the title has arrived. */
  private static byte[] still(EditedFilm cut) {
    return cut.still(title(cut).at("/place/landing").asLong());
  }

  /** How a title is made is kept under a name, and begins others in any production. */
  @Test
  void aTitleIsKeptAsADesignAndBeginsOthers() {
    EditedFilm cut = cut();
    add(cut, "Typed card", "lanterns", Map.of("tie", "free", "frame", 60));
    change(cut, Map.of("box", Map.of("x", 300, "y", 700, "width", 500)));
    Map<String, Object> kept =
        Map.of("production", Long.valueOf(cut.path.replaceAll("\\D", "")), "title", "title");
    assertThat(keep(cut, kept, "Low left").status()).isEqualTo(201);
    assertThat(keep(cut, kept, "Narrow card").detail()).contains("ships with the application");
    assertThat(keep(cut, kept, " ").detail()).contains("Give the design a name");

    EditedFilm other = cut();
    add(other, "Low left", "doors", Map.of("tie", "free", "frame", 30));
    assertThat(title(other).at("/boxes/0/x").asInt()).isEqualTo(300);
    assertThat(title(other).at("/words/text").asString()).isEqualTo("doors");
    assertThat(other.api.get("/api/title-designs").json().get("own").toString())
        .contains("Low left");
    assertThat(other.api.delete("/api/title-designs?name=Low+left").status()).isEqualTo(204);
    assertThat(other.api.get("/api/title-designs").json().get("own").toString())
        .doesNotContain("Low left");
    assertThat(title(other).at("/words/text").asString()).isEqualTo("doors");
  }

  private static Api.Answer keep(EditedFilm cut, Map<String, Object> title, String name) {
    Map<String, Object> wanted = new HashMap<>(title);
    wanted.put("name", name);
    return cut.api.post("/api/title-designs", wanted);
  }

  @Test
  void designsAndFacesAreThereToChooseFrom() {
    EditedFilm cut = cut();
    JsonNode choices = cut.api.get("/api/title-designs").json();
    assertThat(choices.get("designs").size()).isGreaterThanOrEqualTo(16);
    assertThat(choices.get("families").size()).isGreaterThanOrEqualTo(14);
    long revision = cut.film.get("revision").asLong();
    Api.Answer tile =
        cut.api.get(
            cut.path
                + "/preview/"
                + revision
                + "/frames/60/design.jpg?design=Narrow+card&text=now");
    assertThat(tile.type()).isEqualTo("image/jpeg");
    assertThat(
            cut.tryEdit(
                    "add-title",
                    Map.of("design", "none", "text", "x", "at", Map.of("tie", "free", "frame", 1)))
                .detail())
        .startsWith("There is no design “none”; choose one of: ");
  }

  /** An output has the captions it asks for in its pictures, whatever Words says for its shape. */
  @Test
  void anOutputHasItsOwnCaptions() {
    EditedFilm cut = spoken();
    for (String captions : new String[] {null, "", "en"}) {
      Map<String, Object> said = new HashMap<>();
      said.put("name", "Spoken");
      said.put("encoding", "MP4");
      said.put("quality", "SMALL");
      said.put("lines", 144);
      said.put("to", Map.of("tie", "free", "frame", 96));
      said.put("captions", captions);
      said.put("ticked", false);
      long id = cut.api.post(cut.path + "/outputs", said).json().get("id").asLong();
      cut.api.post(cut.path + "/outputs/" + id + "/render", Map.of());
    }
    cut.api.until(
        cut.path + "/masters",
        all -> all.valueStream().allMatch(m -> m.get("state").asString().equals("DONE")));
    assertThat(lastThree(cut, "stale")).containsExactly("false", "false", "false");
    List<byte[]> files =
        cut.api
            .get(cut.path + "/masters")
            .json()
            .valueStream()
            .map(
                m ->
                    Credentials.unsigned(
                        cut.api.get(cut.path + "/masters/" + m.get("id") + "/file").bytes()))
            .toList();
    assertThat(files.get(1)).as("none, as Words says").isEqualTo(files.get(2));
    assertThat(files.get(0)).as("read").isNotEqualTo(files.get(1));
    cut.edit("caption-look", Map.of("language", "en", "burned", List.of("16:9")));
    assertThat(lastThree(cut, "stale")).containsExactly("true", "false", "false");
    cut.edit("caption-look", Map.of("language", "en", "kind", "FEW_WORDS"));
    assertThat(lastThree(cut, "stale")).containsExactly("true", "false", "true");
  }

  private static List<String> lastThree(EditedFilm cut, String key) {
    List<String> all =
        cut.api
            .get(cut.path + "/outputs")
            .json()
            .valueStream()
            .map(o -> o.get(key).toString())
            .toList();
    return all.subList(all.size() - 3, all.size());
  }

  /**
   * What publishers lay over a shape is the film's to say, is undone, and titles are held to it.
   */
  @Test
  void aSafeAreaIsSetForAShapeAndATitleOutsideOfItIsSaid() {
    EditedFilm cut = cut();
    cut.edit(
        "add-title", Map.of("design", "Name at the edge", "text", "Maren", "at", onCut(cut, 1)));
    JsonNode usual = words(cut, "shape=9:16").get("safe");
    assertThat(usual.toString())
        .isEqualTo(
            "{\"left\":50,\"top\":50,\"right\":120,\"bottom\":180,\"zones\":[],\"usual\":true}");
    assertThat(outside(cut)).isZero();
    Map<String, Object> area = Map.of("left", 300, "top", 50, "right", 50, "bottom", 400);
    cut.edit("set-safe-area", Map.of("shape", "16:9", "area", area));
    assertThat(words(cut, "").at("/safe/left").asInt()).isEqualTo(300);
    assertThat(words(cut, "shape=9:16").get("safe")).isEqualTo(usual);
    assertThat(outside(cut)).isPositive();
    cut.undo();
    assertThat(outside(cut)).isZero();
    assertThat(
            cut.tryEdit(
                    "set-safe-area",
                    Map.of(
                        "shape",
                        "16:9",
                        "area",
                        Map.of("left", 500, "top", 0, "right", 0, "bottom", 0)))
                .detail())
        .isEqualTo("0 to 40 % are kept free at a side of the picture, not 50.0.");
  }

  private static double outside(EditedFilm cut) {
    return sight(cut).get("outside").asDouble();
  }

  /** A column of buttons over the picture is a zone of its shape: titles and captions keep off. */
  @Test
  void aZoneIsKeptFreeInAShape() {
    EditedFilm cut = cut();
    cut.edit(
        "add-title", Map.of("design", "Name at the edge", "text", "Maren", "at", onCut(cut, 1)));
    String id = title(cut).get("id").asString();
    Map<String, Object> right = Map.of("x", 800, "y", 600, "width", 300);
    cut.edit("change-title", Map.of("title", Map.of("id", id, "box", right)));
    assertThat(sight(cut).get("crowds").asBoolean()).isFalse();
    Map<String, Integer> buttons = Map.of("left", 700, "top", 450, "right", 1000, "bottom", 800);
    Map<String, Object> area =
        Map.of("left", 50, "top", 50, "right", 50, "bottom", 50, "zones", List.of(buttons));
    cut.edit("set-safe-area", Map.of("shape", "16:9", "area", area));
    assertThat(words(cut, "").at("/safe/zones/0/left").asInt()).isEqualTo(700);
    assertThat(words(cut, "shape=9:16").at("/safe/zones")).isEmpty();
    assertThat(sight(cut).get("crowds").asBoolean()).isTrue();
    assertThat(cut.api.get(cut.path + "/film.json").json().at("/film/safe/0/zones/0/right").asInt())
        .isEqualTo(1000);
    takeMove(cut, id, sight(cut));
    assertThat(sight(cut).get("crowds").asBoolean()).isFalse();
    Map<String, Integer> none = Map.of("left", 700, "top", 450, "right", 700, "bottom", 800);
    Map<String, Object> wrong =
        Map.of("left", 50, "top", 50, "right", 50, "bottom", 50, "zones", List.of(none));
    assertThat(cut.tryEdit("set-safe-area", Map.of("shape", "16:9", "area", wrong)).detail())
        .contains("takes up a fiftieth");
  }

  /** An end card leaves room for what its publisher lays over it; words there are moved clear. */
  @Test
  void anEndCardLeavesRoomForItsPublisher() {
    EditedFilm cut = cut();
    cut.edit("add-title", Map.of("design", "End card", "text", "More soon", "at", onCut(cut, 1)));
    assertThat(words(cut, "").get("reserved")).hasSize(3);
    assertThat(words(cut, "shape=9:16").get("reserved")).isEmpty();
    assertThat(sight(cut).get("crowds").asBoolean()).isFalse();
    String id = title(cut).get("id").asString();
    Map<String, Object> middle = Map.of("x", 300, "y", 500, "width", 400);
    cut.edit("change-title", Map.of("title", Map.of("id", id, "box", middle)));
    JsonNode crowded = sight(cut);
    assertThat(crowded.get("crowds").asBoolean()).isTrue();
    takeMove(cut, id, crowded);
    assertThat(sight(cut).get("crowds").asBoolean()).isFalse();
  }

  /** Of a title that turns, the page that stands worst is told: here the second, which is wide. */
  @Test
  void aTitleThatTurnsIsMeasuredPageByPage() {
    EditedFilm cut = cut();
    String text = "one\n\na page that is so long that it comes near to both sides of the picture";
    cut.edit("add-title", Map.of("design", "Narrow card", "text", text, "at", onCut(cut, 1)));
    JsonNode made = title(cut);
    Map<String, Object> moves = new HashMap<>();
    made.get("movement").properties().forEach(e -> moves.put(e.getKey(), e.getValue()));
    moves.put("course", "TURNS");
    Map<String, Object> box = Map.of("x", 500, "y", 500, "width", 1500);
    cut.edit(
        "change-title",
        Map.of("title", Map.of("id", made.get("id").asString(), "movement", moves, "box", box)));
    cut.edit(
        "land-title", Map.of("id", made.get("id").asString(), "at", onCut(cut, 1), "frames", 200));
    JsonNode sight = sight(cut);
    assertThat(sight.at("/letters/0/text").asString()).isEqualToIgnoringCase("a");
    assertThat(sight.get("outside").asDouble()).isPositive();
  }

  /** Has a title moved to where it is offered that it stands clear. */
  static void takeMove(EditedFilm cut, String id, JsonNode sight) {
    JsonNode move =
        sight
            .get("remedies")
            .valueStream()
            .filter(r -> r.get("kind").asString().equals("MOVE"))
            .findFirst()
            .orElseThrow();
    cut.edit("change-title", Map.of("title", Map.of("id", id, "box", move.get("box"))));
  }

  private static JsonNode sight(EditedFilm cut) {
    String id = title(cut).get("id").asString();
    return cut.api.get(cut.path + "/film/titles/" + id + "/sight").json();
  }
}
