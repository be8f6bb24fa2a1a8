package app.latethistle.core.story;

import app.latethistle.core.Refused;
import app.latethistle.core.story.ScriptElement.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.IntUnaryOperator;

/**
 * Reads a script kept as a table: a first row of column names, of them one for scenes, one for what
 * is seen, one for who speaks and one for what is said. A changed scene begins a scene. A cell may
 * say what it is itself ("Maren: It stayed.").
 */
final class TableScript {
  private static final List<String> SCENE = List.of("scene", "place", "section", "segment");
  private static final List<String> ACTION =
      List.of("action", "seen", "picture", "visual", "video", "image", "description", "onscreen");
  private static final List<String> SPEAKER = List.of("speaker", "who", "name", "character");
  private static final List<String> LINE =
      List.of(
          "line",
          "narration",
          "narrator",
          "voice",
          "dialogue",
          "spoken",
          "script",
          "text",
          "audio");

  private final int scene;
  private final int action;
  private final int speaker;
  private final int line;
  private final boolean narrated;

  private TableScript(List<String> head) {
    List<String> names = head.stream().map(TableScript::letters).toList();
    scene = column(names, SCENE);
    action = column(names, ACTION);
    speaker = column(names, SPEAKER);
    line = column(names, LINE);
    narrated = names.contains("narration");
    if (action < 0 && line < 0) {
      throw new Refused(
          "The table's first row must name its columns, with at least 'action' or 'line'; it says '"
              + String.join(", ", head)
              + "'.");
    }
  }

  private static String letters(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}]", "");
  }

  /** The column that is called one of some words, or begins with one; the words before others. */
  private static int column(List<String> names, List<String> words) {
    for (String word : words) {
      if (names.contains(word)) {
        return names.indexOf(word);
      }
    }
    for (int i = 0; i < names.size(); i++) {
      String name = names.get(i);
      if (words.stream().anyMatch(word -> name.startsWith(word))) {
        return i;
      }
    }
    return -1;
  }

  /**
   * Reads rows into a script.
   *
   * @param lines the line of the text that each row stands on
   * @throws IllegalArgumentException if the first row names neither what is seen nor what is said
   */
  static void read(List<List<String>> rows, ElementList out, IntUnaryOperator lines) {
    TableScript columns = new TableScript(rows.get(0));
    String last = "";
    for (int i = 1; i < rows.size(); i++) {
      last = columns.row(rows.get(i), last, out, lines.applyAsInt(i));
    }
  }

  /** Rows as a script. */
  static List<ScriptElement> read(List<List<String>> rows) {
    if (rows.isEmpty()) {
      return new ArrayList<>();
    }
    ElementList out = new ElementList();
    read(rows, out, i -> i + 1);
    return out.elements();
  }

  private String row(List<String> row, String last, ElementList out, int at) {
    String place = cell(row, scene);
    if (!place.isEmpty() && !place.equals(last)) {
      out.add(Kind.SCENE, SceneHeading.clean(place), at);
    }
    out.add(Kind.ACTION, cell(row, action), at);
    String name = cell(row, speaker);
    String said = cell(row, line);
    if (!name.isEmpty() || !out.addLabelled(said, at)) {
      Kind kind = name.isEmpty() || narrated ? Kind.NARRATION : LabelledLine.spokenKind(name, "");
      out.add(kind, ElementList.name(name), LabelledLine.unquoted(said), at);
    }
    return place.isEmpty() ? last : place;
  }

  private static String cell(List<String> row, int column) {
    return column >= 0 && column < row.size() ? row.get(column).strip() : "";
  }
}
