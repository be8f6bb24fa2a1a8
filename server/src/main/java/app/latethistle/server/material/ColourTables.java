package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.grade.GivenTable;
import app.latethistle.core.interchange.CubeText;
import app.latethistle.core.key.Fingerprint;
import app.latethistle.server.stored.ColourFile;
import java.io.IOException;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Tables of colours that were brought in, kept as the text of their .cube files. */
@Component
public class ColourTables {
  /** Characters of a table of 65 along each side, and some more. */
  private static final int LONGEST = 12_000_000;

  /** Tables that are kept ready; one of 65 along each side takes 3 MB. */
  private static final int READY = 8;

  private final JdbcTemplate jdbc;
  private final Kept<String, GivenTable> ready = new Kept<>(READY);

  ColourTables(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Keeps a table.
   *
   * @param name of its file, for people
   * @return the SHA-256 of its text, by which it is known
   * @throws IllegalArgumentException if it is none, naming the file and the line
   */
  public String bringIn(String name, String text) {
    if (text.length() > LONGEST) {
      throw new Refused(
          name + " is too large for a table of colours; 65 entries along each side are enough.");
    }
    GivenTable table;
    try {
      table = CubeText.parse(text);
    } catch (Refused e) {
      throw new Refused(name + ": " + e.getMessage());
    }
    String hash = Fingerprint.of(text);
    jdbc.update(
        "insert into colour_table (hash, name, text) values (?, ?, ?) on conflict do nothing",
        hash,
        name,
        text);
    ready.put(hash, table);
    return hash;
  }

  /**
   * A table by its hash.
   *
   * @throws IOException if there is none
   */
  public GivenTable of(String hash) throws IOException {
    Optional<GivenTable> known = ready.get(hash);
    if (known.isPresent()) {
      return known.get();
    }
    GivenTable table = CubeText.parse(column("text", hash).orElseThrow(() -> missing(hash)));
    ready.put(hash, table);
    return table;
  }

  /** The text of a table's file; empty if there is none. */
  public Optional<String> text(String hash) {
    return column("text", hash);
  }

  /** The files of tables, as they go elsewhere; those that are gone are left out. */
  public List<ColourFile> files(Collection<String> hashes) {
    return hashes.stream()
        .flatMap(
            hash -> text(hash).map(text -> new ColourFile(name(hash).orElse(hash), text)).stream())
        .toList();
  }

  /** Keeps the files of tables that came from elsewhere. */
  public void bringIn(List<ColourFile> files) {
    files.forEach(file -> bringIn(file.name(), file.text()));
  }

  /** What a table's file was called; empty if there is none. */
  public Optional<String> name(String hash) {
    return column("name", hash);
  }

  private Optional<String> column(String column, String hash) {
    List<String> found =
        jdbc.queryForList(
            "select " + column + " from colour_table where hash = ?", String.class, hash);
    return found.stream().findFirst();
  }

  private static IOException missing(String hash) {
    return new IOException(
        "The table of colours " + hash.substring(0, 12) + " is not here; bring it in again.");
  }
}
