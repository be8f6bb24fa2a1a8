package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.latethistle.media.Container;
import app.latethistle.media.SoundMeasure;
import app.latethistle.media.WaveFile;
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
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The film's sounds through the API. */
class SoundTest {
  private static final long FRAME = 2_000;

  @TempDir Path folder;
  private EditedFilm cut;

  @BeforeEach
  void make() {
    cut = EditedFilm.make(RunningServer.shared().api(), 18);
  }

  private JsonNode mix() {
    return cut.api.get(cut.path + "/film/mix").json();
  }

  private static Map<String, Object> onCut(String item) {
    return Map.of("tie", "cut", "item", item);
  }

  private String item(int place) {
    return cut.shot(place).get("id").asString();
  }

  private JsonNode sounds(String query) {
    return cut.api.get(cut.path + "/sounds?" + query).json();
  }

  /** Three sounds that were asked for. */
  private JsonNode asked(String words) {
    Api.Answer answer = cut.api.post(cut.path + "/sounds/ask", Map.of("words", words));
    assertThat(answer.status()).isEqualTo(201);
    return answer.json();
  }

  private void lay(long sound, Map<String, ?> at, Map<String, ?> until) {
    Map<String, Object> values = new HashMap<>();
    values.put("sound", sound);
    values.put("at", at);
    values.put("offset", 0);
    values.put("until", until);
    cut.edit("lay-sound", values);
  }

  @Test
  void aSoundIsAskedForFoundHeardAndLaidAndFollowsItsCut() {
    JsonNode made = asked("old wooden door slams, 1.5 s");
    assertThat(made).hasSize(3);
    long sound = made.get(0).get("id").asLong();
    assertThat(made.get(0).get("seconds").asDouble()).isEqualTo(1.5);
    assertThat(made.get(0).get("kind").asString()).isEqualTo("HIT");
    assertThat(sounds("words=dor+slam").get("sounds").toString()).contains("old wooden door");
    assertThat(sounds("like=" + sound).get("sounds").valueStream().map(s -> s.get("id").asLong()))
        .doesNotContain(sound)
        .contains(made.get(1).get("id").asLong());
    Api.Answer file = cut.api.get(cut.path + "/sounds/" + sound + "/file");
    assertThat(file.type()).isEqualTo("audio/flac");

    lay(sound, onCut(item(2)), null);
    JsonNode laid = mix().get("laid").get(0);
    assertThat(laid.get("place").get("landing").asLong())
        .isEqualTo(FRAME * cut.joint(2).get("frame").asLong());
    assertThat(laid.get("says").asString()).startsWith("cut into ");
    assertThat(laid.get("over").asString()).isEqualTo(item(2));
    assertThat(cut.film.get("laid").asInt()).isEqualTo(1);

    long to = cut.joint(2).get("frame").asLong() - 3;
    cut.edit("move-joint", Map.of("joint", 2, "to", Map.of("offset", 0, "frame", to)));
    assertThat(mix().get("laid").get(0).get("place").get("landing").asLong())
        .isEqualTo(FRAME * cut.joint(2).get("frame").asLong());

    String id = laid.get("id").asString();
    cut.edit("nudge-sounds", Map.of("sounds", List.of(id), "samples", -48));
    assertThat(mix().get("laid").get(0).get("place").get("landing").asLong())
        .isEqualTo(FRAME * cut.joint(2).get("frame").asLong() - 48);
    cut.edit("swap-sound", Map.of("id", id, "sound", made.get(2).get("id").asLong()));
    assertThat(mix().get("laid").get(0).get("sound").asLong())
        .isEqualTo(made.get(2).get("id").asLong());
    cut.edit("sounds-out", Map.of("sounds", List.of(id)));
    assertThat(mix().get("laid")).isEmpty();
    cut.undo();
    assertThat(mix().get("laid")).hasSize(1);
  }

  @Test
  void aBedGoesOnToItsCutAndEachCutGetsItsSound() {
    long rain = asked("rain soft").get(0).get("id").asLong();
    lay(rain, onCut(item(0)), onCut(item(3)));
    JsonNode place = mix().get("laid").get(0).get("place");
    assertThat(place.get("start").asLong()).isZero();
    assertThat(place.get("end").asLong()).isEqualTo(FRAME * cut.joint(3).get("frame").asLong());
    long whoosh = asked("whoosh short").get(0).get("id").asLong();
    long length = cut.film.get("length").asLong();
    cut.edit("sounds-on-cuts", Map.of("sound", whoosh, "from", 1, "to", length));
    assertThat(mix().get("laid")).hasSize(cut.film.get("joints").size() - 2 + 1);
    assertThat(cut.tryEdit("sound-through-place", Map.of("sound", rain, "item", item(0))).detail())
        .contains("does not say where that shot is");
  }

