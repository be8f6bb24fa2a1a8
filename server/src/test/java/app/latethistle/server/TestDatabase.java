package app.latethistle.server;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;

/**
 * Databases for tests in the cluster that {@code ./test} starts: its address and password come in
 * {@code LATE_THISTLE_TEST_DB} ("host:port") and {@code LATE_THISTLE_TEST_DB_PASSWORD}.
 */
public final class TestDatabase {
  private static int made;

  private TestDatabase() {}

  /** Makes an empty database and gives its JDBC address. */
  public static synchronized String create() {
    String name = "t" + ProcessHandle.current().pid() + "_" + made++;
    try (Connection connection =
            DriverManager.getConnection(address("postgres"), "thistle", password());
        Statement statement = connection.createStatement()) {
      statement.execute("create database " + name);
    } catch (SQLException e) {
      throw new IllegalStateException("no database for the tests; run ./test", e);
    }
    return address(name);
  }

  public static String password() {
    return required("LATE_THISTLE_TEST_DB_PASSWORD");
  }

  private static String address(String name) {
    return "jdbc:postgresql://" + required("LATE_THISTLE_TEST_DB") + "/" + name;
  }

  private static String required(String variable) {
    String value = System.getenv(variable);
    if (value == null) {
      throw new IllegalStateException(variable + " is not set; run ./test");
    }
    return value;
  }
}
