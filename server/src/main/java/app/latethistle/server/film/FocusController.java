package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Following;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.marks.SeenTrail;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How shots are framed in other shapes than the film's own. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class FocusController {
  /** Places that a focus goes through where it is followed: between them it goes straight. */
  private static final int FOLLOWED = 12;

  private final FilmEdits edits;
  private final FilmService films;
  private final FocusSearch search;
  private final PlaceFollowing following;

  FocusController(
      FilmEdits edits, FilmService films, FocusSearch search, PlaceFollowing following) {
    this.edits = edits;
    this.films = films;
    this.search = search;
    this.following = following;
  }

  /** Sets what has to be seen of shots; null for their middle. */
  record SetFocus(long revision, List<Integer> places, @Schema(nullable = true) FocusView focus) {}

  /** Has what matters looked for in shots. */
  record FindFocus(long revision, List<Integer> places) {}

  /**
   * Has a shot's focus go with what is there.
   *
   * @param place of the shot in the cut
   * @param frame of the film in which it is pointed at
   * @param x where it is in the take's picture, share of its width, 0 to 1
   * @param y share of its height
   */
  record FollowFocus(long revision, int place, long frame, double x, double y) {}

  /**
   * Frames shots in another shape by themselves.
   *
   * @param fit how; null for about the focus again
   */
  record SetShapeFraming(
      long revision, List<Integer> places, String shape, @Schema(nullable = true) Fit fit) {}

  @PostMapping("/set-focus")
  FilmView setFocus(@PathVariable long productionId, @RequestBody SetFocus s) {
    Optional<Focus> focus = Optional.ofNullable(s.focus()).map(FocusView::focus);
    return edits.make(
        productionId,
        s.revision(),
        state ->
            each(state, s.places(), framing -> framing.withFocus(focus)).called("set the focus"));
  }

  @PostMapping("/find-focus")
  FilmView findFocus(@PathVariable long productionId, @RequestBody FindFocus f) {
    FilmState seen = films.state(productionId);
    Edit found =
        search
            .of(seen, seen.ids(f.places()))
            .orElseThrow(
                () ->
                    new Refused(
                        "Nothing stands out in these pictures; press where their focus is"
                            + " instead."));
    return edits.make(productionId, f.revision(), state -> found);
  }

  @PostMapping("/follow-focus")
  FilmView followFocus(@PathVariable long productionId, @RequestBody FollowFocus f) {
    FilmState seen = films.state(productionId);
    String id = seen.ids(List.of(f.place())).get(0);
    Following follows = following.of(seen, id, f.frame(), f.x(), f.y());
    return edits.make(
        productionId,
        f.revision(),
        state ->
            each(
                    state,
                    List.of(f.place()),
                    framing -> framing.withFocus(focus(state, id, follows, framing)))
                .called("follow the focus"));
  }

  /** The focus along a trail, as large as it was. */
  private static Optional<Focus> focus(
      FilmState state, String id, Following follows, ShapedFraming now) {
    int across = now.focus().map(Focus::across).orElse(0);
    int down = now.focus().map(Focus::down).orElse(0);
    return SeenTrail.shown(state.resolved(), id, follows, FOLLOWED)
        .map(places -> Focus.through(places, across, down));
  }

  @PostMapping("/set-shape-framing")
  FilmView setShapeFraming(@PathVariable long productionId, @RequestBody SetShapeFraming s) {
    Shape shape = OtherShape.parse(s.shape());
    return edits.make(
        productionId,
        s.revision(),
        state ->
            each(
                    state,
                    s.places(),
                    framing ->
                        s.fit() == null
                            ? framing.without(shape)
                            : framing.with(shape, new Framing(s.fit())))
                .called("frame in " + OtherShape.nameOf(shape)));
  }

  private static SetAspect<Placement, ShapedFraming> each(
      FilmState state, List<Integer> places, Function<ShapedFraming, ShapedFraming> change) {
    Map<String, ShapedFraming> values = new LinkedHashMap<>();
    for (String id : state.ids(places)) {
      Placement shot = ItemKind.PLACEMENT.find(state.film(), id).orElseThrow();
      if (shot.hasPicture()) {
        values.put(id, change.apply(shot.framing()));
      }
    }
    if (values.isEmpty()) {
      throw new Refused("Choose a shot first; a gap has no picture.");
    }
    return SetAspect.of(Aspect.FRAMING, values);
  }
}
