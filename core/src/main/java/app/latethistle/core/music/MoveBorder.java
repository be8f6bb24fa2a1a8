package app.latethistle.core.music;

import java.util.ArrayList;
import java.util.List;

/**
 * Moves the border of sections nearest to a place to another; it stays between its neighbours.
 *
 * @param from in samples
 * @param to in samples
 */
public record MoveBorder(long from, long to) implements SongCorrection {
  @Override
  public List<Section> applyTo(List<Section> sections) {
    int border = Section.borderNear(sections, from);
    if (border < 0) {
      return sections;
    }
    Section before = sections.get(border - 1);
    Section after = sections.get(border);
    if (to <= before.start() || to >= after.end()) {
      return sections;
    }
    List<Section> moved = new ArrayList<>(sections);
    moved.set(border - 1, before.between(before.start(), to));
    moved.set(border, after.between(to, after.end()));
    return moved;
  }

  @Override
  public String label() {
    return "move a section's border";
  }
}
