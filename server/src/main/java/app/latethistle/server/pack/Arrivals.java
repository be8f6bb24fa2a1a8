package app.latethistle.server.pack;

import app.latethistle.core.Refused;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What came with a packed production: its files, and what its things are called here. */
public final class Arrivals {
  /** What nothing is called: no row has this number. */
  private static final String GONE = "0";

  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private final Map<String, File> files;
  private final Map<Kind, Map<String, String>> names = new EnumMap<>(Kind.class);

  /** A file in the store, and what it holds. */
  public record File(ContentStore.Stored stored, MediaFacts facts) {}

  /** What is called something else here than where it comes from. */
  public enum Kind {
    SHOT,
    TAKE,
    LINE;

    /** What stands under a name; null if nothing of these. */
    private static Kind named(String name) {
      return switch (name) {
        // Under "key" stands what others are to look like, under "shots" a group of them.
        case "shot", "key", "shots" -> SHOT;
        case "take" -> TAKE;
        case "line" -> LINE;
        default -> null;
      };
    }
  }

  Arrivals(Map<String, File> files) {
    this.files = Map.copyOf(files);
  }

  /**
   * A file by its hash.
   *
   * @throws IllegalArgumentException if it did not come
   */
  public File file(String hash) {
    File file = files.get(hash);
    if (file == null) {
      throw new Refused("The packed production speaks of the file " + hash + " and has it not.");
    }
    return file;
  }

  /** Notes what something is called here. */
  public void call(Kind kind, long before, long now) {
    names
        .computeIfAbsent(kind, k -> new HashMap<>())
        .put(Long.toString(before), Long.toString(now));
  }

  /** What something is called here; null if it did not come. */
  public Long now(Kind kind, Long before) {
    String now = before == null ? GONE : now(kind, Long.toString(before));
    return now.equals(GONE) ? null : Long.valueOf(now);
  }

  private String now(Kind kind, String before) {
    return before.isEmpty() ? "" : names.getOrDefault(kind, Map.of()).getOrDefault(before, GONE);
  }

  /**
   * A film, or what hangs on one, with the shots, takes and lines as they are called here: whatever
   * stands as a text under their names, and what is told line by line. What did not come is called
   * by a name that nothing has.
   */
  public JsonNode renamed(JsonNode film) {
    if (film.isArray()) {
      var list = MAPPER.createArrayNode();
      film.forEach(each -> list.add(renamed(each)));
      return list;
    }
    if (!film.isObject()) {
      return film;
    }
    ObjectNode object = MAPPER.createObjectNode();
    film.properties()
        .forEach(
            field -> {
              Kind kind = Kind.named(field.getKey());
              JsonNode value = field.getValue();
              if (kind != null && isNumber(value)) {
                object.put(field.getKey(), now(kind, value.asString()));
              } else if (kind != null && value.isArray()) {
                object.set(field.getKey(), renamed(kind, value));
              } else if (isByLine(field.getKey()) && value.isObject()) {
                object.set(field.getKey(), byLine(value));
              } else {
                object.set(field.getKey(), renamed(value));
              }
            });
    return object;
  }

  private JsonNode renamed(Kind kind, JsonNode all) {
    var list = MAPPER.createArrayNode();
    all.forEach(
        each -> {
          if (isNumber(each)) {
            list.add(now(kind, each.asString()));
          } else {
            list.add(renamed(each));
          }
        });
    return list;
  }

  /** Rows are called by their numbers; a line may be one that is drawn, too, in a colour. */
  private static boolean isNumber(JsonNode value) {
    return value.isString() && value.asString().matches("\\d*");
  }

  /** Whether an object's own names are those of lines: texts of captions, levels set by hand. */
  private static boolean isByLine(String key) {
    return key.equals("texts") || key.equals("byHand");
  }

  private JsonNode byLine(JsonNode told) {
    ObjectNode object = MAPPER.createObjectNode();
    told.properties()
        .forEach(
            line -> {
              String now = now(Kind.LINE, line.getKey());
              if (!now.equals(GONE)) {
                object.set(now, line.getValue());
              }
            });
    return object;
  }
}
