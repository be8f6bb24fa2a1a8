package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.grade.ColourPicture;
import app.latethistle.core.key.Fingerprint;
import app.latethistle.media.ColourPictures;
import app.latethistle.media.ColourPng;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.Probe;
import app.latethistle.media.RefusedMedia;
import app.latethistle.server.stored.StillFile;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Base64;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Stills that were brought in for shots to look like. They are kept small: only looked at. */
@Component
public class KeyStills {
  /** As long as the pictures of shots they are held against, and what a page shows. */
  private static final int LONGEST = 640;

  private static final int READY = 8;

  private final JdbcTemplate jdbc;
  private final Kept<String, ColourPicture> ready = new Kept<>(READY);

  KeyStills(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Keeps a still.
   *
   * @param name of its file, for people
   * @return the SHA-256 of the small picture, by which it is known
   * @throws IllegalArgumentException if it is no still, naming the file
   * @throws IOException if it cannot be read
   */
  public String bringIn(String name, InputStream bytes) throws IOException {
    Path file = Files.createTempFile("still", "");
    try {
      Files.copy(bytes, file, StandardCopyOption.REPLACE_EXISTING);
      MediaFacts facts = Probe.probe(file);
      if (facts.kind() != MediaFacts.Kind.STILL) {
        throw new Refused(
            name + " is no still. Bring a clip in as a take, and make its shot the key shot.");
      }
      return keep(name, ColourPng.of(ColourPictures.read(file, facts, 1).get(0).atMost(LONGEST)));
    } catch (RefusedMedia e) {
      throw new RefusedMedia(name + ": " + e.getMessage());
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private String keep(String name, byte[] png) {
    String hash = Fingerprint.of(png);
    jdbc.update(
        "insert into key_still (hash, name, picture) values (?, ?, ?) on conflict do nothing",
        hash,
        name,
        png);
    return hash;
  }

  /** A still's picture; empty if it is not here. */
  public Optional<ColourPicture> of(String hash) {
    Optional<ColourPicture> known = ready.get(hash);
    if (known.isPresent()) {
      return known;
    }
    Optional<ColourPicture> read = png(hash).map(png -> ColourPng.read(png, LONGEST));
    read.ifPresent(picture -> ready.put(hash, picture));
    return read;
  }

  /** The same as a PNG. */
  public Optional<byte[]> png(String hash) {
    return column("picture", byte[].class, hash);
  }

  /** What a still's file was called; empty if it is not here. */
  public Optional<String> name(String hash) {
    return column("name", String.class, hash);
  }

  /** Stills as they go elsewhere; those that are gone are left out. */
  public List<StillFile> files(Collection<String> hashes) {
    return hashes.stream()
        .flatMap(
            hash ->
                png(hash)
                    .map(
                        png ->
                            new StillFile(
                                name(hash).orElse(hash), Base64.getEncoder().encodeToString(png)))
                    .stream())
        .toList();
  }

  /**
   * Keeps stills that came from elsewhere.
   *
   * @throws IllegalArgumentException if one is broken, naming it
   */
  public void bringIn(List<StillFile> files) {
    for (StillFile file : files) {
      byte[] png = Base64.getDecoder().decode(file.png());
      ColourPng.read(png, LONGEST);
      keep(file.name(), png);
    }
  }

  private <T> Optional<T> column(String column, Class<T> type, String hash) {
    return jdbc
        .queryForList("select " + column + " from key_still where hash = ?", type, hash)
        .stream()
        .findFirst();
  }
}
