package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mp4parser.Box;
import org.mp4parser.IsoFile;
import org.mp4parser.boxes.iso14496.part12.MovieBox;
import org.mp4parser.boxes.iso14496.part12.MovieHeaderBox;
import org.mp4parser.boxes.iso14496.part12.TrackBox;
import tools.jackson.databind.JsonNode;

/** What a production delivers: outputs in every encoding, checks before them, the sheet beside. */
class OutputsTest {
  private static final EditedFilm CUT = EditedFilm.make(RunningServer.shared().api(), 12);

  @TempDir private Path folder;

  private static Map<String, Object> said(String name, String encoding, long from, long to) {
    Map<String, Object> said = new HashMap<>();
    said.put("name", name);
    said.put("encoding", encoding);
    said.put("quality", "SMALL");
    said.put("lines", 144);
    said.put("from", Map.of("tie", "free", "frame", from));
    said.put("to", Map.of("tie", "free", "frame", to));
    said.put("loudness", -16);
    said.put("peak", -1);
    said.put("ticked", false);
    return said;
  }

  private static JsonNode output(long id) {
    return CUT.api
        .get(CUT.path + "/outputs")
        .json()
        .valueStream()
        .filter(o -> o.get("id").asLong() == id)
        .findFirst()
        .orElseThrow();
  }

  /** Adds an output and renders it to its end. */
  private static JsonNode made(Map<String, Object> said) {
    Api.Answer added = CUT.api.post(CUT.path + "/outputs", said);
    assertThat(added.status()).as(added.text()).isEqualTo(201);
    long id = added.json().get("id").asLong();
    CUT.api.post(CUT.path + "/outputs/" + id + "/render", Map.of());
    CUT.api.until(
        CUT.path + "/outputs",
        all ->
            all.valueStream()
                .filter(o -> o.get("id").asLong() == id)
                .anyMatch(
                    o ->
                        !List.of("WAITING", "RENDERING", "CHECKING")
                            .contains(o.get("master").get("state").asString())));
    JsonNode output = output(id);
    assertThat(output.get("master").get("state").asString())
        .as(output.toString())
        .isEqualTo("DONE");
    return output;
  }

  private static byte[] file(JsonNode output) {
    return CUT.api
        .get(CUT.path + "/masters/" + output.get("master").get("id").asLong() + "/file")
        .bytes();
  }

  private MediaFacts facts(JsonNode output) throws IOException {
    return Probe.probe(Files.write(folder.resolve("file"), file(output)));
  }

  @Test
  void mostFilmsNeedTheseAtFirst() {
    JsonNode all = CUT.api.get(CUT.path + "/outputs").json();
    assertThat(all.get(0).get("label").asString()).isEqualTo("MP4, H.264 and AAC");
    assertThat(all.get(1).get("shape").asString()).isEqualTo("9:16");
    assertThat(all.get(0).get("said").get("ticked").asBoolean()).isTrue();
    assertThat(all.get(0).get("end").asLong()).isEqualTo(CUT.film.get("length").asLong());
  }

  /** Each is read back by ffprobe as what it was to be, and is as long as it was to be. */
  @Test
  void everyEncodingIsReadBack() throws IOException {
    Map<String, String> codecs =
        Map.of(
            "MP4_HEVC", "hevc",
            "WEBM_VP9", "vp9",
            "WEBM_AV1", "av1",
            "MOV_422", "prores",
            "GIF", "gif",
            "FLAC", "flac",
            "MP3", "mp3",
            "OPUS", "opus",
            "WAV", "pcm_s24le");
    for (Map.Entry<String, String> e : codecs.entrySet()) {
      MediaFacts facts = facts(made(said("as " + e.getKey(), e.getKey(), 24, 60)));
      assertThat(facts.codec()).as(e.getKey()).isEqualTo(e.getValue());
      assertThat(facts.seconds()).as(e.getKey()).isCloseTo(1.5, within(0.06));
    }
  }

  @Test
  void picturesOfEachFrameAreZipped() throws IOException {
    List<String> names = names(file(made(said("frames", "PNG", 0, 5))));
    assertThat(names)
        .containsExactly("000000.png", "000001.png", "000002.png", "000003.png", "000004.png");
  }

