package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class MaterialTest {
  private final Api api = RunningServer.shared().api();

  private static byte[] bytes(String demo) throws IOException {
    return Files.readAllBytes(Api.demo(demo));
  }

  private static List<String> texts(JsonNode array, String field) {
    return StreamSupport.stream(array.spliterator(), false)
        .map(n -> n.get(field).asString(""))
        .toList();
  }

  private JsonNode ready(long id) {
    return api.until(
        "/api/productions/" + id + "/material", m -> !m.toString().contains("PREPARING"));
  }

  @Test
  void gathersFilesUnderTheirShots() throws IOException {
    long id = api.production("Gathered", 640, 360, 20);
    api.bring(id, "10.mp4", bytes("shot_010_take1"));
    api.bring(id, "folder/shot_002_take2.mp4", bytes("shot_020_take2"));
    api.bring(id, "folder/shot_002_take1.mp4", bytes("shot_020_take1"));
    api.bring(id, "shot 4.mp4", bytes("shot_030_take1"));
    JsonNode material = ready(id);
    assertThat(texts(material.get("shots"), "number")).containsExactly("2", "4", "10");
    JsonNode second = material.get("shots").get(0);
    assertThat(second.get("takes").size()).isEqualTo(2);
    assertThat(second.get("pick").asLong())
        .isEqualTo(second.get("takes").get(0).get("id").asLong());
    assertThat(second.get("takes").get(0).get("number").asInt()).isEqualTo(1);
    // 2, 4, 10: the row is even with a step of two.
    assertThat(material.get("missing").toString()).contains("6").contains("8");
  }

  @Test
  void keepsTheSameBytesOnce() throws IOException {
    long id = api.production("Twice", 640, 360, 20);
    byte[] clip = bytes("shot_040_take1");
    assertThat(api.bring(id, "1.mp4", clip).json().get("became").asString()).isEqualTo("TAKE");
    assertThat(api.bring(id, "2.mp4", clip).json().get("became").asString()).isEqualTo("KNOWN");
    assertThat(ready(id).get("shots").size()).isEqualTo(1);
  }

  @Test
  void aLargeStillIsMadeSmallerAndWhereAFileIsAlreadyIsSaid() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(6000, 3000, BufferedImage.TYPE_INT_RGB), "png", bytes);
    long id = api.production("Large", 1280, 720, 20);
    JsonNode first = api.bring(id, "shot_040_take2.png", bytes.toByteArray()).json();
    assertThat(first.get("became").asString()).isEqualTo("TAKE");
    assertThat(first.get("says").asString()).isEqualTo("made smaller, 6000×3000 to 4096×2048");
    JsonNode again = api.bring(id, "other.png", bytes.toByteArray()).json();
    assertThat(again.get("became").asString()).isEqualTo("KNOWN");
    assertThat(again.get("says").asString()).isEqualTo("as take 2 of shot 040");
    JsonNode take =
        api.get("/api/productions/" + id + "/material")
            .json()
            .get("shots")
            .get(0)
            .get("takes")
            .get(0);
    assertThat(take.get("width").asInt()).isEqualTo(4096);
    assertThat(take.get("note").asString()).startsWith("Made smaller");
  }

  @Test
  void oneFileComesIntoManyProductionsAtOnce() throws IOException {
    List<Long> ids =
        Stream.of("A", "B", "C", "D").map(t -> api.production(t, 640, 360, 20)).toList();
    for (int round = 1; round <= 5; round++) {
      byte[] still = grey(40 * round);
      String name = round + ".png";
      List<String> became =
          ids.parallelStream()
              .map(id -> api.bring(id, name, still).json().path("became").asString("refused"))
              .toList();
      assertThat(became).containsOnly("TAKE");
    }
  }

  private static byte[] grey(int level) throws IOException {
    BufferedImage picture = new BufferedImage(64, 36, BufferedImage.TYPE_BYTE_GRAY);
    Arrays.fill(((DataBufferByte) picture.getRaster().getDataBuffer()).getData(), (byte) level);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(picture, "png", bytes);
    return bytes.toByteArray();
  }

  @Test
  void refusesByNameAndTakesTheRest() throws IOException {
    long id = api.production("Mixed", 640, 360, 20);
    byte[] clip = bytes("shot_010_take1");
    Map<String, byte[]> bad =
        Map.of(
            "empty.mp4", new byte[0],
            "notes.txt", "hello".getBytes(StandardCharsets.UTF_8),
            "list.mp4", "#EXTM3U\n/etc/passwd\n".getBytes(StandardCharsets.UTF_8),
            "short.mp4", Arrays.copyOf(clip, clip.length / 3));
    bad.forEach(
        (name, content) -> {
          Api.Answer answer = api.bring(id, name, content);
          if (answer.status() != 422) {
            // A file cut in its media is found out when it is decoded.
            assertThat(name).isEqualTo("short.mp4");
          } else {
            assertThat(answer.detail()).isNotEmpty();
          }
        });
    api.bring(id, "../../1 good.mp4", clip);
    JsonNode material = ready(id);
    assertThat(texts(material.get("refusals"), "fileName"))
        .contains("empty.mp4", "notes.txt", "list.mp4");
    assertThat(texts(material.get("refusals"), "reason")).allMatch(r -> r.length() > 10);
    assertThat(material.toString()).contains("1 good.mp4");
    try (Stream<Path> all = Files.walk(RunningServer.shared().data())) {
      assertThat(all.map(p -> p.getFileName().toString())).noneMatch(n -> n.contains("good"));
    }
    assertThat(api.delete("/api/productions/" + id + "/refusals").status()).isEqualTo(204);
    assertThat(ready(id).get("refusals").size()).isZero();
  }

  @Test
  void aTakeThatTurnsOutDamagedGivesThePickUp() throws IOException {
    long id = api.production("Damaged", 640, 360, 20);
    byte[] clip = bytes("shot_030_take1");
    byte[] damaged = clip.clone();
    Arrays.fill(damaged, damaged.length / 2, damaged.length - 500, (byte) 0x55);
    api.bring(id, "1 take 1.mp4", damaged);
    api.bring(id, "1 take 2.mp4", clip);
    JsonNode shot = ready(id).get("shots").get(0);
    JsonNode takes = shot.get("takes");
    JsonNode last = takes.get(takes.size() - 1);
    assertThat(last.get("number").asInt()).isEqualTo(2);
    assertThat(shot.get("pick").asLong()).isEqualTo(last.get("id").asLong());
    assertThat(api.get("/api/productions/" + id + "/material").text()).contains("REFUSED");
  }

  @Test
  void tellsWhatWillBeDoneToOddClips() {
    long id = api.production("Odd", 1920, 1080, 20);
    api.bringDemo(id, "shot_010_take1", "shot_050_take2");
    JsonNode odd = ready(id).get("shots").get(1).get("takes").get(0);
    assertThat(odd.get("rate").asString()).isEqualTo("30");
    assertThat(odd.get("otherRate").asBoolean()).isTrue();
    assertThat(odd.get("frames").asInt()).isEqualTo(120);
    JsonNode plain = ready(id).get("shots").get(0).get("takes").get(0);
    assertThat(plain.get("otherRate").asBoolean()).isFalse();
    assertThat(plain.get("framing").asString()).isEqualTo("FILL");
  }

  @Test
  void theNumbersCanBeCorrected() {
    long id = api.production("Corrected", 640, 360, 20);
    api.bringDemo(id, "shot_010_take1", "shot_020_take1");
    String path = "/api/productions/" + id;
    JsonNode first = ready(id).get("shots").get(0);
    long take = first.get("takes").get(0).get("id").asLong();
    Map<String, Object> change = Map.of("scene", "", "shot", "020", "take", 2);
    assertThat(api.json("PATCH", path + "/takes/" + take, change).status()).isEqualTo(204);
    JsonNode material = ready(id);
    assertThat(material.get("shots").size()).isEqualTo(1);
    JsonNode shot = material.get("shots").get(0);
    assertThat(shot.get("takes").size()).isEqualTo(2);
    assertThat(api.json("PATCH", path + "/shots/" + shot.get("id"), Map.of("pick", take)).status())
        .isEqualTo(204);
    assertThat(
            api.json("PATCH", path + "/shots/" + shot.get("id"), Map.of("title", "Roofs")).status())
        .isEqualTo(204);
    shot = ready(id).get("shots").get(0);
    assertThat(shot.get("pick").asLong()).isEqualTo(take);
    assertThat(shot.get("title").asString()).isEqualTo("Roofs");
    Api.Answer wrong =
        api.json("PATCH", path + "/takes/" + take, Map.of("scene", "", "shot", "x", "take", 1));
    assertThat(wrong.status()).isEqualTo(422);
    assertThat(wrong.detail()).contains("'x'");
  }

  @Test
  void picturesOfTakesAreJpegsOfTheAskedHeight() throws IOException {
    long id = api.production("Pictures", 640, 360, 20);
    api.bringDemo(id, "shot_010_take1");
    long take = ready(id).get("shots").get(0).get("takes").get(0).get("id").asLong();
    Api.Answer answer =
        api.get("/api/productions/" + id + "/takes/" + take + "/frames/60.jpg?height=90");
    assertThat(answer.type()).isEqualTo("image/jpeg");
    var image = ImageIO.read(new ByteArrayInputStream(answer.bytes()));
    assertThat(image.getHeight()).isEqualTo(90);
    assertThat(image.getWidth()).isEqualTo(160);
  }

  /** Noise as a WAV file. */
  private static byte[] noise(double seconds) throws IOException {
    byte[] samples = new byte[(int) (2 * 16_000 * seconds)];
    new Random(3).nextBytes(samples);
    ByteArrayOutputStream wav = new ByteArrayOutputStream();
    AudioSystem.write(
        new AudioInputStream(
            new ByteArrayInputStream(samples),
            new AudioFormat(16_000, 16, 1, true, false),
            samples.length / 2),
        AudioFileFormat.Type.WAVE,
        wav);
    return wav.toByteArray();
  }

  @Test
  void aSongWithoutANameIsASongAndATenthOfASecondIsNone() throws IOException {
    long id = api.production("Songs", 640, 360, 20);
    assertThat(api.bring(id, "_.wav", noise(4)).json().get("became").asString()).isEqualTo("SONG");
    JsonNode songs = api.get("/api/productions/" + id + "/songs").json();
    assertThat(songs.get(0).get("title").asString()).isEqualTo("Song");
    Api.Answer tiny = api.bring(id, "tick.wav", noise(0.1));
    assertThat(tiny.status()).isEqualTo(422);
    assertThat(tiny.detail()).contains("tick.wav lasts 0.1 s").contains("1.5 s or more");
    assertThat(api.get("/api/productions/" + id + "/songs").json()).hasSize(1);
  }

  @Test
  void aSongIsListenedTo() throws IOException {
    long id = api.production("Song", 640, 360, 20);
    api.bringDemo(id, "slow bellows");
    JsonNode song = api.get("/api/productions/" + id + "/songs").json().get(0);
    assertThat(song.get("state").asString()).isEqualTo("READY");
    assertThat(song.get("chosen").asBoolean()).isTrue();
    assertThat(song.get("bpm").asDouble()).isBetween(91.0, 93.0);
    assertThat(song.get("beatsPerBar").asInt()).isEqualTo(4);
    assertThat(song.get("beats").size()).isBetween(95, 105);
    String path = "/api/productions/" + id + "/songs/" + song.get("id");
    assertThat(api.get(path + "/peaks").json().get("peak").asString().length()).isGreaterThan(1000);
    assertThat(api.get(path + "/sound").bytes()).isEqualTo(bytes("slow bellows"));
  }

  @Test
  void theShelfKeepsProductions() {
    long id = api.production("Kept", 1080, 1920, 30);
    String path = "/api/productions/" + id;
    api.json("PATCH", path, Map.of("title", "Renamed", "targetSeconds", 45));
    JsonNode one = api.get(path).json();
    assertThat(one.get("title").asString()).isEqualTo("Renamed");
    assertThat(one.get("targetSeconds").asDouble()).isEqualTo(45);
    assertThat(api.delete(path).status()).isEqualTo(204);
    Api.Answer gone = api.get(path);
    assertThat(gone.status()).isEqualTo(404);
    assertThat(gone.detail()).contains(Long.toString(id));
    for (Map<String, Object> bad :
        List.<Map<String, Object>>of(
            Map.of("title", " ", "width", 640, "height", 360, "rate", "24", "targetSeconds", 9),
            Map.of("title", "a", "width", 641, "height", 360, "rate", "24", "targetSeconds", 9),
            Map.of("title", "a", "width", 640, "height", 360, "rate", "x", "targetSeconds", 9),
            Map.of("title", "a", "width", 640, "height", 360, "rate", "24", "targetSeconds", 1))) {
      Api.Answer answer = api.post("/api/productions", bad);
      assertThat(answer.status()).isEqualTo(422);
      assertThat(answer.detail()).isNotEmpty();
    }
  }
}
