package app.latethistle.core.people;

import app.latethistle.core.measure.FocusFinder;
import app.latethistle.core.measure.Trail.Place;
import app.latethistle.core.take.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What matters in a take that shows faces: they do, in each of some of its pictures. */
public final class FaceFocus {
  /** A face at least so large beside the largest matters too; no source. */
  private static final double BESIDE = 0.5;

  /** How much larger than its face a head with its hair is; no source. */
  private static final double HEAD = 1.5;

  private FaceFocus() {}

  /**
   * Where faces are; empty unless most of the pictures show some.
   *
   * @param pictures the faces of pictures at even times, from the first to the last
   */
  public static Optional<FocusFinder.Found> of(List<List<SeenFace>> pictures) {
    List<Box> heads =
        pictures.stream().filter(faces -> !faces.isEmpty()).map(FaceFocus::heads).toList();
    if (2 * heads.size() <= pictures.size()) {
      return Optional.empty();
    }
    List<Place> places = new ArrayList<>();
    double across = 0;
    double down = 0;
    for (Box box : heads) {
      places.add(new Place((box.left() + box.right()) / 2, (box.top() + box.bottom()) / 2));
      across = Math.max(across, box.right() - box.left());
      down = Math.max(down, box.bottom() - box.top());
    }
    return Optional.of(
        new FocusFinder.Found(FocusFinder.way(places), Math.min(1, across), Math.min(1, down)));
  }

  /** What the heads of a picture take up together, without those far smaller than others. */
  private static Box heads(List<SeenFace> faces) {
    double largest = faces.stream().mapToDouble(face -> width(face.place())).max().orElseThrow();
    return faces.stream()
        .map(SeenFace::place)
        .filter(place -> width(place) >= BESIDE * largest)
        .map(FaceFocus::head)
        .reduce(Box::around)
        .orElseThrow();
  }

  private static double width(Box box) {
    return box.right() - box.left();
  }

  private static Box head(Box face) {
    double x = (face.left() + face.right()) / 2;
    double y = (face.top() + face.bottom()) / 2;
    double across = HEAD * (face.right() - face.left()) / 2;
    double down = HEAD * (face.bottom() - face.top()) / 2;
    return new Box(
        Math.max(0, x - across),
        Math.max(0, y - down),
        Math.min(1, x + across),
        Math.min(1, y + down));
  }
}
