package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Places;
import app.latethistle.core.film.Remedy;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.Sources;
import app.latethistle.core.look.EndFade;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.time.Samples;
import app.latethistle.server.material.Shot;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The film and its edits. Each change carries the revision it was made on and answers the film. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class FilmController {
  private final FilmService films;
  private final FilmViews views;
  private final FilmEdits edits;

  FilmController(FilmService films, FilmViews views, FilmEdits edits) {
    this.films = films;
    this.views = views;
    this.edits = edits;
  }

  record MoveJoint(long revision, int joint, Moment to) {}

  record Slip(long revision, int place, long in) {}

  record ChooseTake(long revision, int place, long takeId) {}

  /** What is offered for a shot; {@code problem} says for what, where it has several. */
  record Mend(
      long revision,
      int place,
      @Schema(nullable = true) Cutting.Kind problem,
      Remedy.Kind remedy) {}

  record SetFraming(long revision, int place, Fit framing) {}

  record MoveShot(long revision, int from, int to) {}

  record RemoveShot(long revision, int place) {}

  record BringBack(long revision, long shotId) {}

  record SetSong(long revision, double startSeconds, long fade) {}

  /** {@code pool} lets the planner choose the order. */
  record FirstCutRequest(
      long revision,
      boolean everything,
      @Schema(nullable = true) Boolean pool,
      @Schema(nullable = true) Pace pace) {}

  @GetMapping
  FilmView film(@PathVariable long productionId) {
    return views.of(films.state(productionId));
  }

  @PostMapping("/move-joint")
  FilmView moveJoint(@PathVariable long productionId, @RequestBody MoveJoint m) {
    return edits.make(
        productionId,
        m.revision(),
        state -> SetAspect.of(Aspect.TIE, state.cutName(m.joint()), m.to().tie()));
  }

  @PostMapping("/slip")
  FilmView slip(@PathVariable long productionId, @RequestBody Slip s) {
    return edits.make(
        productionId,
        s.revision(),
        state -> Sources.slip(state.resolved(), state.film().placementAt(s.place()).id(), s.in()));
  }

  @PostMapping("/choose-take")
  FilmView chooseTake(@PathVariable long productionId, @RequestBody ChooseTake c) {
    return views.of(films.chooseTake(productionId, c.revision(), c.place(), c.takeId()));
  }

  /** Does what was offered for a shot that is short of material. */
  @PostMapping("/mend")
  FilmView mend(@PathVariable long productionId, @RequestBody Mend m) {
    return views.of(films.mend(productionId, m.revision(), m.place(), m.problem(), m.remedy()));
  }

  @PostMapping("/set-framing")
  FilmView setFraming(@PathVariable long productionId, @RequestBody SetFraming s) {
    return edits.make(
        productionId,
        s.revision(),
        state -> {
          Placement shot = state.film().placementAt(s.place());
          return SetAspect.of(
              Aspect.FRAMING, shot.id(), shot.framing().withOwn(new Framing(s.framing())));
        });
  }

  @PostMapping("/move-shot")
  FilmView moveShot(@PathVariable long productionId, @RequestBody MoveShot m) {
    return edits.make(
        productionId, m.revision(), state -> Places.reorder(state.resolved(), m.from(), m.to()));
  }

  @PostMapping("/remove")
  FilmView remove(@PathVariable long productionId, @RequestBody RemoveShot r) {
    return views.of(films.remove(productionId, r.revision(), r.place()));
  }

  @PostMapping("/bring-back")
  FilmView bringBack(@PathVariable long productionId, @RequestBody BringBack b) {
    return views.of(films.bringBack(productionId, b.revision(), b.shotId()));
  }

  @PostMapping("/set-song")
  FilmView setSong(@PathVariable long productionId, @RequestBody SetSong s) {
    return edits.make(
        productionId,
        s.revision(),
        state -> {
          double seconds = state.song().map(x -> x.medium().facts().seconds()).orElse(0.0);
          if (!(s.startSeconds() >= 0 && s.startSeconds() < Math.max(seconds, 0.001))) {
            throw new Refused(
                String.format(
                    Locale.ROOT,
                    "The song cannot start at %.2f s; it is %.2f s long.",
                    s.startSeconds(),
                    seconds));
          }
          if (s.fade() < 0 || s.fade() > Math.max(0, state.cutting().length())) {
            throw new Refused(
                "A fade of "
                    + s.fade()
                    + " frames does not fit a film of "
                    + state.cutting().length()
                    + ".");
          }
          return new Compound(
              "change the song's start or fade",
              List.of(
                  SetAspect.of(Aspect.MUSIC, "", new SongUse(Samples.ofSeconds(s.startSeconds()))),
                  SetAspect.of(
                      Aspect.FINISH, "", state.film().finish().withEnd(new EndFade(s.fade())))));
        });
  }

  @PostMapping("/first-cut")
  FilmView firstCut(@PathVariable long productionId, @RequestBody FirstCutRequest f) {
    return views.of(
        films.firstCut(
            productionId,
            f.revision(),
            f.everything(),
            Boolean.TRUE.equals(f.pool()),
            f.pace() == null ? Pace.EVEN : f.pace()));
  }

  /** A film for every pace, not kept. */
  @GetMapping("/proposals")
  List<ProposalView> proposals(
      @PathVariable long productionId,
      @RequestParam boolean everything,
      @RequestParam(defaultValue = "false") boolean pool) {
    Map<Long, Shot> all = views.shotsOf(productionId);
    FilmState now = films.state(productionId);
    return films.proposals(now, everything, pool).stream()
        .map(p -> ProposalView.of(p, now, all))
        .toList();
  }
}
