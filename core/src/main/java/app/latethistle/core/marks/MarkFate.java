package app.latethistle.core.marks;

import app.latethistle.core.film.Placement;
import app.latethistle.core.take.Take;
import app.latethistle.core.type.Faces;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What became of the marks of a take in a shot of a film. */
public enum MarkFate {
  /** No part of them is in the picture. */
  FRAMED_OUT,
  /** Something lies over each that is. */
  COVERED,
  /** One at least is seen. */
  SEEN;

  /** The fates of the marks in every shot of the cut whose take has some, by the shot's id. */
  public static Map<String, MarkFate> of(Marked marked, Faces faces) {
    Covers covers = Covers.of(marked, faces);
    Map<String, MarkFate> fates = new LinkedHashMap<>();
    for (Placement shot : marked.film().film().placements()) {
      Take take = marked.film().takes().get(shot.take());
      if (shot.hasPicture() && take != null && !take.marks().isEmpty()) {
        List<SeenMark> seen = marked.seen(shot);
        fates.put(
            shot.id(),
            seen.isEmpty() ? FRAMED_OUT : seen.stream().allMatch(covers::hides) ? COVERED : SEEN);
      }
    }
    return fates;
  }
}
