package app.latethistle.server.stored;

import app.latethistle.core.take.Box;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Boxes of a picture, as they are stored. */
public final class StoredBoxes {
  private static final int FORMAT = 1;

  private StoredBoxes() {}

  private record Placed(double left, double top, double right, double bottom) {}

  private record Boxes(List<Placed> boxes) {}

  /** Boxes as text. */
  public static String write(List<Box> boxes) {
    return Json.write(
        FORMAT,
        new Boxes(
            boxes.stream()
                .map(b -> new Placed(b.left(), b.top(), b.right(), b.bottom()))
                .toList()));
  }

  /** Boxes of any format. */
  public static List<Box> read(String text) {
    JsonNode tree = Json.tree(text);
    Json.format(tree, FORMAT);
    return Json.as(tree, Boxes.class).boxes.stream()
        .map(b -> new Box(b.left, b.top, b.right, b.bottom))
        .toList();
  }
}
