package app.latethistle.document;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/**
 * What a packed production is: {@code production.json} in its zip.
 *
 * @param version of the format; {@value #VERSION}
 * @param title for people
 * @param picture the size of the film's picture
 * @param rate frames a second, as "24" or "24000/1001"
 * @param seconds how long the film is wanted
 * @param files all it uses
 * @param parts what each part of the application keeps of it, by the part's name
 */
public record ProductionDocument(
    @JsonProperty("lateThistleProduction") int version,
    String title,
    FilmDocument.Picture picture,
    String rate,
    double seconds,
    List<PackedFile> files,
    Map<String, JsonNode> parts) {
  /** The format that is written. */
  public static final int VERSION = 1;

  /** The document's name in the zip. */
  public static final String NAME = "production.json";

  /**
   * Bytes that a document of a zip may have; a film of an hour with its story has some millions.
   */
  public static final int LONGEST = 64_000_000;

  /** The name of the film's document in the zip. */
  public static final String FILM = "film.json";

  /**
   * A file.
   *
   * @param name what it is called
   * @param path where it is in the zip; null if it was left out
   * @param sha256 of its bytes, as 64 hexadecimal digits
   */
  public record PackedFile(String name, String path, String sha256, long bytes) {
    /** The same, left out of the zip. */
    public PackedFile withoutPath() {
      return new PackedFile(name, null, sha256, bytes);
    }
  }

  /** Copies the lists. */
  public ProductionDocument {
    files = List.copyOf(Say.or(files));
    parts = Map.copyOf(Say.or(parts, Map.of()));
  }

  /**
   * Reads a document.
   *
   * @throws BrokenDocument if it is none, with each place that is wrong and what is wrong there
   */
  public static ProductionDocument read(String json) throws BrokenDocument {
    try {
      JsonNode tree = FilmDocument.MAPPER.readTree(json);
      int version = tree.path("lateThistleProduction").asInt(0);
      if (version > VERSION) {
        throw new BrokenDocument(
            "it was packed by a newer release (format "
                + version
                + "; this one reads up to "
                + VERSION
                + "). Bring it into that release or a newer one.");
      }
      PublishedSchema.PRODUCTION.check(tree);
      ProductionDocument document = FilmDocument.MAPPER.treeToValue(tree, ProductionDocument.class);
      Set<String> known = new HashSet<>();
      for (int i = 0; i < document.files.size(); i++) {
        PackedFile file = document.files.get(i);
        if (!known.add(file.sha256) || (file.path != null && !known.add(file.path))) {
          throw BrokenDocument.at("/files/" + i, "this file is listed twice.");
        }
      }
      return document;
    } catch (JacksonException e) {
      throw new BrokenDocument("this is not JSON: " + e.getOriginalMessage());
    }
  }

  /** The document as JSON. */
  public String write() {
    return FilmDocument.MAPPER.writeValueAsString(this) + "\n";
  }
}