  /** Of its part the first frame, as the engine draws it. */
  @Test
  void oneFrameLeavesAsAPicture() throws IOException {
    JsonNode made = made(said("poster", "STILL", 31, 60));
    assertThat(made.get("frames").asLong()).isEqualTo(1);
    MediaFacts facts = facts(made);
    assertThat(facts.kind()).isEqualTo(MediaFacts.Kind.STILL);
    assertThat(facts.shape().orElseThrow().width()).isEqualTo(256);
    assertThat(made.get("master").get("message").asString()).contains("1 picture");
  }

  @Test
  void captionsAreZipped() throws IOException {
    assertThat(names(file(made(said("captions", "CAPTIONS", 0, 40)))))
        .containsExactly("en.srt", "en.vtt");
  }

  private static List<String> names(byte[] zipped) throws IOException {
    List<String> names = new ArrayList<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(zipped))) {
      ZipEntry entry = zip.getNextEntry();
      while (entry != null) {
        names.add(entry.getName());
        entry = zip.getNextEntry();
      }
    }
    return names;
  }

  /** A wished size is met within 3 %. */
  @Test
  void aFileIsAsLargeAsWished() throws IOException {
    Map<String, Object> said = said("sized", "MP4", 0, 120);
    said.put("lines", 360);
    said.put("megabytes", 0.6);
    JsonNode output = made(said);
    assertThat(output.get("master").get("bytes").asDouble()).isCloseTo(600_000, within(18_000.0));
    assertThat(facts(output).frames()).isEqualTo(120);
  }

  /** A loop's pictures get smaller until it keeps to its limit. */
  @Test
  void aLoopKeepsToItsLimit() throws IOException {
    for (String encoding : List.of("GIF", "WEBP")) {
      Map<String, Object> said = said("loop", encoding, 0, 24);
      said.put("lines", 360);
      long free = made(said).get("master").get("bytes").asLong();
      long limit = Math.max(100_000, free / 2);
      said.put("megabytes", limit / 1e6);
      JsonNode small = made(said);
      assertThat(free).as(encoding).isGreaterThan(limit);
      assertThat(small.get("master").get("bytes").asLong()).as(encoding).isLessThan(limit + 1);
      if (encoding.equals("GIF")) {
        assertThat(facts(small).shape().orElseThrow().width()).isBetween(100, 620);
      }
    }
  }

  /** A few seconds tell how large all of it will be, and are not drawn again. */
  @Test
  void aSizeIsToldBefore() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 20);
    Map<String, Object> said = said("{film}", "MP4", 0, 0);
    said.put("from", null);
    said.put("to", null);
    JsonNode output = cut.api.post(cut.path + "/outputs", said).json();
    assertThat(output.get("bytes").isNull()).isTrue();
    assertThat(output.get("measurable").asBoolean()).isTrue();
    String path = cut.path + "/outputs/" + output.get("id").asLong();
    JsonNode told = cut.api.post(path + "/measure", Map.of()).json();
    assertThat(told.get("toRender").asInt()).isEqualTo(told.get("segments").asInt() - 3);
    cut.api.post(path + "/render", Map.of());
    cut.api.until(cut.path + "/masters", all -> all.get(0).get("state").asString().equals("DONE"));
    double is = last(cut).get("master").get("bytes").asDouble();
    assertThat(told.get("bytes").asDouble()).isBetween(0.6 * is, 1.6 * is);
    for (String encoding : List.of("GIF", "WEBM_VP9")) {
      said.put("encoding", encoding);
      String other =
          cut.path + "/outputs/" + cut.api.post(cut.path + "/outputs", said).json().get("id");
      JsonNode measured = cut.api.post(other + "/measure", Map.of()).json();
      cut.api.post(other + "/render", Map.of());
      cut.api.until(
          cut.path + "/masters", all -> all.get(0).get("state").asString().equals("DONE"));
      JsonNode made = last(cut).get("master");
      assertThat(measured.get("bytes").asDouble())
          .as(encoding)
          .isBetween(0.5 * made.get("bytes").asDouble(), 2 * made.get("bytes").asDouble());
      assertThat(made.get("framesWritten").asLong()).as(encoding).isPositive();
    }
    said.put("encoding", "STILL");
    long still = cut.api.post(cut.path + "/outputs", said).json().get("id").asLong();
    assertThat(cut.api.post(cut.path + "/outputs/" + still + "/measure", Map.of()).detail())
        .contains("no wished size");
  }

  @Test
  void namesSayWhatAnOutputIs() {
    Map<String, Object> said = said("{film}, {shape} at {lines}", "MP4", 0, 12);
    said.put("shape", "1:1");
    JsonNode output = made(said);
    assertThat(output.get("called").asString()).isEqualTo("Cut, 1x1 at 144");
    assertThat(output.get("master").get("name").asString()).isEqualTo("Cut, 1x1 at 144");
    long id = output.get("master").get("id").asLong();
    assertThat(CUT.api.post(CUT.path + "/masters/" + id + "/first", Map.of()).detail())
        .contains("not waiting");
  }

  /** What is longer than its place takes must be put right, where it is rendered. */
  @Test
  void aPlaceTakesSoMuch() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 8);
    Map<String, Object> said = said("Short", "MP4", 0, 120);
    said.put("longest", 4);
    said.put("ticked", true);
    JsonNode output = cut.api.post(cut.path + "/outputs", said).json();
    assertThat(of(checks(cut, "FILM"), "LENGTH").stream().map(f -> f.get("said").asString()))
        .contains("Short is 1.0 s longer than the 4 s its place takes");
    said.put("longest", 5);
    cut.api.json("PUT", cut.path + "/outputs/" + output.get("id").asLong(), said);
    assertThat(of(checks(cut, "FILM"), "LENGTH"))
        .noneMatch(f -> f.get("verdict").asString().equals("MUST"));
  }

  /** Presets are kept of outputs, written as documents, and begin outputs of any film. */
  @Test
  void presetsAreKeptAndEdited() {
    Api api = CUT.api;
    assertThat(api.get("/api/presets").json().valueStream().map(p -> p.get("name").asString()))
        .contains("Wide film", "Upright short, up to 60 s", "Square loop", "Archive");
    Map<String, Object> said = said("{film}, teaser", "MP4", 0, 12);
    Map<String, Object> tied = Map.of("name", "Teaser", "said", said);
    assertThat(api.post("/api/presets", tied).detail()).contains("for any film");
    said.put("from", null);
    said.put("to", null);
    JsonNode kept = api.post("/api/presets", Map.of("name", "Teaser", "said", said)).json();
    Api.Answer file = api.get("/api/presets/" + kept.get("id").asLong() + "/document");
    assertThat(file.text()).isEqualTo(kept.get("text").asString());
    String edited = file.text().replace("\"lines\":144", "\"lines\":480");
    JsonNode again = api.post("/api/presets/document", Map.of("text", edited)).json();
    assertThat(again.get("id")).as("in place of the first").isEqualTo(kept.get("id"));
    assertThat(again.get("said").get("lines").asInt()).isEqualTo(480);
    JsonNode added = api.post(CUT.path + "/outputs", again.get("said")).json();
    assertThat(added.get("called").asString()).isEqualTo("Cut, teaser");
    assertThat(added.get("height").asInt()).isEqualTo(480);
    for (String bad :
        List.of("", "{}", "[1]", "{\"format\": 1, \"name\": \"x\"}", "{\"format\": 9}")) {
      Api.Answer refused = api.post("/api/presets/document", Map.of("text", bad));
      assertThat(refused.status()).as(bad + refused.text()).isEqualTo(422);
    }
    api.delete("/api/presets/" + kept.get("id").asLong());
    assertThat(api.get("/api/presets").text()).doesNotContain("Teaser");
  }

  /** What another reader than ffmpeg (mp4parser) finds in the boxes of MP4 and MOV. */
  @Test
  void boxesAreReadByAnotherReader() throws IOException {
    for (String encoding : List.of("MP4", "MP4_HEVC", "MOV_422")) {
      Path file = Files.write(folder.resolve("boxes"), file(made(said("boxes", encoding, 0, 36))));
      try (IsoFile boxes = new IsoFile(file.toFile())) {
        List<String> order = boxes.getBoxes().stream().map(Box::getType).toList();
        assertThat(order.indexOf("moov"))
            .as("can be played before it is all there")
            .isBetween(1, order.indexOf("mdat"));
        assertThat(order).as("says where it is from").contains("uuid");
        MovieBox movie = boxes.getMovieBox();
        assertThat(seconds(movie.getMovieHeaderBox())).as(encoding).isCloseTo(1.5, within(0.05));
        List<TrackBox> tracks = movie.getBoxes(TrackBox.class);
        assertThat(tracks.stream().map(t -> t.getMediaBox().getHandlerBox().getHandlerType()))
            .as(encoding)
            .containsOnlyOnce("vide", "soun");
        for (TrackBox track : tracks) {
          if (track.getMediaBox().getHandlerBox().getHandlerType().equals("soun")) {
            // QuickTime counts languages: English is 0, which the reader takes for three accents.
            assertThat(track.getMediaBox().getMediaHeaderBox().getLanguage())
                .isEqualTo(encoding.equals("MOV_422") ? "```" : "eng");
          } else if (track.getMediaBox().getHandlerBox().getHandlerType().equals("vide")) {
            assertThat(track.getTrackHeaderBox().getHeight()).isEqualTo(144);
          }
        }
      }
    }
  }

  private static double seconds(MovieHeaderBox header) {
    return (double) header.getDuration() / header.getTimescale();
  }

  /** An output's file says its title and that it was generated; one ordered beside them is bare. */
  @Test
  void aFileSaysWhereItIsFrom() {
    String file = new String(file(made(said("tagged", "MP4", 0, 30))), StandardCharsets.ISO_8859_1);
    assertThat(file)
        .contains("digitalsourcetype/compositeWithTrainedAlgorithmicMedia")
        .contains("All pictures are generated.");
  }

  /** What the C2PA's own reader makes of files that leave, and of one that was changed since. */
  @Test
  void whatLeavesIsSigned() throws IOException {
    Path film = Files.write(folder.resolve("signed.mp4"), file(made(said("signed", "MP4", 0, 30))));
    Path archive =
        Files.write(folder.resolve("signed.mov"), file(made(said("archive", "MOV_422", 0, 30))));
    byte[] jpeg = CUT.api.get(CUT.path + "/film/thumbnail.jpg?frame=12").bytes();
    Path thumbnail = Files.write(folder.resolve("signed.jpg"), jpeg);
    byte[] other = Files.readAllBytes(film);
    other[other.length / 2] ^= 1;
    Path changed = Files.write(folder.resolve("changed.mp4"), other);
    JsonNode read =
        Credentials.read(
            Map.of(film, "video/mp4", archive, "video/quicktime", thumbnail, "image/jpeg"));
    for (JsonNode one : read) {
      assertThat(one.path("validation_state").asString()).as(one.toString()).isEqualTo("Valid");
      JsonNode manifest = one.path("manifests").path(one.path("active_manifest").asString());
      assertThat(manifest.toString())
          .contains("c2pa.created", "digitalsourcetype/compositeWithTrainedAlgorithmicMedia");
      assertThat(manifest.path("signature_info").path("issuer").asString())
          .isEqualTo("Late Thistle");
    }
    assertThat(read).hasSize(3);
    JsonNode broken = Credentials.read(Map.of(changed, "video/mp4")).get(0);
    assertThat(broken.path("validation_state").asString()).isEqualTo("Invalid");
    assertThat(broken.path("validation_status").toString()).contains("bmffHash.mismatch");
  }

  /**
   * The picture that was chosen for the film's shelf is in its MP4 and beside its sound, and
   * chapters stay as they were.
   */
  @Test
  void filesHaveTheirThumbnailAsCover() throws IOException {
    Map<String, Object> sheet = new HashMap<>();
    sheet.put("title", "Water road");
    sheet.put("description", "");
    sheet.put("chapters", true);
    sheet.put("tags", List.of());
    sheet.put("generated", true);
    sheet.put("rights", Map.of());
    sheet.put("thumbnail", 18);
    assertThat(CUT.api.json("PUT", CUT.path + "/release", sheet).status()).isEqualTo(200);
    Path mp4 = Files.write(folder.resolve("cover.mp4"), file(made(said("covered", "MP4", 6, 30))));
    BufferedImage cover = picture(mp4, "0:v:1", "0");
    BufferedImage frame = picture(mp4, "0:v:0", "0.5");
    assertThat(apart(cover, frame)).isLessThan(3);
    for (String encoding : List.of("FLAC", "MP3", "OPUS")) {
      Path sound = Files.write(folder.resolve("sound"), file(made(said("heard", encoding, 6, 30))));
      BufferedImage beside = picture(sound, "0:v:0", "0");
      assertThat(beside.getWidth()).as(encoding).isEqualTo(cover.getWidth());
      assertThat(apart(beside, cover)).as(encoding).isLessThan(2);
    }
    byte[] webm = file(made(said("not covered", "WEBM_VP9", 6, 30)));
    assertThat(webm).isNotEmpty();
    sheet.put("thumbnail", null);
    CUT.api.json("PUT", CUT.path + "/release", sheet);
  }

  /** How far two pictures are apart in their green, in codes a pixel. */
  private static double apart(BufferedImage one, BufferedImage other) {
    double apart = 0;
    for (int y = 0; y < one.getHeight(); y++) {
      for (int x = 0; x < one.getWidth(); x++) {
        int green = new Color(one.getRGB(x, y)).getGreen();
        apart += Math.abs(green - new Color(other.getRGB(x, y)).getGreen());
      }
    }
    return apart / one.getWidth() / one.getHeight();
  }

  private BufferedImage picture(Path film, String stream, String at) throws IOException {
    Path png = folder.resolve("picture.png");
    Files.deleteIfExists(png);
    Process ffmpeg =
        new ProcessBuilder(
                "ffmpeg",
                "-v",
                "error",
                "-y",
                "-i",
                film.toString(),
                "-ss",
                at,
                "-map",
                stream,
                "-frames:v",
                "1",
                png.toString())
            .inheritIO()
            .start();
    try {
      assertThat(ffmpeg.waitFor()).isZero();
    } catch (InterruptedException e) {
      throw new IOException(e);
    }
    return ImageIO.read(png.toFile());
  }

  @Test
  void anOutputIsStaleWhenTheFilmChanges() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 8);
    Map<String, Object> said = said("stale", "WAV", 0, 40);
    said.put("from", null);
    said.put("to", null);
    long id = cut.api.post(cut.path + "/outputs", said).json().get("id").asLong();
    cut.api.post(cut.path + "/outputs/" + id + "/render", Map.of());
    cut.api.until(
        cut.path + "/outputs",
        all -> all.get(all.size() - 1).get("master").get("state").asString().equals("DONE"));
    assertThat(last(cut).get("stale").asBoolean()).isFalse();
    cut.edit("set-song", Map.of("startSeconds", 1.0, "fade", 12));
    assertThat(last(cut).get("stale").asBoolean()).isTrue();
  }

  private static JsonNode last(EditedFilm cut) {
    JsonNode all = cut.api.get(cut.path + "/outputs").json();
    return all.get(all.size() - 1);
  }

  @Test
  void whatCannotBeMadeIsRefusedOrSaid() {
    Map<String, Object> said = said("", "MP4", 0, 10);
    assertThat(CUT.api.post(CUT.path + "/outputs", said).detail()).contains("name");
    said = said("large", "PNG", 0, 10);
    said.put("megabytes", 3);
    assertThat(CUT.api.post(CUT.path + "/outputs", said).detail()).contains("as large as wished");
    said = said("{date}", "MP4", 0, 10);
    assertThat(CUT.api.post(CUT.path + "/outputs", said).detail()).contains("{film}, {shape}");
    said = said("unread", "MP4", 0, 10);
    said.put("captions", "fr");
    JsonNode unread = CUT.api.post(CUT.path + "/outputs", said).json();
    assertThat(unread.get("fault").asString()).contains("no captions in “fr”");
    CUT.api.delete(CUT.path + "/outputs/" + unread.get("id").asLong());
    JsonNode backward = CUT.api.post(CUT.path + "/outputs", said("back", "MP4", 30, 20)).json();
    assertThat(backward.get("fault").asString()).contains("would end before it begins");
    assertThat(
            CUT.api
                .post(CUT.path + "/outputs/" + backward.get("id").asLong() + "/render", Map.of())
                .status())
        .isEqualTo(422);
  }

  private static JsonNode checks(EditedFilm cut, String group) {
    String path = cut.path + "/film/checks?group=" + group;
    cut.api.until(path, view -> view.get("done").asInt() == view.get("of").asInt());
    return cut.api.get(path).json();
  }

  private static List<JsonNode> of(JsonNode checks, String check) {
    return checks
        .get("findings")
        .valueStream()
        .filter(f -> f.get("check").asString().equals(check))
        .toList();
  }

  /** A title that is gone too soon is told, stays longer with one act, and is fine then. */
  @Test
  void aFindingIsPutRight() {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 10);
    cut.edit(
        "add-title",
        Map.of(
            "design", "Soft main title",
            "text", "A title of many words that nobody reads in so short a time",
            "at", Map.of("tie", "free", "frame", 30)));
    String title =
        cut.api.get(cut.path + "/film/words").json().get("titles").get(0).get("id").asString();
    cut.edit(
        "land-title", Map.of("id", title, "at", Map.of("tie", "free", "frame", 30), "frames", 12));
    JsonNode told = of(checks(cut, "FILM"), "TITLES").get(0);
    assertThat(told.get("verdict").asString()).isEqualTo("LOOK");
    assertThat(told.get("room").asString()).isEqualTo("WORDS");
    Api.Answer mended =
        cut.api.post(
            cut.path + "/film/checks/mend",
            Map.of(
                "revision",
                cut.api.get(cut.path + "/film").json().get("revision").asLong(),
                "group",
                "FILM",
                "key",
                told.get("key").asString(),
                "way",
                0));
    assertThat(mended.status()).as(mended.text()).isEqualTo(200);
    assertThat(of(checks(cut, "FILM"), "TITLES").get(0).get("verdict").asString())
        .isEqualTo("FINE");
    // It is done already.
    Api.Answer again =
        cut.api.post(
            cut.path + "/film/checks/mend",
            Map.of(
                "revision",
                mended.json().get("revision").asLong(),
                "group",
                "FILM",
                "key",
                told.get("key").asString(),
                "way",
                0));
    assertThat(again.status()).isEqualTo(422);
  }

  @Test
  void picturesAndSoundAreLookedAt() {
    JsonNode pictures = checks(CUT, "PICTURES");
    assertThat(of(pictures, "BLACK")).isNotEmpty();
    assertThat(of(pictures, "FLASHES").get(0).get("verdict").asString()).isEqualTo("FINE");
    JsonNode sound = checks(CUT, "SOUND");
    assertThat(of(sound, "PEAK").get(0).get("verdict").asString()).isEqualTo("FINE");
  }

  @Test
  void aSheetIsWrittenHandedOverAndSaved() throws IOException {
    EditedFilm cut = EditedFilm.make(RunningServer.shared().api(), 8);
    JsonNode view = cut.api.get(cut.path + "/release").json();
    assertThat(of(checks(cut, "FILM"), "RIGHTS").get(0).get("verdict").asString())
        .isEqualTo("MUST");
    JsonNode refused = cut.api.post(cut.path + "/release/hand-over", Map.of()).json();
    assertThat(refused.get("taken").asBoolean()).isFalse();
    Map<String, String> rights = new HashMap<>();
    view.get("assets").forEach(a -> rights.put(a.get("key").asString(), "own"));
    Map<String, Object> sheet = new HashMap<>();
    sheet.put("title", "Water road");
    sheet.put("description", "Over the dark water.");
    sheet.put("chapters", true);
    sheet.put("tags", List.of("winter", "winter", " night "));
    sheet.put("generated", true);
    sheet.put("rights", rights);
    JsonNode kept = cut.api.json("PUT", cut.path + "/release", sheet).json();
    assertThat(kept.get("sheet").get("tags").toString()).isEqualTo("[\"winter\",\"night\"]");
    assertThat(of(checks(cut, "FILM"), "RIGHTS").get(0).get("verdict").asString())
        .isEqualTo("FINE");
    JsonNode taken = cut.api.post(cut.path + "/release/hand-over", Map.of()).json();
    assertThat(taken.get("taken").asBoolean()).as(taken.toString()).isTrue();
    assertThat(cut.api.get(cut.path + "/release/sheet.txt").text())
        .startsWith("Water road\n\nOver the dark water.")
        .contains("All pictures are generated.")
        .doesNotContain("not stated");
    Api.Answer pdf = cut.api.get(cut.path + "/release/sheet.pdf");
    assertThat(pdf.type()).isEqualTo("application/pdf");
    try (PDDocument pages = Loader.loadPDF(pdf.bytes())) {
      assertThat(new PDFTextStripper().getText(pages))
          .contains("Over the dark water.", "All pictures are generated.", "Sources and rights");
    }
    sheet.put("title", "w".repeat(101));
    assertThat(cut.api.json("PUT", cut.path + "/release", sheet).detail()).contains("100 letters");
  }

  /** A thumbnail says that it was generated. */
  @Test
  void thumbnailsAreOfferedAndSaved() {
    JsonNode found = CUT.api.get(CUT.path + "/film/thumbnails").json();
    assertThat(found.size()).isBetween(1, 5);
    long frame = found.get(0).get("frame").asLong();
    byte[] jpeg = CUT.api.get(CUT.path + "/film/thumbnail.jpg?frame=" + frame).bytes();
    assertThat(jpeg).startsWith(0xff, 0xd8, 0xff, 0xe1);
    assertThat(new String(jpeg, 0, 1500, StandardCharsets.ISO_8859_1))
        .contains("compositeWithTrainedAlgorithmicMedia");
  }
}
