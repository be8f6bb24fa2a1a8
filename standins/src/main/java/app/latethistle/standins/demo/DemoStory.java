package app.latethistle.standins.demo;

import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.Csv;
import app.latethistle.core.story.Lexicon;
import app.latethistle.core.story.StoryShot;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Reads the demo's shots from a table: number, seconds, move, line, who, where, mood, seen. */
final class DemoStory {
  private DemoStory() {}

  static List<StoryShot> shots(String table) {
    List<StoryShot> shots = new ArrayList<>();
    for (List<String> row : Csv.read(table)) {
      String seen = row.get(7);
      var m = java.util.regex.Pattern.compile("\"([^\"]+)\"").matcher(seen);
      List<String> sounds =
          Lexicon.USUAL.soundsFor(seen).stream().map(Lexicon.Sound::name).limit(2).toList();
      shots.add(
          new StoryShot(
              shots.size() + 1,
              row.get(0),
              seen,
              Stream.of(row.get(4).split("\\+")).filter(n -> !n.isBlank()).toList(),
              row.get(5),
              "",
              CameraMove.parse(row.get(2)),
              2,
              Double.parseDouble(row.get(1)),
              row.get(6),
              sounds,
              m.find() ? m.group(1) : "",
              Integer.parseInt(row.get(3))));
    }
    return shots;
  }
}
