package app.latethistle.core.music;

import java.util.ArrayList;
import java.util.List;

/**
 * Begins a new section where one goes on.
 *
 * @param at in samples
 */
public record AddBorder(long at) implements SongCorrection {
  @Override
  public List<Section> applyTo(List<Section> sections) {
    List<Section> parts = new ArrayList<>();
    for (Section s : sections) {
      if (s.start() < at && at < s.end()) {
        parts.add(s.between(s.start(), at));
        parts.add(s.between(at, s.end()));
      } else {
        parts.add(s);
      }
    }
    return parts;
  }

  @Override
  public String label() {
    return "begin a section";
  }
}
