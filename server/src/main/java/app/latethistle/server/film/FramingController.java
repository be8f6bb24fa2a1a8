package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.FramingPath;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.plan.FramingProposal;
import app.latethistle.core.plan.SteadyPath;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.server.material.Pictures;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.WantedShots;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How the camera moves over takes. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class FramingController {
  private final FilmEdits edits;
  private final FilmViews views;
  private final WantedShots wanted;
  private final Pictures pictures;

  FramingController(FilmEdits edits, FilmViews views, WantedShots wanted, Pictures pictures) {
    this.edits = edits;
    this.views = views;
    this.wanted = wanted;
    this.pictures = pictures;
  }

  /** Sets a move over shots; null stands still again, as much as fills the picture. */
  record SetPath(long revision, List<Integer> places, @Schema(nullable = true) PathView path) {}

  record ProposePath(long revision, List<Integer> places) {}

  record SteadyShots(long revision, List<Integer> places, SteadyPath.Manner manner) {}

  @PostMapping("/set-path")
  FilmView setPath(@PathVariable long productionId, @RequestBody SetPath s) {
    return edits.make(
        productionId,
        s.revision(),
        state -> {
          Map<String, ShapedFraming> values = new LinkedHashMap<>();
          for (String id : state.ids(s.places())) {
            Placement shot = placement(state, id);
            Framing own =
                s.path() == null
                    ? Framing.FILL
                    : Framing.along(
                        s.path().path().within(clip(state, shot), film(state).aspect()));
            values.put(id, shot.framing().withOwn(own));
          }
          return SetAspect.of(Aspect.FRAMING, values)
              .called(s.path() == null ? "stop a move" : "move the camera");
        });
  }

  /** Gives shots the moves that were asked of the camera. */
  @PostMapping("/propose-path")
  FilmView proposePath(@PathVariable long productionId, @RequestBody ProposePath p) {
    Map<Long, Shot> shots = views.shotsOf(productionId);
    Map<Integer, StoryShot> story = wanted.of(productionId);
    return edits.make(
        productionId,
        p.revision(),
        state -> {
          Map<String, ShapedFraming> values = new LinkedHashMap<>();
          for (String id : state.ids(p.places())) {
            Placement shot = placement(state, id);
            FrameRange range = state.resolved().rangeOf(id);
            Optional.ofNullable(shots.get(Long.valueOf(shot.shot())))
                .map(Shot::storyShot)
                .map(story::get)
                .map(StoryShot::move)
                .flatMap(
                    asked ->
                        FramingProposal.of(
                            asked,
                            state.production().rate().secondsOf(range.length()),
                            clip(state, shot),
                            film(state).aspect()))
                .ifPresent(found -> values.put(id, shot.framing().withOwn(Framing.along(found))));
          }
          if (values.isEmpty()) {
            throw new Refused(
                "No push, pull, pan or tilt was asked of the camera here; set the two frames by hand.");
          }
          return SetAspect.of(Aspect.FRAMING, values).called("move the camera as asked");
        });
  }

  /** Takes the movement of their takes out of shots. */
  @PostMapping("/steady-path")
  FilmView steadyPath(@PathVariable long productionId, @RequestBody SteadyShots s) {
    return edits.make(
        productionId,
        s.revision(),
        state -> {
          Map<String, ShapedFraming> values = new LinkedHashMap<>();
          for (int place : s.places()) {
            Placement shot = placement(state, state.film().placementAt(place).id());
            FramingPath path =
                SteadyPath.of(
                        travel(state, place, shot),
                        s.manner(),
                        state.production().rate().perSecond(),
                        clip(state, shot),
                        film(state).aspect())
                    .orElseThrow(
                        () ->
                            new Refused(
                                "The picture moves too far to be held; a shorter part of it, or"
                                    + " smoothing it, may do."));
            values.put(shot.id(), shot.framing().withOwn(Framing.along(path)));
          }
          return SetAspect.of(Aspect.FRAMING, values).called("steady a shot");
        });
  }

  /** How the picture moves in the frames in which a shot is seen. */
  private List<Travel> travel(FilmState state, int place, Placement shot) {
    FrameRange own = state.cutting().rangeOf(place);
    FrameRange seen = state.cutting().seenOf(place);
    Take take = state.takes().get(shot.take());
    List<Long> frames = new ArrayList<>();
    for (long f = seen.start(); f < seen.end(); f++) {
      long k = f - own.start();
      frames.add(Math.round(shot.run().frame(shot.in(), take.frames(), k, own.length())));
    }
    return pictures.travel(take.media(), state.production().rate(), frames);
  }

  private static Placement placement(FilmState state, String id) {
    Placement shot = state.film().placementAt(state.film().indexOfId(id));
    if (!shot.hasPicture()) {
      throw new Refused("A gap has no picture to move over; choose a shot.");
    }
    return shot;
  }

  private static PictureShape clip(FilmState state, Placement shot) {
    return state.takeOf(shot).shape();
  }

  private static PictureShape film(FilmState state) {
    return state.production().shape();
  }
}
