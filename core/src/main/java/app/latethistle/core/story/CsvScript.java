package app.latethistle.core.story;

import app.latethistle.core.Refused;
import app.latethistle.core.story.ScriptElement.Kind;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Reads a script kept as a table: a first row of column names, of them "scene", "action" (or
 * "seen", "picture"), "speaker", "line" (or "text", "narration", "voice"). A changed scene begins a
 * scene.
 */
final class CsvScript {
  private CsvScript() {}

  static List<ScriptElement> read(String text) {
    List<List<String>> rows = Csv.read(text);
    if (rows.isEmpty()) {
      return List.of();
    }
    List<String> names = rows.get(0).stream().map(n -> n.toLowerCase(Locale.ROOT)).toList();
    Map<String, Integer> columns =
        IntStream.range(0, names.size())
            .boxed()
            .collect(Collectors.toMap(names::get, i -> i, (a, b) -> a));
    int scene = column(columns, "scene", "place");
    int action = column(columns, "action", "seen", "picture", "description");
    int speaker = column(columns, "speaker", "who", "name");
    int line = column(columns, "line", "text", "narration", "voice", "dialogue");
    if (action < 0 && line < 0) {
      throw new Refused(
          "The table's first row must name its columns, with at least 'action' or 'line'; it says '"
              + String.join(", ", rows.get(0))
              + "'.");
    }
    ElementList out = new ElementList();
    String last = "";
    for (int i = 1; i < rows.size(); i++) {
      List<String> row = rows.get(i);
      String place = cell(row, scene);
      if (!place.isEmpty() && !place.equals(last)) {
        out.add(Kind.SCENE, SceneHeading.clean(place), i + 1);
        last = place;
      }
      out.add(Kind.ACTION, cell(row, action), i + 1);
      String name = cell(row, speaker);
      Kind kind =
          name.isEmpty() || columns.containsKey("narration")
              ? Kind.NARRATION
              : ElementList.spokenKind(name, "");
      out.add(kind, ElementList.name(name), cell(row, line), i + 1);
    }
    return out.elements();
  }

  private static int column(Map<String, Integer> columns, String... names) {
    for (String name : names) {
      if (columns.containsKey(name)) {
        return columns.get(name);
      }
    }
    return -1;
  }

  private static String cell(List<String> row, int column) {
    return column >= 0 && column < row.size() ? row.get(column) : "";
  }
}
