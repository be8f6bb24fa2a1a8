package app.latethistle.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Processes of their own share a master with the server. */
class WorkersTest {
  /** Seconds in which a process starts even on a machine that has much else to do. */
  private static final int PATIENCE = 180;

  private final List<Process> workers = new ArrayList<>();
  @TempDir private Path logs;

  @AfterEach
  void end() throws InterruptedException {
    for (Process worker : workers) {
      worker.destroyForcibly().waitFor();
    }
  }

  private Process worker(RunningServer server, String name, String... instead) throws IOException {
    List<String> settings =
        new ArrayList<>(
            List.of(
                "--spring.datasource.url=" + server.database(),
                "--spring.datasource.password=" + TestDatabase.password(),
                "--latethistle.data=" + server.data()));
    for (String setting : instead) {
      settings.removeIf(s -> s.startsWith(setting.substring(0, setting.indexOf('='))));
      settings.add(setting);
    }
    List<String> command =
        new ArrayList<>(
            List.of(
                ProcessHandle.current().info().command().orElseThrow(),
                "-Xmx512m",
                "-cp",
                System.getProperty("java.class.path"),
                App.class.getName(),
                "--spring.main.web-application-type=none",
                "--latethistle.worker=true",
                "--latethistle.node=" + name));
    command.addAll(settings);
    Process process =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectOutput(logs.resolve(name).toFile())
            .start();
    workers.add(process);
    return process;
  }

  private void untilSaid(Process worker, String name, String words) throws Exception {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE);
    while (!Files.readString(logs.resolve(name)).contains(words)) {
      String said = Files.readString(logs.resolve(name));
      assertThat(worker.isAlive()).as(said).isTrue();
      assertThat(System.nanoTime()).as(said).isLessThan(end);
      Thread.sleep(50);
    }
  }

  private static JsonNode master(EditedFilm cut, String name) {
    Map<String, Object> order =
        Map.of("name", name, "size", "HD_720", "rate", "24", "quality", "SMALL");
    long id = cut.api.post(cut.path + "/masters", order).json().get("id").asLong();
    return cut.api
        .until(
            cut.path + "/masters",
            all -> !find(all, id).get("state").asString().matches("WAITING|RENDERING|CHECKING"))
        .valueStream()
        .filter(m -> m.get("id").asLong() == id)
        .findFirst()
        .orElseThrow();
  }

  private static JsonNode find(JsonNode all, long master) {
    return all.valueStream().filter(m -> m.get("id").asLong() == master).findFirst().orElseThrow();
  }

  private static byte[] file(EditedFilm cut, JsonNode master) {
    assertThat(master.get("state").asString()).as("%s", master).isEqualTo("DONE");
    return cut.api.get(cut.path + "/masters/" + master.get("id").asLong() + "/file").bytes();
  }

  @Test
  void aMasterIsSharedAndOneThatDiesLosesNothing() throws Exception {
    RunningServer server = RunningServer.shared();
    EditedFilm cut = EditedFilm.make(server.api(), 15);
    Process dying = worker(server, "dying");
    Process staying = worker(server, "staying");
    untilSaid(dying, "dying", "takes what is to be rendered");
    untilSaid(staying, "staying", "takes what is to be rendered");
    JdbcTemplate jdbc = server.bean(JdbcTemplate.class);
    Thread killer =
        new Thread(
            () -> {
              while (!isAtWork(jdbc, "dying")) {
                LockSupport.parkNanos(2_000_000);
              }
              dying.destroyForcibly();
            });
    killer.start();
    byte[] shared = file(cut, master(cut, "Shared"));
    killer.join(TimeUnit.SECONDS.toMillis(10));
    assertThat(dying.isAlive()).as("was at work and killed").isFalse();
    assertThat(jdbc.queryForObject("select count(*) from render_tasks", Long.class)).isZero();

    staying.destroyForcibly().waitFor();
    try (Stream<Path> segments = Files.list(server.data().resolve("derived/segments"))) {
      for (Path segment : segments.toList()) {
        Files.delete(segment);
      }
    }
    byte[] alone = file(cut, master(cut, "Alone"));
    assertThat(shared).isEqualTo(alone);
  }

  private static boolean isAtWork(JdbcTemplate jdbc, String name) {
    return jdbc.queryForObject(
            "select count(*) from render_tasks where picked and picked_by = ?", Long.class, name)
        > 0;
  }

  @Test
  void saysWhatItNeedsWhereItCannotWork() throws Exception {
    RunningServer server = RunningServer.shared();
    assertThat(refusal(server, "nostore", "--latethistle.data=" + logs.resolve("nowhere")))
        .contains("The store of the server is not at")
        .contains("--data");
    assertThat(refusal(server, "nopass", "--spring.datasource.password=wrong"))
        .contains("The database cannot be used")
        .contains("password");
    assertThat(refusal(server, "empty", "--spring.datasource.url=" + TestDatabase.create()))
        .contains("another version of Late Thistle");
  }

  private String refusal(RunningServer server, String name, String setting) throws Exception {
    Process process = worker(server, name, setting);
    assertThat(process.waitFor(PATIENCE, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).isNotZero();
    return Files.readString(logs.resolve(name));
  }
}
