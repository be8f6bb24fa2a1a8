package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.grade.KeyPictures;
import app.latethistle.core.look.Correction;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The colour of shots: the key shot, corrections, matches. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class LookController {
  private final FilmEdits edits;
  private final FilmService films;
  private final LookViews views;
  private final ShotColours colours;

  LookController(FilmEdits edits, FilmService films, LookViews views, ShotColours colours) {
    this.edits = edits;
    this.films = films;
    this.views = views;
    this.colours = colours;
  }

  /** The shot that all others are to look like. */
  record ChooseKey(long revision, String item) {}

  /** Corrects shots by the five numbers; what else is done to their colour stays. */
  record Correct(long revision, List<String> items, BasicsView correction) {}

  /** Takes everything off that is done to the colour of shots. */
  record Uncorrect(long revision, List<String> items) {}

  /**
   * Brings shots to look like the key shot.
   *
   * @param strength in percent, 0 to 100; 50 holds back where shots show other things
   */
  record MatchShots(long revision, List<String> items, int strength) {}

  @GetMapping("/look")
  LookView look(@PathVariable long productionId) {
    return views.of(films.state(productionId));
  }

  @PostMapping("/choose-key")
  FilmView chooseKey(@PathVariable long productionId, @RequestBody ChooseKey c) {
    return edits.make(
        productionId,
        c.revision(),
        state -> {
          Placement shot = shot(state, c.item());
          return SetAspect.of(Aspect.FINISH, "", state.film().finish().withKey(shot.shot()))
              .called("choose the key shot");
        });
  }

  @PostMapping("/correct")
  FilmView correct(@PathVariable long productionId, @RequestBody Correct c) {
    return edits.make(
        productionId,
        c.revision(),
        state -> {
          Map<String, Correction> values = new LinkedHashMap<>();
          for (String item : c.items()) {
            Correction now = shot(state, item).how().correction();
            values.put(item, now.withBasics(c.correction().basics()));
          }
          return SetAspect.of(Aspect.CORRECTION, some(values));
        });
  }

  @PostMapping("/uncorrect")
  FilmView uncorrect(@PathVariable long productionId, @RequestBody Uncorrect u) {
    return edits.make(
        productionId,
        u.revision(),
        state -> {
          Map<String, Correction> values = new LinkedHashMap<>();
          u.items().forEach(item -> values.put(shot(state, item).id(), Correction.NONE));
          return SetAspect.of(Aspect.CORRECTION, some(values)).called("take the correction off");
        });
  }

  @PostMapping("/match")
  FilmView match(@PathVariable long productionId, @RequestBody MatchShots m) {
    if (m.strength() < 0 || m.strength() > 100) {
      throw new Refused("A match's strength goes from 0 to 100 %, not " + m.strength() + ".");
    }
    // It is worked out before the film is held for the edit, which refuses what is out of date.
    Map<String, Correction> found = matches(films.state(productionId), m);
    return edits.make(
        productionId,
        m.revision(),
        state -> SetAspect.of(Aspect.CORRECTION, some(found)).called("match the key shot"));
  }

  private Map<String, Correction> matches(FilmState state, MatchShots m) {
    Placement key =
        LookViews.key(state.film())
            .orElseThrow(
                () -> new Refused("Choose the shot that the others are to look like first."));
    KeyPictures wanted =
        KeyPictures.of(
            colours
                .of(state, key)
                .orElseThrow(() -> new Refused("The key shot has lost its take; choose another.")),
            key.how().correction());
    Map<String, Correction> found = new LinkedHashMap<>();
    m.items().parallelStream()
        .map(item -> shot(state, item))
        .filter(shot -> !shot.id().equals(key.id()))
        .flatMap(
            shot ->
                colours.of(state, shot).stream()
                    .map(
                        p ->
                            Map.entry(
                                shot.id(), wanted.match(p, m.strength() / 100.0).correction())))
        .toList()
        .forEach(e -> found.put(e.getKey(), e.getValue()));
    return found;
  }

  private static Placement shot(FilmState state, String item) {
    Placement shot = state.shot(item);
    if (!shot.hasPicture()) {
      throw new Refused("That shot is not in the film any more.");
    }
    return shot;
  }

  private static Map<String, Correction> some(Map<String, Correction> values) {
    if (values.isEmpty()) {
      throw new Refused("Choose a shot other than the key shot first.");
    }
    return values;
  }
}
