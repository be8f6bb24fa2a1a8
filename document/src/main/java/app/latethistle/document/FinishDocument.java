package app.latethistle.document;

import app.latethistle.core.look.Treatments;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;

/**
 * A finish that goes from one film to another: what is done to the picture of a whole film, under a
 * name. As JSON it is {@code {"lateThistleFinish": 1, "name": ..., "says": ..., "treatments":
 * [...]}}, the list as in a film document.
 *
 * @param version of the format; {@value #VERSION}
 * @param name for people, 1 to 40 characters
 * @param says in a few words what it looks like, at most 120 characters; may be left out
 * @param treatments what is done, in order; at least one
 */
public record FinishDocument(
    @JsonProperty("lateThistleFinish") int version,
    String name,
    String says,
    List<LookForms.Treated> treatments) {
  /** The format that is written. */
  public static final int VERSION = 1;

  private static final int LONGEST_NAME = 40;
  private static final int LONGEST_WORDS = 120;

  private static final List<String> OURS =
      List.of(
          "lamp-and-frost",
          "old-letter",
          "soft-black-and-white",
          "hard-black-and-white",
          "snow-light",
          "summer-print",
          "night-lamps",
          "washed-out",
          "newsreel",
          "wide-screen",
          "brown-card",
          "fog");

  /** Of treatments, under a name. */
  public static FinishDocument of(String name, String says, Treatments treatments) {
    return new FinishDocument(VERSION, name, says, LookForms.Done.of(treatments).list());
  }

  /** Those that come with the application. */
  public static List<FinishDocument> ours() {
    return Ours.READ;
  }

  /** Read when they are first asked for. */
  private static final class Ours {
    private static final List<FinishDocument> READ =
        OURS.stream().map(FinishDocument::own).toList();
  }

  private static FinishDocument own(String file) {
    String name = "finishes/" + file + ".json";
    try (InputStream in = FinishDocument.class.getResourceAsStream(name)) {
      return read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(name, e);
    }
  }

  /**
   * Reads one.
   *
   * @throws BrokenDocument if it is none, with the place that is wrong and what is wrong there
   */
  public static FinishDocument read(String json) throws IOException {
    FinishDocument document;
    try {
      JsonNode tree = FilmDocument.MAPPER.readTree(json);
      if (!tree.isObject() || tree.path("lateThistleFinish").asInt(0) != VERSION) {
        throw BrokenDocument.at(
            "/lateThistleFinish", "this is no finish of version " + VERSION + ".");
      }
      document =
          FilmDocument.MAPPER
              .readerFor(FinishDocument.class)
              .with(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
              .readValue(tree);
    } catch (JacksonException e) {
      throw new BrokenDocument("This is no finish: " + e.getOriginalMessage());
    }
    document.check();
    return document;
  }

  private void check() throws BrokenDocument {
    if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
      throw BrokenDocument.at("/name", "a finish's name has 1 to " + LONGEST_NAME + " characters.");
    }
    if (says != null && says.length() > LONGEST_WORDS) {
      throw BrokenDocument.at("/says", "at most " + LONGEST_WORDS + " characters.");
    }
    if (Say.or(treatments).isEmpty()) {
      throw BrokenDocument.at("/treatments", "a finish does something.");
    }
    for (int i = 0; i < treatments.size(); i++) {
      FilmDocument.at("/treatments/" + i, treatments.get(i)::get);
    }
    FilmDocument.at("/treatments", this::get);
  }

  /** What is done. */
  public Treatments get() {
    return LookForms.Done.get(new LookForms.Done(treatments));
  }

  /** The document as JSON. */
  public String write() {
    return FilmDocument.MAPPER.writeValueAsString(this) + "\n";
  }
}
