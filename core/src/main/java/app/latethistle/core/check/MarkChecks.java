package app.latethistle.core.check;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.marks.Badge;
import app.latethistle.core.marks.CinemaBars;
import app.latethistle.core.marks.Covers;
import app.latethistle.core.marks.Cropping;
import app.latethistle.core.marks.Marked;
import app.latethistle.core.marks.SeenMark;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.type.Faces;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Marks of services that a film shows, in its own shape or in another that it leaves in. */
public final class MarkChecks {
  private final Marked marked;
  private final Faces faces;

  private MarkChecks(Marked marked, Faces faces) {
    this.marked = marked;
    this.faces = faces;
  }

  /** What is seen in the film's own shape, shot by shot. */
  static List<Finding> of(Marked marked, Faces faces) {
    return new MarkChecks(marked, faces).found(marked.film().film().placements(), "");
  }

  /**
   * What is seen in another shape.
   *
   * @param marked as it is seen there
   * @param part the film's frames that leave so
   * @param where what leaves so, for people
   */
  public static List<Finding> of(Marked marked, FrameRange part, String where, Faces faces) {
    List<Placement> shots =
        marked.film().film().placements().stream()
            .filter(p -> !part.intersect(marked.film().rangeOf(p.id())).isEmpty())
            .toList();
    return new MarkChecks(marked, faces).found(shots, " in " + where);
  }

  private List<Finding> found(List<Placement> shots, String where) {
    Covers covers = Covers.of(marked, faces);
    List<Mend> overAll =
        marked.other().isPresent()
            ? List.of()
            : Stream.of(badge(), bars()).flatMap(Optional::stream).toList();
    List<Finding> all = new ArrayList<>();
    for (Placement p : shots) {
      if (p.hasPicture() && marked.seen(p).stream().anyMatch(mark -> !covers.hides(mark))) {
        FrameRange at = marked.film().rangeOf(p.id());
        double seconds = marked.film().rate().secondsOf(at.length());
        List<Mend> ways =
            Stream.concat(
                    framedOut(p, marked.film().takes().get(p.take())).stream(), overAll.stream())
                .toList();
        all.add(
            Finding.at(
                    at,
                    Check.MARKS,
                    Verdict.MUST,
                    Said.of("corner mark seen for %.1f s", seconds) + where)
                .about(p.id())
                .with(ways));
      }
    }
    return all;
  }

  /** All marks of the take are left out, those too that are not seen now. */
  private Optional<Mend> framedOut(Placement p, Take take) {
    Framing now = p.framing().in(marked.other(), take.shape());
    return Cropping.around(take.marks(), now, take.shape(), marked.aspect(), Cropping.CLOSEST)
        .map(
            crop ->
                new Mend(
                    Said.of("Frame it out, %.0f %% closer", 100 * (crop.enlarged() - 1)),
                    Said.of("%.0f %% of the picture is lost", 100 * crop.lost()),
                    SetAspect.of(Aspect.FRAMING, p.id(), with(p.framing(), crop.framing()))));
  }

  private ShapedFraming with(ShapedFraming framing, Framing crop) {
    Optional<Shape> other = marked.other();
    return other.isPresent() ? framing.with(other.get(), crop) : framing.withOwn(crop);
  }

  /** A badge that the film has lies over every mark again. */
  private Optional<Mend> badge() {
    return Badge.in(marked.film().film())
        .map(
            badge ->
                new Mend(
                    "Cover it with “" + badge.sign().text() + "”",
                    "",
                    () -> badge.over(marked, faces)));
  }

  private Optional<Mend> bars() {
    double aspect = marked.aspect();
    return CinemaBars.over(marked.seen().stream().map(SeenMark::place).toList(), aspect)
        .map(
            shape ->
                new Mend(
                    Said.of("Bars of %.2f over the film", shape / 100.0),
                    Said.of("%.0f %% of the picture is lost", 100 * (1 - aspect * 100 / shape)),
                    CinemaBars.set(marked.film().film(), shape)));
  }
}
