package app.latethistle.server.stored;

import app.latethistle.core.look.Mask.Spot;
import app.latethistle.core.subject.Guide;
import app.latethistle.core.subject.Stroke;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** What was drawn on the pictures of a take, as it is stored. */
public final class StoredGuides {
  /** Nothing was drawn. */
  public static final String NONE = "{\"format\":1,\"guides\":[]}";

  private static final int FORMAT = 1;

  private StoredGuides() {}

  private record Place(int x, int y) {}

  private record Drawn(String kind, List<Place> points) {}

  private record Picture(long frame, List<Drawn> strokes) {}

  private record Guides(List<Picture> guides) {}

  /** Guides as text. */
  public static String write(List<Guide> guides) {
    return Json.write(
        FORMAT,
        new Guides(
            guides.stream()
                .map(
                    g ->
                        new Picture(
                            g.frame(), g.strokes().stream().map(StoredGuides::drawn).toList()))
                .toList()));
  }

  private static Drawn drawn(Stroke stroke) {
    return new Drawn(
        stroke.kind().name(), stroke.points().stream().map(p -> new Place(p.x(), p.y())).toList());
  }

  /** Guides of any format. */
  public static List<Guide> read(String text) {
    JsonNode tree = Json.tree(text);
    Json.format(tree, FORMAT);
    return Json.as(tree, Guides.class).guides.stream()
        .map(g -> new Guide(g.frame, g.strokes.stream().map(StoredGuides::stroke).toList()))
        .toList();
  }

  private static Stroke stroke(Drawn drawn) {
    return new Stroke(
        Stroke.Kind.valueOf(drawn.kind),
        drawn.points.stream().map(p -> new Spot(p.x, p.y)).toList());
  }
}
