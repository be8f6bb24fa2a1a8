package app.latethistle.server.voice;

import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.story.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Gives each line of a script what was settled for it: by the same text, else by the likest. */
final class LineMatch {
  private static final double LIKE = 0.4;

  private LineMatch() {}

  /** What is settled of each line, by the line's number; lines without are left out. */
  static Map<Integer, VoiceLine> match(List<SpokenLine> lines, List<VoiceLine> settled) {
    Map<Integer, VoiceLine> matched = new HashMap<>();
    List<VoiceLine> left = new ArrayList<>(settled);
    for (SpokenLine line : lines) {
      left.stream()
          .filter(v -> v.text().equals(line.text()))
          .findFirst()
          .ifPresent(v -> take(matched, left, line, v));
    }
    for (SpokenLine line : lines) {
      if (!matched.containsKey(line.number())) {
        VoiceLine best = null;
        double most = LIKE;
        for (VoiceLine v : left) {
          double like = Words.likeness(v.text(), line.text());
          if (like >= most) {
            most = like;
            best = v;
          }
        }
        if (best != null) {
          take(matched, left, line, best);
        }
      }
    }
    return matched;
  }

  private static void take(
      Map<Integer, VoiceLine> matched, List<VoiceLine> left, SpokenLine line, VoiceLine v) {
    matched.put(line.number(), v);
    left.remove(v);
  }
}
