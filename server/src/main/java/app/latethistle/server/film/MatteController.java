package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Lifting;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.Key;
import app.latethistle.core.look.Mask;
import app.latethistle.core.look.Matte;
import app.latethistle.server.material.Pictures;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What of a picture stays when it is laid over another. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class MatteController {
  private final FilmEdits edits;
  private final Pictures pictures;

  MatteController(FilmEdits edits, Pictures pictures) {
    this.edits = edits;
    this.pictures = pictures;
  }

  /** What stays of a shot, or of what lies over the cut, in place of what stayed. */
  record SetMatte(long revision, String item, MatteView matte) {}

  /** One more mask on a shot, or on what lies over the cut: in the middle of its picture. */
  record AddMask(long revision, String item, Mask.Kind kind) {}

  /**
   * Takes one more colour out of a shot, or of what lies over the cut, as one usually goes.
   *
   * @param colour as #rrggbb; null for that of its backing, which is found
   */
  record TakeOutColour(long revision, String item, @Schema(nullable = true) String colour) {}

  /**
   * The subject of a shot of the cut that is laid over it.
   *
   * @param behind what becomes of what is behind it; null for nothing
   */
  record LiftSubject(long revision, String item, @Schema(nullable = true) Lifting.Behind behind) {}

  @PostMapping("/set-matte")
  FilmView setMatte(@PathVariable long productionId, @RequestBody SetMatte s) {
    Matte matte = s.matte().matte();
    return edits.make(
        productionId,
        s.revision(),
        state ->
            SetAspect.of(Aspect.MATTE, s.item(), matte)
                .called(matte.isNone() ? "let the whole picture stay" : "change what stays"));
  }

  @PostMapping("/add-mask")
  FilmView addMask(@PathVariable long productionId, @RequestBody AddMask a) {
    return edits.make(
        productionId,
        a.revision(),
        state -> {
          Matte matte = state.shot(a.item()).how().matte();
          return SetAspect.of(Aspect.MATTE, a.item(), matte.and(Mask.usual(a.kind())))
              .called("mask a picture");
        });
  }

  @PostMapping("/take-out-colour")
  FilmView takeOutColour(@PathVariable long productionId, @RequestBody TakeOutColour t) {
    return edits.make(
        productionId,
        t.revision(),
        state -> {
          Placement shot = state.shot(t.item());
          int colour = t.colour() == null ? backing(state, shot) : Passing.rgb(t.colour());
          return SetAspect.of(Aspect.MATTE, t.item(), shot.how().matte().and(Key.of(colour)))
              .called("take the backing out");
        });
  }

  /**
   * The subject of a shot of the cut, laid over it where it stands, so that something can come
   * between them and what is behind it can be changed alone, which is done at once if wanted.
   */
  @PostMapping("/lift-subject")
  FilmView liftSubject(@PathVariable long productionId, @RequestBody LiftSubject l) {
    return edits.make(
        productionId,
        l.revision(),
        state ->
            Lifting.lift(
                state.resolved(),
                l.item(),
                l.behind() == null ? Lifting.Behind.AS_IT_IS : l.behind()));
  }

  private int backing(FilmState state, Placement shot) {
    return pictures
        .backing(
            state.takeOf(shot).media(),
            state.production().rate(),
            state.resolved().shown(shot.id()).start())
        .orElseThrow(
            () ->
                new Refused(
                    "No even colour stands along the edges of this picture; choose the colour"
                        + " that is to go by hand."));
  }
}
