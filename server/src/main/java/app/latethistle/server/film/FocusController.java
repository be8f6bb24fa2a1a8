package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Focus;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Shape;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.measure.FocusFinder;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.material.Pictures;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
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
  /** Pictures of a take that are looked at for what matters in it. */
  private static final int LOOKED_AT = 9;

  private static final int WHOLE = 1000;

  private final FilmService films;
  private final FilmViews views;
  private final Pictures pictures;

  FocusController(FilmService films, FilmViews views, Pictures pictures) {
    this.films = films;
    this.views = views;
    this.pictures = pictures;
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
    return edit(
        productionId,
        s.revision(),
        state ->
            each(state, s.places(), framing -> framing.withFocus(focus)).called("set the focus"));
  }

  @PostMapping("/find-focus")
  FilmView findFocus(@PathVariable long productionId, @RequestBody FindFocus f) {
    return edit(
        productionId,
        f.revision(),
        state -> {
          Map<String, ShapedFraming> found = new LinkedHashMap<>();
          for (String id : state.ids(f.places())) {
            Placement shot = ItemKind.PLACEMENT.find(state.film(), id).orElseThrow();
            Take take = state.takes().get(shot.take());
            if (take != null) {
              found(state, id, take)
                  .ifPresent(focus -> found.put(id, shot.framing().withFocus(Optional.of(focus))));
            }
          }
          if (found.isEmpty()) {
            throw new Refused(
                "Nothing stands out in these pictures; press where their focus is instead.");
          }
          return SetAspect.of(Aspect.FRAMING, found).called("find the focus");
        });
  }

  @PostMapping("/set-shape-framing")
  FilmView setShapeFraming(@PathVariable long productionId, @RequestBody SetShapeFraming s) {
    Shape shape = OtherShape.parse(s.shape());
    return edit(
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

  /** What matters in the part of a take that a shot shows. */
  private Optional<Focus> found(FilmState state, String id, Take take) {
    FrameRange shown = state.resolved().shown(id);
    List<Long> frames = new ArrayList<>();
    for (int i = 0; i < LOOKED_AT; i++) {
      long frame = shown.start() + (shown.length() - 1) * i / (LOOKED_AT - 1);
      frames.add(Math.max(0, Math.min(take.frames() - 1, frame)));
    }
    try {
      return pictures
          .focus(take.media(), state.production().rate(), frames)
          .map(FocusController::of);
    } catch (IOException e) {
      throw new UncheckedIOException("The pictures of a take could not be read.", e);
    }
  }

  private static Focus of(FocusFinder.Found found) {
    List<Focus.Point> points = new ArrayList<>();
    int last = Math.max(1, found.places().size() - 1);
    for (FocusFinder.Place place : found.places()) {
      points.add(
          new Focus.Point(
              points.size() * WHOLE / last, thousandths(place.x()), thousandths(place.y())));
    }
    return new Focus(
        points, thousandths(found.across()), thousandths(found.down()), /* from= */ 0, /* to= */ 1);
  }

  private static int thousandths(double share) {
    return (int) Math.round(share * WHOLE);
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

  private FilmView edit(long productionId, long revision, Function<FilmState, Edit> edit) {
    return views.of(films.edit(productionId, revision, edit));
  }
}
