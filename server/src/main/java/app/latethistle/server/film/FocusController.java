package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
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
  private final FilmEdits edits;
  private final FocusSearch search;

  FocusController(FilmEdits edits, FocusSearch search) {
    this.edits = edits;
    this.search = search;
  }

  /** Sets what has to be seen of shots; null for their middle. */
  record SetFocus(long revision, List<Integer> places, @Schema(nullable = true) FocusView focus) {}

  /** Has what matters looked for in shots. */
  record FindFocus(long revision, List<Integer> places) {}

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
    return edits.make(
        productionId,
        f.revision(),
        state ->
            search
                .of(state, state.ids(f.places()))
                .orElseThrow(
                    () ->
                        new Refused(
                            "Nothing stands out in these pictures; press where their focus is"
                                + " instead.")));
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
