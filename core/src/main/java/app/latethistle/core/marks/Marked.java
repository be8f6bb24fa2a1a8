package app.latethistle.core.marks;

import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.measure.Box;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A film some of whose takes have marks.
 *
 * @param picture the film's
 * @param marks boxes of marks in takes, by the takes' ids
 */
public record Marked(Resolved film, PictureShape picture, Map<String, List<Box>> marks) {
  /** Copies the map. */
  public Marked {
    marks = Map.copyOf(marks);
  }

  /** The film's width over its height. */
  double aspect() {
    return picture.width() * picture.pixelAspect() / picture.height();
  }

  /** Every mark that a shot of the cut shows, in the film's order. */
  public List<SeenMark> seen() {
    return film.film().placements().stream().flatMap(p -> seen(p).stream()).toList();
  }

  /** The marks that one shot of the cut shows, over the time it is seen. */
  public List<SeenMark> seen(Placement shot) {
    List<SeenMark> all = new ArrayList<>();
    Take take = shot.hasPicture() ? film.takes().get(shot.take()) : null;
    if (take != null && marks.containsKey(take.id())) {
      FrameRange at = film.cutting().seenOf(film.film().indexOfId(shot.id()));
      for (Box mark : marks.get(take.id())) {
        SeenMark.place(shot.framing().own(), mark, take.shape(), aspect())
            .map(place -> new SeenMark(shot.id(), at, place))
            .ifPresent(all::add);
      }
    }
    return all;
  }
}
