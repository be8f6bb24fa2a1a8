package app.latethistle.core.music;

import java.util.ArrayList;
import java.util.List;

/**
 * Makes one section of the two on either side of the border nearest to a place.
 *
 * @param at in samples
 */
public record RemoveBorder(long at) implements SongCorrection {
  @Override
  public List<Section> applyTo(List<Section> sections) {
    int border = Section.borderNear(sections, at);
    if (border < 0) {
      return sections;
    }
    List<Section> joined = new ArrayList<>(sections);
    joined.set(border - 1, sections.get(border - 1).with(sections.get(border)));
    joined.remove(border);
    return joined;
  }

  @Override
  public String label() {
    return "join two sections";
  }
}
