package app.latethistle.core.film;

import app.latethistle.core.Refused;
import app.latethistle.core.look.Matte;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Edits that lay the subject of a shot of the cut over it, where it stands. */
public final class Lifting {
  /** What becomes of what then lies under the subject. */
  public enum Behind {
    AS_IT_IS,
    /** It is out of focus. */
    BLURRED,
    /** It has no colour. */
    GREY,
    /** Titles that stand over the shot lie there, behind the subject. */
    TITLED
  }

  private Lifting() {}

  /**
   * Lays it over the cut.
   *
   * @param id the shot's
   * @throws IllegalArgumentException if its take has no subject, it is not in the cut, all layers
   *     are taken there, or no title stands over it that could come between
   */
  public static Edit lift(Resolved film, String id, Behind behind) {
    Placement shot = ItemKind.PLACEMENT.get(film.film(), id);
    Take take = film.takes().get(shot.take());
    if (take == null || take.subject().isEmpty()) {
      throw new Refused(
          "Nothing has been cut out of this take yet; draw what its subject is first.");
    }
    int place = film.film().indexOfId(id);
    if (place < 0) {
      throw new Refused("That shot lies over the cut already; say what of it stays.");
    }
    Matte matte = shot.how().matte().withPart(Matte.Part.SUBJECT);
    List<Edit> edits = new ArrayList<>();
    edits.add(
        Layers.layOver(
            film,
            shot.withAppearance(shot.how().withMatte(matte)),
            film.tie(place),
            film.tie(place + 1)));
    switch (behind) {
      case AS_IT_IS -> {}
      case BLURRED -> edits.add(treated(shot, TreatmentKind.BLUR));
      case GREY -> edits.add(treated(shot, TreatmentKind.MONOCHROME));
      case TITLED -> edits.add(titles(film, film.range(place)));
    }
    return new Compound("lift the subject over the cut", edits);
  }

  private static Edit treated(Placement shot, TreatmentKind kind) {
    return SetAspect.of(
        Aspect.TREATMENTS, shot.id(), shot.how().treatments().and(Treatment.usual(kind)));
  }

  /** Titles over some frames go under all layers. */
  private static Edit titles(Resolved film, FrameRange shown) {
    Map<String, Integer> layers = new LinkedHashMap<>();
    film.film()
        .titles()
        .forEach(
            title -> {
              TitlePlace at = film.cutting().beside().titles().get(title.id());
              if (at != null && at.range().overlaps(shown)) {
                layers.put(title.id(), 0);
              }
            });
    if (layers.isEmpty()) {
      throw new Refused("No title stands over this shot; write one there first, in Words.");
    }
    return SetAspect.of(Aspect.TITLE_LAYER, layers);
  }
}
