package app.latethistle.core.marks;

import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Treating;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.take.Box;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Bars above and below a film, as wider films have them, that lie over marks. */
public final class CinemaBars {
  /** Cinema shapes in hundredths, the one that takes least first: common practice, no source. */
  private static final List<Integer> SHAPES = List.of(185, 200, 239);

  private static final List<String> WHOLE_FILM = List.of("");

  private CinemaBars() {}

  /**
   * The shape whose bars take least of the picture and lie over all places.
   *
   * @param aspect the film's width over its height
   * @return in hundredths; empty if none does
   */
  public static Optional<Integer> over(Collection<Box> places, double aspect) {
    return SHAPES.stream()
        .filter(shape -> places.stream().allMatch(place -> hides(shape, place, aspect)))
        .findFirst();
  }

  /** Whether the bars of a shape, in hundredths, lie over a place. */
  static boolean hides(int shape, Box place, double aspect) {
    double bar = (1 - aspect * 100 / shape) / 2;
    double beside = (1 - shape / 100.0 / aspect) / 2;
    return place.bottom() <= bar
        || place.top() >= 1 - bar
        || place.right() <= beside
        || place.left() >= 1 - beside;
  }

  /** Has the whole film drawn with bars of a shape, instead of those it has. */
  public static Edit set(Film film, int shape) {
    Treatment bars = Treatment.of(TreatmentKind.BARS, Dial.at(shape));
    return Treating.set(
        film,
        WHOLE_FILM,
        now ->
            new Treatments(
                Stream.concat(
                        now.list().stream().filter(t -> t.kind() != TreatmentKind.BARS),
                        Stream.of(bars))
                    .toList()));
  }
}
