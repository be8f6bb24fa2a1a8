package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** What no production uses goes, and what one uses stays. */
class StorageTest {
  private static final RunningServer SERVER = RunningServer.fresh();
  private final Api api = SERVER.api();

  @AfterAll
  static void end() {
    SERVER.close();
  }

  private static long count(String folder) throws IOException {
    Path place = SERVER.data().resolve(folder);
    if (!Files.exists(place)) {
      return 0;
    }
    try (Stream<Path> all = Files.walk(place)) {
      return all.filter(Files::isRegularFile).count();
    }
  }

  private long unused() {
    return api.get("/api/storage").json().get("bytes").asLong();
  }

  private static void age(Path file, Duration by) throws IOException {
    Files.setLastModifiedTime(file, FileTime.from(Instant.now().minus(by)));
  }

  @Test
  void whatARemovedProductionLeavesIsShownAndCleared() throws IOException {
    api.post("/api/storage/clear", Map.of());
    long kept = api.production("Kept", 640, 360, 20);
    api.bringDemo(kept, "shot_010_take1");
    long gone = api.production("Gone", 640, 360, 20);
    api.bringDemo(gone, "shot_010_take1", "shot_020_take1", "slow bellows");
    assertThat(unused()).isZero();
    assertThat(count("originals")).isEqualTo(3);

    api.delete("/api/productions/" + gone);
    long brought = Files.size(Api.demo("shot_020_take1")) + Files.size(Api.demo("slow bellows"));
    assertThat(unused()).as("and the light copy of the clip").isGreaterThan(brought);

    assertThat(api.post("/api/storage/clear", Map.of()).status()).isEqualTo(204);
    assertThat(unused()).isZero();
    assertThat(count("originals")).isEqualTo(1);
    assertThat(count("derived/proxies")).isEqualTo(1);
    long take = firstTake(kept);
    String picture = "/api/productions/" + kept + "/takes/" + take + "/frames/3.jpg";
    assertThat(api.get(picture).status()).isEqualTo(200);

    api.bringDemo(kept, "shot_020_take1");
    assertThat(api.get("/api/productions/" + kept + "/material").json().get("shots").size())
        .as("what was cleared can be brought in again")
        .isEqualTo(2);
  }

  private long firstTake(long production) {
    return api.get("/api/productions/" + production + "/material")
        .json()
        .get("shots")
        .get(0)
        .get("takes")
        .get(0)
        .get("id")
        .asLong();
  }

  @Test
  void whatWasNotReadForLongIsClearedAndWhatWasIsNot() throws IOException {
    Path folder = Files.createDirectories(SERVER.data().resolve("derived/preview"));
    Path old = Files.writeString(folder.resolve("old.ts"), "old");
    age(old, Duration.ofDays(3));
    Path young = Files.writeString(folder.resolve("young.ts"), "young");
    Path half = Files.writeString(SERVER.data().resolve("incoming/upload-1.part"), "half");
    age(half, Duration.ofDays(2));
    Path lost = Files.createDirectories(SERVER.data().resolve("derived/masters"));
    Path master = Files.writeString(lost.resolve("987654.mp4"), "master");
    assertThat(unused()).isGreaterThanOrEqualTo(3 + 4 + 6);
    api.post("/api/storage/clear", Map.of());
    assertThat(young).exists();
    assertThat(old).doesNotExist();
    assertThat(half).doesNotExist();
    assertThat(master).doesNotExist();
  }

  @Test
  void aFileLargerThanWhatIsFreeIsRefusedBeforeItIsSent() throws IOException {
    long production = api.production("Full", 640, 360, 20);
    String said = announce("/api/productions/" + production + "/files?name=huge.mp4");
    assertThat(said).startsWith("HTTP/1.1 422").contains("huge.mp4 has 9000000.0 GB and the disk");
    assertThat(count("incoming")).isZero();
  }

  /** Sends the head of a request for nine million gigabytes, and none of them. */
  private static String announce(String path) throws IOException {
    String cookie = "XSRF-TOKEN=a-token";
    try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), SERVER.port())) {
      socket.setSoTimeout(20_000);
      String head =
          "POST "
              + path
              + " HTTP/1.1\r\nHost: 127.0.0.1:"
              + SERVER.port()
              + "\r\nCookie: "
              + cookie
              + "\r\nX-XSRF-TOKEN: a-token\r\nContent-Type: application/octet-stream\r\n"
              + "Content-Length: 9000000000000000\r\n\r\n";
      socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
      ByteArrayOutputStream said = new ByteArrayOutputStream();
      byte[] buffer = new byte[4096];
      int n = socket.getInputStream().read(buffer);
      while (n > 0 && !said.toString(StandardCharsets.UTF_8).contains("bring it in again")) {
        said.write(buffer, 0, n);
        n =
            said.toString(StandardCharsets.UTF_8).contains("bring it in again")
                ? 0
                : socket.getInputStream().read(buffer);
      }
      return said.toString(StandardCharsets.UTF_8);
    }
  }

  @Test
  void aSongThatWasGivenUpIsListenedToAgain() {
    long production = api.production("Again", 640, 360, 20);
    api.bringDemo(production, "slow bellows");
    String songs = "/api/productions/" + production + "/songs";
    long song = api.get(songs).json().get(0).get("id").asLong();
    assertThat(api.post(songs + "/" + song + "/again", Map.of()).detail())
        .contains("was not refused");
    SERVER
        .bean(JdbcTemplate.class)
        .update(
            "update song set state = 'REFUSED', reason = 'too little memory' where id = ?", song);
    assertThat(api.post(songs + "/" + song + "/again", Map.of()).status()).isEqualTo(204);
    api.until(songs, all -> all.get(0).get("state").asString().equals("READY"));
    api.delete("/api/productions/" + production);
  }

  @Test
  void figuresTellOfQueuesAndTheStore() {
    assertThat(api.get("/actuator/health").json().get("status").asString()).isEqualTo("UP");
    assertThat(api.get("/actuator/metrics/thistle.jobs").json().toString())
        .contains("waiting", "running", "failed", "RENDER");
    long made =
        api.get("/actuator/metrics/thistle.store?tag=kind:made")
            .json()
            .get("measurements")
            .get(0)
            .get("value")
            .asLong();
    assertThat(made).isGreaterThanOrEqualTo(0);
    assertThat(api.get("/api/machine").json().get("fenced").isBoolean()).isTrue();
  }
}
