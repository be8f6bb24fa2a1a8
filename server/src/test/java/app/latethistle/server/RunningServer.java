package app.latethistle.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application on a free port, with a real database and a store of its own. */
public final class RunningServer implements AutoCloseable {
  private static RunningServer shared;

  private final String database;
  private final Path data;
  private final boolean seedDemo;
  private final int beyond = freePort();
  private ConfigurableApplicationContext context;

  private RunningServer(String database, Path data, boolean seedDemo) {
    this.database = database;
    this.data = data;
    this.seedDemo = seedDemo;
    start();
  }

  /** One server for all tests that do not stop it. */
  public static synchronized RunningServer shared() {
    if (shared == null) {
      shared = fresh();
      Runtime.getRuntime().addShutdownHook(new Thread(shared::close));
    }
    return shared;
  }

  /** A server of the test's own. */
  public static RunningServer fresh() {
    return fresh(false);
  }

  /** A server of the test's own, which puts the demo on its empty shelf if asked to. */
  static RunningServer fresh(boolean seedDemo) {
    try {
      Path data = Files.createTempDirectory("thistle-store");
      return new RunningServer(TestDatabase.create(), data, seedDemo);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int freePort() {
    try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return free.getLocalPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void start() {
    context =
        SpringApplication.run(
            App.class,
            "--server.port=0",
            "--spring.datasource.url=" + database,
            "--spring.datasource.password=" + TestDatabase.password(),
            "--latethistle.data=" + data,
            "--latethistle.listen=127.0.0.1:" + beyond,
            "--latethistle.demo=" + Path.of("..", "demo").toAbsolutePath().normalize(),
            "--latethistle.seed-demo=" + seedDemo);
  }

  /** Ends the application and starts it again on the same database and store. */
  public void restart() {
    context.close();
    start();
  }

  public int port() {
    return context.getEnvironment().getRequiredProperty("local.server.port", Integer.class);
  }

  /** Where it serves those who only watch. */
  int beyond() {
    return beyond;
  }

  public Api api() {
    return new Api(port());
  }

  /** Something of the running application. */
  public <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  /** Something of the running application by its name. */
  public <T> T bean(String name, Class<T> type) {
    return context.getBean(name, type);
  }

  /** The JDBC address of its database. */
  String database() {
    return database;
  }

  public Path data() {
    return data;
  }

  @Override
  public void close() {
    context.close();
  }
}
