package app.latethistle.core.marks;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.TitlePlace;
import app.latethistle.core.look.Treatment;
import app.latethistle.core.look.TreatmentKind;
import app.latethistle.core.look.Treatments;
import app.latethistle.core.take.Box;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.Faces;
import app.latethistle.core.type.SetText;
import app.latethistle.core.words.Lettering;
import app.latethistle.core.words.Plate;
import app.latethistle.core.words.TitleWords;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What lies over the pictures of a film so that nothing is seen through it. */
public final class Covers {
  private static final int OPAQUE = 100;

  private final double aspect;
  private final List<Integer> bars;
  private final Map<String, List<Integer>> barsOfShots = new HashMap<>();
  private final List<Plated> plates = new ArrayList<>();

  /** A plate that hides a place for a time. */
  private record Plated(FrameRange at, Box place) {}

  private Covers(double aspect, List<Integer> bars) {
    this.aspect = aspect;
    this.bars = bars;
  }

  /** What lies over a film: bars, and plates of titles while they stand. */
  public static Covers of(Marked marked, Faces faces) {
    Film film = marked.film().film();
    Covers covers = new Covers(marked.aspect(), bars(film.finish().treatments()));
    for (Placement shot : film.placements()) {
      covers.barsOfShots.put(shot.id(), bars(shot.how().treatments()));
    }
    for (FilmTitle title : film.titles()) {
      TitlePlace at = marked.film().cutting().beside().titles().get(title.id());
      if (at != null && !title.movement().rolls()) {
        long leaves = at.leaves(title.movement());
        if (at.landing() < leaves) {
          plate(title, marked, faces)
              .map(place -> new Plated(new FrameRange(at.landing(), leaves), place))
              .ifPresent(covers.plates::add);
        }
      }
    }
    return covers;
  }

  private static List<Integer> bars(Treatments treatments) {
    return treatments.done().stream()
        .filter(t -> t.kind() == TreatmentKind.BARS)
        .map(Treatment::dials)
        .map(dials -> dials.get(0))
        .filter(dial -> dial.drive().isEmpty())
        .map(dial -> dial.value())
        .toList();
  }

  private static Optional<Box> plate(FilmTitle title, Marked marked, Faces faces) {
    Plate plate = title.lettering().plate();
    if (plate.opacity() < OPAQUE) {
      return Optional.empty();
    }
    return switch (plate.kind()) {
      case PICTURE -> Optional.of(new Box(0, 0, 1, 1));
      case BLOCK ->
          Optional.of(
              block(
                  title.words(),
                  title.lettering(),
                  marked.in(title.box()),
                  marked.picture(),
                  faces));
      case NONE, LINES, BAND -> Optional.empty();
    };
  }

  /** What the plate behind a title's block takes up of a picture, in parts of its sides. */
  static Box block(
      TitleWords words,
      Lettering lettering,
      app.latethistle.core.words.Box box,
      PictureShape picture,
      Faces faces) {
    int width = picture.width();
    int height = picture.height();
    Rectangle2D block = SetText.of(words, lettering, box, width, height, faces).block();
    return new Box(
        block.getMinX() / width,
        block.getMinY() / height,
        block.getMaxX() / width,
        block.getMaxY() / height);
  }

  /** Whether one of them hides a mark for as long as it would be seen. */
  public boolean hides(SeenMark mark) {
    return bars.stream().anyMatch(b -> CinemaBars.hides(b, mark.place(), aspect))
        || barsOfShots.getOrDefault(mark.shot(), List.of()).stream()
            .anyMatch(b -> CinemaBars.hides(b, mark.place(), aspect))
        || plates.stream()
            .anyMatch(
                p ->
                    p.at.start() <= mark.at().start()
                        && p.at.end() >= mark.at().end()
                        && contains(p.place, mark.place()));
  }

  private static boolean contains(Box outer, Box inner) {
    return outer.left() <= inner.left()
        && outer.top() <= inner.top()
        && outer.right() >= inner.right()
        && outer.bottom() >= inner.bottom();
  }
}
