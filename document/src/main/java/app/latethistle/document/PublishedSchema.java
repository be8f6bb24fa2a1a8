package app.latethistle.document;

import app.latethistle.core.FirstFew;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** A schema that ships with the application and that documents are held against. */
public final class PublishedSchema {
  /** That of film documents. */
  public static final PublishedSchema FILM = of("film-document.schema.json");

  /** That of {@code production.json} in a packed production. */
  public static final PublishedSchema PRODUCTION = of("production.schema.json");

  /** More than this many mistakes at once are told by their number. */
  private static final int TOLD = 5;

  private final String text;
  private final Schema schema;

  private PublishedSchema(String text) {
    this.text = text;
    schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(text);
  }

  /** The schema in a file beside this class. */
  private static PublishedSchema of(String name) {
    try (InputStream in = PublishedSchema.class.getResourceAsStream(name)) {
      return new PublishedSchema(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The schema, as JSON. */
  public String json() {
    return text;
  }

  /**
   * Holds a document against the schema.
   *
   * @throws BrokenDocument if it does not hold, with each place
   */
  void check(JsonNode document) throws BrokenDocument {
    var wrong = schema.validate(document);
    if (wrong.isEmpty()) {
      return;
    }
    List<String> told =
        wrong.stream()
            .map(e -> place(e.getInstanceLocation().toString()) + ": " + e.getMessage())
            .distinct()
            .toList();
    throw new BrokenDocument(FirstFew.of(told, TOLD, "; "));
  }

  private static String place(String pointer) {
    return pointer.isEmpty() ? "/" : pointer;
  }
}
