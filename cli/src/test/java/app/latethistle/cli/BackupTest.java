package app.latethistle.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** An installation is copied while its database runs, and brought back after that was killed. */
class BackupTest {
  private static final Path HOME = Path.of("").toAbsolutePath().getParent();

  private static final String HASH = "ab" + "0".repeat(62);

  private Path folder;

  @BeforeEach
  void folderThatTheDatabaseReaches() throws IOException {
    folder = Files.createTempDirectory("thistle-backup");
    Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
  }

  @AfterEach
  void clean() throws Exception {
    bash(
        """
        for d in "$0"/*/database; do stop_database "$d"; done
        rm -rf "$0"
        """,
        folder.toString());
  }

  /** What a program said, and how it ended. */
  private record Ended(int code, String said) {}

  private static Ended run(List<String> command) throws IOException, InterruptedException {
    Process process =
        new ProcessBuilder(command).directory(HOME.toFile()).redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(2, TimeUnit.MINUTES)).isTrue();
    return new Ended(process.exitValue(), said);
  }

  private static Ended thistle(String... arguments) throws Exception {
    return run(Stream.concat(Stream.of("./thistle"), Stream.of(arguments)).toList());
  }

  /** Runs lines of a shell in which what ./start uses is known. */
  private static String bash(String lines, String argument) throws Exception {
    Ended ended =
        run(List.of("bash", "-c", "home=.; . scripts/ground.sh\nset -e\n" + lines, argument));
    assertThat(ended.code()).as(ended.said()).isZero();
    return ended.said();
  }

  private static String sql(Path data, String statement) throws Exception {
    return bash(
            """
            start_database "$0/database"
            as_postgres "$PG/psql" -h "$0/database" -p "$DB_PORT" -U thistle -d thistle -Atqc "%s"
            """
                .formatted(statement),
            data.toString())
        .strip();
  }

  private static Path original(Path data) {
    return data.resolve("store/originals/ab").resolve(HASH);
  }

  private Path installation() throws Exception {
    Path data = folder.resolve("data");
    Files.createDirectories(original(data).getParent());
    Files.createDirectories(data.resolve("store/incoming"));
    Files.writeString(original(data), "a clip");
    Files.writeString(data.resolve("store/incoming/upload-1.part"), "half of");
    sql(data, "create table medium (hash text); insert into medium values ('" + HASH + "')");
    return data;
  }

  @Test
  void whatWasCopiedComesBackAfterAKill() throws Exception {
    Path data = installation();
    Path copy = folder.resolve("copy");
    Ended first = thistle("backup", copy.toString(), "--data", data.toString());
    assertThat(first.code()).as(first.said()).isZero();
    sql(data, "create table said (what text); insert into said values ('after the first copy')");
    Ended second = thistle("backup", copy.toString(), "--data", data.toString());
    assertThat(second.code()).as(second.said()).isZero();

    // The database is killed in the middle of what it does, and its folder is lost.
    bash("kill -9 \"$(head -n 1 \"$0/database/cluster/postmaster.pid\")\"", data.toString());
    bash("rm -rf \"$0\"", data.toString());

    Ended back = thistle("restore", copy.toString(), "--data", data.toString());
    assertThat(back.code()).as(back.said()).isZero();
    assertThat(original(data)).hasContent("a clip");
    assertThat(data.resolve("store/incoming")).doesNotExist();
    assertThat(sql(data, "select what from said")).isEqualTo("after the first copy");
    assertThat(sql(data, "select hash from medium")).isEqualTo(HASH);
  }

  @Test
  void nothingIsOverwrittenAndNoHalfCopyIsTakenForAWhole() throws Exception {
    Path data = installation();
    Path copy = folder.resolve("copy");
    Files.delete(original(data));
    Ended gone = thistle("backup", copy.toString(), "--data", data.toString());
    assertThat(gone.code()).isEqualTo(1);
    assertThat(gone.said()).contains("gone from the store: " + HASH);
    Ended half = thistle("restore", copy.toString(), "--data", folder.resolve("new").toString());
    assertThat(half.said()).contains("is no whole copy");

    Files.writeString(original(data), "a clip");
    assertThat(thistle("backup", copy.toString(), "--data", data.toString()).code()).isZero();
    Ended over = thistle("restore", copy.toString(), "--data", data.toString());
    assertThat(over.code()).isEqualTo(1);
    assertThat(over.said()).contains("is not empty");
    assertThat(thistle("backup").code()).isEqualTo(2);
    Ended none = thistle("backup", copy.toString(), "--data", folder.resolve("none").toString());
    assertThat(none.said()).contains("there is nothing to copy");
  }
}
