package app.latethistle.document;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/** The published schema of film documents. */
public final class FilmSchema {
  /** More than this many mistakes at once are told by their number. */
  private static final int TOLD = 5;

  private static final String TEXT = text();
  private static final Schema SCHEMA =
      SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(TEXT);

  private FilmSchema() {}

  /** The schema, as JSON. */
  public static String json() {
    return TEXT;
  }

  /**
   * Holds a document against the schema.
   *
   * @throws BrokenDocument if it does not hold, with each place
   */
  static void check(JsonNode document) throws BrokenDocument {
    var wrong = SCHEMA.validate(document);
    if (wrong.isEmpty()) {
      return;
    }
    String told =
        wrong.stream()
            .limit(TOLD)
            .map(e -> place(e.getInstanceLocation().toString()) + ": " + e.getMessage())
            .distinct()
            .collect(Collectors.joining("; "));
    int more = wrong.size() - TOLD;
    throw new BrokenDocument(more > 0 ? told + "; and " + more + " more" : told);
  }

  private static String place(String pointer) {
    return pointer.isEmpty() ? "/" : pointer;
  }

  private static String text() {
    try (InputStream in = FilmSchema.class.getResourceAsStream("film-document.schema.json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