  @Test
  void aSoundLandsWithATitleAndNothingLandsOnItself() {
    Map<String, Object> there = Map.of("tie", "free", "frame", 70);
    cut.edit("add-title", Map.of("design", "Soft main title", "text", "Night Post", "at", there));
    JsonNode title = cut.film.get("landings").get(0);
    assertThat(title.get("name").asString()).isEqualTo("Night Post");
    assertThat(title.get("frame").asDouble()).isEqualTo(70);
    String id = title.get("item").asString();
    long knock = asked("dull knock").get(0).get("id").asLong();
    lay(knock, Map.of("tie", "title", "item", id), null);
    JsonNode laid = mix().get("laid").get(0);
    assertThat(laid.get("place").get("landing").asLong()).isEqualTo(70 * FRAME);

    Map<String, Object> onSound = Map.of("tie", "sound", "item", laid.get("id").asString());
    Map<String, Object> circle = Map.of("id", id, "at", onSound, "frames", 48);
    assertThat(cut.tryEdit("land-title", circle).detail()).contains("lands on this one itself");
    cut.edit(
        "land-title", Map.of("id", id, "at", Map.of("tie", "free", "frame", 90), "frames", 48));
    assertThat(mix().at("/laid/0/place/landing").asLong()).isEqualTo(90 * FRAME);
    assertThat(cut.film.at("/landings/0/on/0").asString()).isEqualTo(id);
  }

  @Test
  void whatIsHeardIsMeasuredAndALevelChangesIt() {
    JsonNode before = cut.api.get(cut.path + "/film/mix/heard").json();
    assertThat(before.get("integrated").asDouble()).isBetween(-40.0, -5.0);
    assertThat(before.get("truePeak").asDouble()).isLessThan(-0.9);
    assertThat(before.get("shortTerm").size())
        .isCloseTo(cut.film.get("length").asInt() * 10 / 24, within(1));
    cut.edit("set-bus", Map.of("bus", "MUSIC", "gain", -6, "muted", false));
    JsonNode after = cut.api.get(cut.path + "/film/mix/heard").json();
    assertThat(after.get("integrated").asDouble() - before.get("integrated").asDouble())
        .isCloseTo(-6, within(0.3));
    assertThat(cut.tryEdit("set-bus", Map.of("bus", "MUSIC", "gain", 40, "muted", false)).detail())
        .isEqualTo("A gain is from -60 to 12 dB, not 40.");
  }

  /** A bus's line keeps its points by what they are tied to; the music turns, and steps aside. */
  @Test
  void aLevelIsDrawnTheMusicTurnsAndAHitIsGivenRoom() {
    Map<String, Object> beat = beat(4);
    Map<String, Object> next = beat(8);
    cut.edit("set-point", Map.of("bus", "MUSIC", "at", beat, "gain", -3));
    cut.edit("set-point", Map.of("bus", "MUSIC", "at", next, "gain", -9));
    cut.edit("set-bus", Map.of("bus", "MUSIC", "gain", -6, "muted", false));
    cut.edit("set-point", Map.of("bus", "MUSIC", "was", beat, "at", onCut(item(1)), "gain", -4));
    JsonNode music = mix().get("buses").valueStream().filter(SoundTest::isMusic).findFirst().get();
    assertThat(music.get("gain").asDouble()).isEqualTo(-6);
    assertThat(music.get("line").valueStream().map(p -> p.get("gain").asDouble()))
        .containsExactly(-9.0, -4.0);
    assertThat(music.at("/line/1/says").asString()).startsWith("cut into ");

    Map<String, Object> stop = Map.of("kind", "STOP", "from", beat, "until", next);
    cut.edit("turn-music", Map.of("turn", stop));
    cut.edit("turn-music", Map.of("turn", Map.of("kind", "MUFFLE", "from", beat, "until", next)));
    assertThat(mix().at("/turns/0/end").asLong() - mix().at("/turns/0/start").asLong())
        .isPositive();
    assertThat(mix().at("/turns/0/says").asString()).contains("bar");
    Map<String, Object> later = Map.of("kind", "STOP", "from", beat(5), "until", next);
    cut.edit("turn-music", Map.of("turn", later, "was", stop));
    assertThat(mix().get("turns")).hasSize(2);
    stop = later;
    cut.edit("turn-out", Map.of("turn", stop));
    assertThat(mix().get("turns").valueStream().map(t -> t.get("kind").asString()))
        .containsExactly("MUFFLE");

    lay(asked("boom").get(0).get("id").asLong(), onCut(item(2)), null);
    String boom = mix().at("/laid/0/id").asString();
    cut.edit("ask-aside", Map.of("items", List.of(boom), "asked", Map.of("by", 12, "held", 300)));
    assertThat(mix().at("/laid/0/asked/by").asDouble()).isEqualTo(12);
    assertThat(mix().get("lid").valueStream().mapToDouble(b -> b.get("decibels").asDouble()))
        .anyMatch(lowest -> lowest <= -12);
    assertThat(
            cut.tryEdit(
                    "ask-aside",
                    Map.of("items", List.of(boom), "asked", Map.of("by", 90, "held", 1)))
                .detail())
        .isEqualTo("Music steps aside by 0 to 30 dB, not by 90.");

    Api.Answer alone = cut.api.get(cut.path + "/film/hear-sound.wav?sound=" + boom);
    assertThat(alone.type()).isEqualTo("audio/wav");
    assertThat(alone.bytes().length).isGreaterThan(6 * 24_000);
    assertThat(cut.api.get(cut.path + "/film/hear-sound.wav?sound=none").detail())
        .contains("not heard in the film");
  }

