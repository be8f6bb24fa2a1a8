package app.latethistle.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.List;

/** The application in a process of its own, as ./start runs it, so that it can be killed. */
final class Application implements AutoCloseable {
  /** One that has ended is not waited for; a busy machine may take long to start it. */
  private static final int PATIENCE_MINUTES = 6;

  private static int made;

  private final String database;
  private final Path data;
  private final int port;
  private Process process;

  private Application(String database, Path data, int port) {
    this.database = database;
    this.data = data;
    this.port = port;
  }

  /** Starts it on an empty database and store. */
  static Application start() {
    try {
      Path data = Files.createTempDirectory("thistle-e2e");
      Application application = new Application(database(), data, freePort());
      application.run();
      return application;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int freePort() throws IOException {
    try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return free.getLocalPort();
    }
  }

  private static synchronized String database() {
    String name = "e" + ProcessHandle.current().pid() + "_" + made++;
    String base = "jdbc:postgresql://" + required("LATE_THISTLE_TEST_DB") + "/";
    try (Connection connection =
            DriverManager.getConnection(base + "postgres", "thistle", password());
        Statement statement = connection.createStatement()) {
      statement.execute("create database " + name);
    } catch (SQLException e) {
      throw new IllegalStateException("no database for the tests; run ./test", e);
    }
    return base + name;
  }

  private static String password() {
    return required("LATE_THISTLE_TEST_DB_PASSWORD");
  }

  private static String required(String variable) {
    String value = System.getenv(variable);
    if (value == null) {
      throw new IllegalStateException(variable + " is not set; run ./test");
    }
    return value;
  }

  private void run() throws IOException {
    String classes =
        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
    ProcessBuilder builder =
        new ProcessBuilder(
                List.of(
                    "java",
                    "-Xmx1g",
                    "-XX:+UseSerialGC",
                    "-Djava.awt.headless=true",
                    "-cp",
                    classes,
                    "app.latethistle.server.App",
                    "--server.port=" + port,
                    "--latethistle.data=" + data,
                    "--latethistle.seed-demo=false"))
            .redirectErrorStream(true)
            .redirectOutput(data.resolve("log").toFile());
    builder.environment().put("SPRING_DATASOURCE_URL", database);
    builder.environment().put("SPRING_DATASOURCE_PASSWORD", password());
    process = builder.start();
    awaitAnswer();
  }

  private void awaitAnswer() throws IOException {
    HttpClient client = HttpClient.newHttpClient();
    HttpRequest request = HttpRequest.newBuilder(URI.create(url() + "/api/productions")).build();
    long end = System.nanoTime() + Duration.ofMinutes(PATIENCE_MINUTES).toNanos();
    while (System.nanoTime() < end && process.isAlive()) {
      try {
        if (client.send(request, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
          return;
        }
      } catch (IOException e) {
        pause();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IOException(e);
      }
    }
    kill();
    throw new IOException("it did not start: " + Files.readString(data.resolve("log")));
  }

  private static void pause() {
    try {
      Thread.sleep(100);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  String url() {
    return "http://127.0.0.1:" + port;
  }

  Path data() {
    return data;
  }

  /** Kills it without warning, with all its child processes. */
  void kill() {
    process.descendants().forEach(ProcessHandle::destroyForcibly);
    process.destroyForcibly();
    try {
      process.waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Starts it again, as it was, at the same address. */
  void restart() throws IOException {
    run();
  }

  @Override
  public void close() {
    process.destroy();
    process.onExit().join();
  }
}
