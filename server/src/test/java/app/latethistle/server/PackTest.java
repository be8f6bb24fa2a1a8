package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.latethistle.cli.Thistle;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A production leaves as one zip and comes in elsewhere as the same. */
class PackTest {
  private static final String SCRIPT =
      "## The jetty\n\nMaren (V.O.): The water came at night, and it really stayed.\n";

  private static final Map<String, Object> ORDER =
      Map.of("name", "Master", "size", "PRODUCTION", "rate", "24", "quality", "SMALL");

  private static final String STYLE = "Packed house";

  private static EditedFilm cut;
  private static byte[] zip;
  private static byte[] master;

  @TempDir private Path folder;

  /** A film of all that there is: voice, words, a look, sounds, a version, a sheet, outputs. */
  @BeforeAll
  static void pack() throws IOException {
    cut = EditedFilm.make(RunningServer.shared().api(), 10);
    long revision = cut.api.get(cut.path + "/story").json().get("revision").asLong();
    Map<String, Object> script = Map.of("text", SCRIPT, "fileName", "", "revision", revision);
    cut.api.json("PUT", cut.path + "/story/script", script);
    Map<String, Object> voice = Map.of("voice", "Merrin", "wordsPerMinute", 120, "manner", "EVEN");
    cut.api.post(cut.path + "/voice/lines/1/narrate", voice);
    cut.film = cut.api.get(cut.path + "/film").json();
    JsonNode line = cut.film.get("voice").get(0);
    Map<String, Object> onWord =
        Map.of("line", line.get("line").asString(), "word", 2, "edge", "START");
    cut.edit(
        "move-joint", Map.of("joint", 2, "to", Map.of("word", onWord, "offset", 1, "frame", 0)));
    cut.api.post(cut.path + "/film/versions", Map.of("name", "before the look"));
    Map<String, Object> shake = Map.of("kind", "SHAKE", "bypassed", false);
    String first = cut.shot(0).get("id").asString();
    cut.edit("set-treatments", Map.of("items", List.of(first), "treatments", List.of(shake)));
    cut.edit(
        "bring-in-colours",
        Map.of(
            "items", List.of(""),
            "file", "lifted.cube",
            "text", "LUT_1D_SIZE 2\n0.1 0.1 0.1\n1 1 1\n"));
    String second = cut.shot(1).get("id").asString();
    cut.edit("group-shots", Map.of("items", List.of(first, second), "name", "the jetty"));
    JsonNode still =
        cut.api.bytes(cut.path + "/film/look/stills?name=dusk.png", LookTest.png(0xb04030)).json();
    cut.edit("choose-key-still", Map.of("picture", still.get("picture").asString()));
    cut.edit("add-language", Map.of("language", "de", "translated", true));
    JsonNode sound =
        cut.api.post(cut.path + "/sounds/ask", Map.of("words", "dull thud")).json().get(0);
    Map<String, Object> lands = Map.of("tie", "free", "frame", 30);
    cut.edit("lay-sound", Map.of("sound", sound.get("id").asLong(), "at", lands, "offset", 0));
    cut.edit("add-title", Map.of("design", "Soft main title", "text", "Night Post", "at", lands));
    setInAnOwnFace();
    cut.api.post(cut.path + "/style/keep", Map.of("name", STYLE));
    Api.Answer packed = cut.api.get(cut.path + "/production.zip");
    assertThat(packed.type()).as(packed.text()).startsWith("application/zip");
    zip = packed.bytes();
    master = master(cut.api, cut.path);
  }

  private static void setInAnOwnFace() throws IOException {
    cut.api.bytes("/api/own-faces?name=a.ttf&licence=own", RenamedFace.bold("Packwell"));
    JsonNode title = cut.api.get(cut.path + "/film/words").json().get("titles").get(0);
    ObjectNode lettering = (ObjectNode) title.get("lettering");
    lettering.putObject("face").put("family", "Packwell").put("bold", true).put("italic", false);
    cut.edit(
        "change-title",
        Map.of("title", Map.of("id", title.get("id").asString(), "lettering", lettering)));
  }

  private static byte[] master(Api api, String path) {
    long id = api.post(path + "/masters", ORDER).json().get("id").asLong();
    JsonNode all =
        api.until(
            path + "/masters",
            list -> !list.get(0).get("state").asString().matches("WAITING|RENDERING|CHECKING"));
    assertThat(all.get(0).get("state").asString()).as("%s", all).isEqualTo("DONE");
    return api.get(path + "/masters/" + id + "/file").bytes();
  }

  private static Api.Answer unpack(byte[] packed) {
    return RunningServer.shared().api().bytes("/api/productions/packed", packed);
  }