  private static boolean isMusic(JsonNode bus) {
    return bus.get("bus").asString().equals("MUSIC");
  }

  @Test
  void aSoundIsBroughtInAndAFileThatIsNoneIsRefusedByName() throws IOException {
    Path file = folder.resolve("thump.wav");
    float[] thump = new float[48_000];
    for (int i = 12_000; i < 40_000; i++) {
      thump[i] = (float) (0.5 * Math.exp(-(i - 12_000) / 3_000.0) * Math.sin(i * 0.02));
    }
    WaveFile.write(file, thump, 1, 48_000);
    Api.Answer in =
        cut.api.bytes(
            cut.path + "/sounds/files?name=thump.wav&rights=own", Files.readAllBytes(file));
    assertThat(in.status()).isEqualTo(201);
    assertThat(in.json().get("lands").asDouble()).isCloseTo(0.25, within(0.002));
    assertThat(in.json().get("name").asString()).isEqualTo("thump");
    Api.Answer broken =
        cut.api.bytes(
            cut.path + "/sounds/files?name=notes.wav", "no sound".getBytes(StandardCharsets.UTF_8));
    assertThat(broken.status()).isEqualTo(422);
    assertThat(broken.detail()).contains("notes.wav");
    assertThat(sounds("words=thump").get("sounds")).hasSize(1);
    // What is laid of it is in the film's document.
    lay(in.json().get("id").asLong(), onCut(item(1)), null);
    assertThat(cut.api.get(cut.path + "/film.json").text())
        .contains("\"name\" : \"thump\"", "\"tie\" : \"cut\"");
  }

  @Test
  void theMixItsStemsAndItsCueSheetAreFiles() throws IOException {
    lay(asked("bell").get(0).get("id").asLong(), onCut(item(1)), null);
    Api.Answer wave = cut.api.get(cut.path + "/film/mix.wav?loudness=-16");
    Path file = folder.resolve("mix.wav");
    Files.write(file, wave.bytes());
    assertThat(SoundMeasure.of(file, Container.WAV).integrated()).isCloseTo(-16, within(0.1));
    assertThat(cut.api.get(cut.path + "/film/mix.wav?loudness=3").status()).isEqualTo(422);
    List<String> names = new ArrayList<>();
    try (ZipInputStream zip =
        new ZipInputStream(
            new ByteArrayInputStream(cut.api.get(cut.path + "/film/stems.zip").bytes()))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        names.add(entry.getName());
      }
    }
    assertThat(names).contains("music.wav", "sounds.wav", "music without ducking.wav");
    assertThat(cut.api.get(cut.path + "/film/cues.csv").text())
        .contains("music,", "sound,bell 1,", "asked for: bell");
  }

  /** Music is two cues about a stop, under the rights that the release sheet says. */
  @Test
  void theCueSheetSaysWhereMusicStopsAndUnderWhatRightsItIsUsed() {
    cut.edit(
        "turn-music", Map.of("turn", Map.of("kind", "STOP", "from", beat(4), "until", beat(8))));
    String key =
        cut.api
            .get(cut.path + "/release")
            .json()
            .get("assets")
            .valueStream()
            .map(asset -> asset.get("key").asString())
            .filter(asset -> asset.startsWith("song:"))
            .findFirst()
            .orElseThrow();
    Map<String, Object> sheet = new HashMap<>();
    sheet.put("title", "Water road");
    sheet.put("description", "");
    sheet.put("chapters", true);
    sheet.put("tags", List.of());
    sheet.put("generated", true);
    sheet.put("rights", Map.of(key, "bought in spring"));
    assertThat(cut.api.json("PUT", cut.path + "/release", sheet).status()).isEqualTo(200);
    List<String> music =
        cut.api
            .get(cut.path + "/film/cues.csv")
            .text()
            .lines()
            .filter(line -> line.startsWith("music,"))
            .toList();
    assertThat(music).hasSize(2).allMatch(line -> line.endsWith("brought in,bought in spring"));
  }

  private static Map<String, Object> beat(int beat) {
    return Map.of("tie", "beat", "beat", beat, "offset", 0);
  }
}