  /** What a film is, without what its things are called. */
  private static String film(Api api, String path) {
    return api.get(path + "/film.json")
        .text()
        .replaceAll("\"(shot|take|line|id|key)\" : \"\\d+\"", "\"$1\"")
        .replaceAll("\"shots\" : \\[ [\"0-9, ]+\\]", "\"shots\"")
        .replaceAll("\"\\d+\" :", "\"\" :");
  }

  /** The same with another production.json, or what else is changed of its entries. */
  private static byte[] changed(UnaryOperator<Map<String, byte[]>> change) throws IOException {
    Path file = Files.createTempFile("packed", ".zip");
    Map<String, byte[]> entries = new LinkedHashMap<>();
    try {
      Files.write(file, zip);
      try (ZipFile read = new ZipFile(file.toFile())) {
        for (ZipEntry entry : read.stream().toList()) {
          entries.put(entry.getName(), read.getInputStream(entry).readAllBytes());
        }
      }
    } finally {
      Files.delete(file);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream written = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> entry : change.apply(entries).entrySet()) {
        written.putNextEntry(new ZipEntry(entry.getKey()));
        written.write(entry.getValue());
      }
    }
    return out.toByteArray();
  }

  private static byte[] saying(String what, String instead) throws IOException {
    return changed(
        entries -> {
          String text = new String(entries.get("production.json"), StandardCharsets.UTF_8);
          String other = text.replaceFirst(what, instead);
          assertThat(other).isNotEqualTo(text);
          entries.put("production.json", other.getBytes(StandardCharsets.UTF_8));
          return entries;
        });
  }

  @Test
  void comesInAsTheSameFilmAndTheSameMaster() {
    Api api = RunningServer.shared().api();
    Api.Answer made = unpack(zip);
    assertThat(made.status()).as(made.text()).isEqualTo(201);
    String path = "/api/productions/" + made.json().get("id").asLong();
    api.until(
        path + "/material",
        m ->
            m.get("shots")
                .valueStream()
                .flatMap(s -> s.get("takes").valueStream())
                .allMatch(t -> t.get("state").asString().equals("READY")));
    assertThat(film(api, path)).isEqualTo(film(cut.api, cut.path));
    assertThat(api.get(path + "/story").json().get("text"))
        .isEqualTo(cut.api.get(cut.path + "/story").json().get("text"));
    JsonNode versions = api.get(path + "/film/versions").json();
    assertThat(versions.get(0).get("name").asString()).isEqualTo("before the look");
    assertThat(versions.get(0).get("shots"))
        .isEqualTo(cut.api.get(cut.path + "/film/versions").json().get(0).get("shots"));
    assertThat(api.get(path + "/history").json().get("undo").isNull()).isTrue();
    assertThat(api.get(path + "/film").json().get("problems").toString())
        .isEqualTo(cut.api.get(cut.path + "/film").json().get("problems").toString());
    assertThat(looks(api, path)).isEqualTo(looks(cut.api, cut.path)).contains("the jetty GROUP");
    assertThat(api.get(path + "/film/look").json().at("/still/name").asString())
        .isEqualTo("dusk.png");
    assertThat(master(api, path)).isEqualTo(master);
    assertThat(api.get(path + "/style").json().at("/style/name").asString()).isEqualTo(STYLE);
  }

  /**
   * A production follows the style here that has the name of its own; it says so if that is another
   * one, and brings its own where there is none.
   */
  @Test
  void theStyleComesWithIt() {
    Api api = RunningServer.shared().api();
    JsonNode style = cut.api.get(cut.path + "/style").json();
    JsonNode same = styleOf(api, unpack(zip));
    assertThat(same.get("changed").asBoolean()).isFalse();
    assertThat(same.at("/style/id")).isEqualTo(style.at("/style/id"));
    cut.edit("caption-look", Map.of("language", "en", "kind", "FEW_WORDS"));
    cut.api.post(cut.path + "/style/keep", Map.of("name", STYLE));
    assertThat(styleOf(api, unpack(zip)).get("changed").asBoolean()).isTrue();
    api.delete("/api/styles/" + style.at("/style/id").asLong());
    JsonNode brought = styleOf(api, unpack(zip));
    assertThat(brought.get("changed").asBoolean()).isFalse();
    assertThat(brought.at("/style/holds")).isEqualTo(style.at("/style/holds"));
    cut.undo();
    cut.api.post(cut.path + "/style/keep", Map.of("name", STYLE));
  }

  private static JsonNode styleOf(Api api, Api.Answer made) {
    assertThat(made.status()).as(made.text()).isEqualTo(201);
    return api.get("/api/productions/" + made.json().get("id").asLong() + "/style").json();
  }

  /** How long it becomes is said before it is sent, so that a browser shows how far it is. */
  @Test
  void itSaysHowLongItIs() {
    for (String media : List.of("true", "false")) {
      String path = cut.path + "/production.zip?media=" + media;
      assertThat(cut.api.lengthOf(path)).hasValue(cut.api.get(path).bytes().length);
    }
  }

  /** What each shot is to look like, and how far it is from that. */
  private static List<String> looks(Api api, String path) {
    return api.get(path + "/film/look")
        .json()
        .get("shots")
        .valueStream()
        .map(s -> s.get("group").asString("") + " " + s.get("keyOf").asString() + s.get("now"))
        .map(said -> said.replaceAll("(?<=GROUP).*", ""))
        .toList();
  }

  @Test
  void aTerminalDrawsItsFilm() throws IOException {
    Path packed = Files.write(folder.resolve("packed.zip"), zip);
    Path out = folder.resolve("terminal.mp4");
    int code =
        Thistle.run("render", packed.toString(), "--quality", "small", "--out", out.toString());
    assertThat(code).isZero();
    assertThat(Files.readAllBytes(out)).isEqualTo(master);
  }

  @Test
  void aTerminalPacksAndUnpacks() throws IOException {
    String server = "http://127.0.0.1:" + RunningServer.shared().port();
    Map<String, Object> other = Map.of("title", "Packed alone", "targetSeconds", 10);
    cut.api.json("PATCH", cut.path, other);
    Path out = folder.resolve("packed.zip");
    assertThat(Thistle.run("pack", "Packed alone", "--out", out.toString(), "--server", server))
        .isZero();
    assertThat(Thistle.run("unpack", out.toString(), "--server", server)).isZero();
    assertThat(Thistle.run("pack", "Packed alone", "--out", out.toString(), "--server", server))
        .as("two of one title")
        .isNotZero();
    assertThat(Thistle.run("pack", "Nobody's", "--out", out.toString(), "--server", server))
        .isNotZero();
    assertThat(Thistle.run("unpack", folder.resolve("none").toString(), "--server", server))
        .isNotZero();
    cut.api.json("PATCH", cut.path, Map.of("title", "Cut", "targetSeconds", 10));
  }

  @Test
  void withoutItsFilesItComesInWhereTheyAre() throws IOException {
    byte[] bare = cut.api.get(cut.path + "/production.zip?media=false").bytes();
    assertThat(bare.length).isLessThan(zip.length / 10);
    assertThat(unpack(bare).status()).isEqualTo(201);
    String lost = "f".repeat(64);
    byte[] elsewhere =
        changed(
            entries -> {
              entries.keySet().removeIf(name -> name.startsWith("media/"));
              String text = new String(entries.get("production.json"), StandardCharsets.UTF_8);
              String take = "shot_020_take2";
              String bareText = text.replaceAll("\"path\" : \"[^\"]*\",", "");
              String hash =
                  bareText.replaceFirst(
                      "(?s).*" + take + "[^\"]*\",\\s*\"sha256\" : \"(\\w+).*", "$1");
              entries.put(
                  "production.json", bareText.replace(hash, lost).getBytes(StandardCharsets.UTF_8));
              return entries;
            });
    Api.Answer refused = unpack(elsewhere);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.detail()).contains("without its files").contains("shot_020_take2");
  }

  @Test
  void whatIsNotAsItSaysIsRefusedAndNothingOfItStays() throws IOException {
    int before = RunningServer.shared().api().get("/api/productions").json().size();
    refused("no zip".getBytes(StandardCharsets.UTF_8), "no zip");
    refused(
        changed(
            entries -> {
              entries.remove("production.json");
              return entries;
            }),
        "no packed production");
    refused(
        changed(
            entries -> {
              String media =
                  entries.keySet().stream().filter(n -> n.startsWith("media/")).findFirst().get();
              entries.get(media)[100] ^= 1;
              return entries;
            }),
        "another file than it says");
    refused(saying("\"bytes\" : \\d+", "\"bytes\" : 7"), "more bytes than it says");
    refused(saying("\"bytes\" : \\d+", "\"bytes\" : 9000000000000000"), "Make room");
    refused(saying("\"path\" : \"media/", "\"path\" : \"media/../"), "/files/0/path");
    refused(saying("\"lateThistleProduction\" : 1", "\"lateThistleProduction\" : 2"), "newer");
    refused(saying("\"way\" : \"FORWARD\"", "\"way\" : \"SIDEWAYS\""), "SIDEWAYS");
    refused(saying("\"shot\" : \\d+", "\"shot\" : 999999"), "did not come with it");
    assertThat(RunningServer.shared().api().get("/api/productions").json().size())
        .isEqualTo(before);
  }

  private static void refused(byte[] packed, String reason) {
    Api.Answer answer = unpack(packed);
    assertThat(answer.status()).as(answer.text()).isEqualTo(422);
    assertThat(answer.detail()).contains(reason);
  }
}
