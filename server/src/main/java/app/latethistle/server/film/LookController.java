package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.look.ColourGroup;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Finish;
import app.latethistle.core.look.Levelling;
import app.latethistle.core.look.LookKey;
import app.latethistle.core.look.Mask;
import app.latethistle.core.measure.Light;
import app.latethistle.media.ContentStore;
import app.latethistle.server.material.KeyStills;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The colour of shots: key shots, groups, corrections, matches. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class LookController {
  private final FilmEdits edits;
  private final FilmService films;
  private final LookViews views;
  private final Matching matching;
  private final ShotLight light;
  private final KeyStills stills;
  private final ContentStore store;

  LookController(
      FilmEdits edits,
      FilmService films,
      LookViews views,
      Matching matching,
      ShotLight light,
      KeyStills stills,
      ContentStore store) {
    this.stills = stills;
    this.store = store;
    this.edits = edits;
    this.films = films;
    this.views = views;
    this.matching = matching;
    this.light = light;
  }

  /**
   * The shot that others are to look like.
   *
   * @param ofFilm whether of the whole film; if not, of its group, or of the film if it is in none
   */
  record ChooseKey(long revision, String item, boolean ofFilm) {}

  /**
   * The still that all shots are to look like.
   *
   * @param picture as it was called when it was brought in
   */
  record ChooseKeyStill(long revision, String picture) {}

  /** Corrects shots, in place of what was done to their colour. */
  record Correct(long revision, List<String> items, Correction correction) {}

  /** Corrects shots as another one is. */
  record CorrectAs(long revision, List<String> items, String like) {}

  /** Takes everything off that is done to the light and the colour of shots. */
  record Uncorrect(long revision, List<String> items) {}

  /**
   * Lays one more mask on a range of a shot's colours.
   *
   * @param range which of the shot's, from 0; one more than the last makes a new one, of all
   *     colours in the mask
   */
  record MaskRange(long revision, String item, int range, Mask.Kind kind) {}

  /** Puts shots into a group of their own, out of those they were in. */
  record GroupShots(long revision, List<String> items, String name) {}

  /** Takes shots out of their groups. */
  record UngroupShots(long revision, List<String> items) {}

  /** Groups all shots by the places that the story gives them. */
  record GroupByPlace(long revision) {}

  /**
   * Brings shots to look like their key shots, and the keys of groups towards the film's.
   *
   * @param strength in percent, 0 to 100; 50 holds back where shots show other things
   */
  record MatchShots(long revision, List<String> items, int strength) {}

  /**
   * Makes the light of shots even.
   *
   * @param strength in percent, 0 to 100; 0 leaves it as it came
   */
  record LevelShots(long revision, List<String> items, int strength) {}

  @GetMapping("/look")
  LookView look(@PathVariable long productionId) {
    return views.of(films.state(productionId));
  }

  @PostMapping("/choose-key")
  FilmView chooseKey(@PathVariable long productionId, @RequestBody ChooseKey c) {
    return finish(
        productionId,
        c.revision(),
        "choose the key shot",
        state -> {
          String shot = Matching.shot(state, c.item()).shot();
          Finish now = state.film().finish();
          return c.ofFilm() ? now.withKey(new LookKey.OfShot(shot)) : now.withKeyOfItsOwn(shot);
        });
  }

  @PostMapping("/choose-key-still")
  FilmView chooseKeyStill(@PathVariable long productionId, @RequestBody ChooseKeyStill c) {
    known(stills.name(c.picture()));
    return finish(
        productionId,
        c.revision(),
        "choose the key still",
        state -> state.film().finish().withKey(new LookKey.Still(c.picture())));
  }

  /** Brings in a still that shots can be made to look like; its bytes are the body. */
  @PostMapping("/look/stills")
  @ResponseStatus(HttpStatus.CREATED)
  LookView.KeyStill bringInStill(
      @PathVariable long productionId, @RequestParam String name, HttpServletRequest request)
      throws IOException {
    store.requireRoom(name, request.getContentLengthLong());
    return new LookView.KeyStill(stills.bringIn(name, request.getInputStream()), name);
  }

  /** A still that was brought in, small. */
  @GetMapping(path = "/look/stills/{picture}.png", produces = MediaType.IMAGE_PNG_VALUE)
  byte[] still(@PathVariable long productionId, @PathVariable String picture) {
    return known(stills.png(picture));
  }

  private static <T> T known(Optional<T> still) {
    return still.orElseThrow(() -> new Refused("That still is not here; bring it in again."));
  }

  @PostMapping("/group-shots")
  FilmView group(@PathVariable long productionId, @RequestBody GroupShots g) {
    return finish(
        productionId,
        g.revision(),
        "group shots",
        state -> {
          List<String> shots = shots(state, g.items());
          Finish now = state.film().finish();
          String key =
              shots.stream().filter(now::isKeyOfFilm).findFirst().orElseGet(() -> shots.get(0));
          return now.with(new ColourGroup(g.name().strip(), key, shots));
        });
  }

  @PostMapping("/ungroup-shots")
  FilmView ungroup(@PathVariable long productionId, @RequestBody UngroupShots u) {
    return finish(
        productionId,
        u.revision(),
        "take shots out of their group",
        state -> state.film().finish().ungrouped(shots(state, u.items())));
  }

  @PostMapping("/group-by-place")
  FilmView groupByPlace(@PathVariable long productionId, @RequestBody GroupByPlace g) {
    List<ColourGroup> groups =
        matching.byPlace(films.state(productionId), views.places(productionId));
    return finish(
        productionId,
        g.revision(),
        "group shots by place",
        state -> {
          Finish now = state.film().finish();
          for (ColourGroup group : groups) {
            now = now.with(group);
          }
          return now;
        });
  }

  @PostMapping("/correct")
  FilmView correct(@PathVariable long productionId, @RequestBody Correct c) {
    return corrected(productionId, c.revision(), c.items(), "correct the colour", c.correction());
  }

  @PostMapping("/mask-range")
  FilmView maskRange(@PathVariable long productionId, @RequestBody MaskRange m) {
    return edits.make(
        productionId,
        m.revision(),
        state -> {
          Placement shot = Matching.shot(state, m.item());
          Correction now = shot.how().correction();
          if (m.range() < 0 || m.range() > now.ranges().size()) {
            throw new Refused("The shot has no range " + (m.range() + 1) + ".");
          }
          return SetAspect.of(
                  Aspect.CORRECTION, shot.id(), now.masked(m.range(), Mask.usual(m.kind())))
              .called("mask a range");
        });
  }

  @PostMapping("/correct-as")
  FilmView correctAs(@PathVariable long productionId, @RequestBody CorrectAs c) {
    Correction like = Matching.shot(films.state(productionId), c.like()).how().correction();
    return corrected(productionId, c.revision(), c.items(), "correct as another shot", like);
  }

  @PostMapping("/uncorrect")
  FilmView uncorrect(@PathVariable long productionId, @RequestBody Uncorrect u) {
    return edits.make(
        productionId,
        u.revision(),
        state ->
            FilmState.asTheyCame(
                u.items().stream().map(item -> Matching.shot(state, item).id()).toList()));
  }

  @PostMapping("/match")
  FilmView match(@PathVariable long productionId, @RequestBody MatchShots m) {
    if (m.strength() < 0 || m.strength() > 100) {
      throw new Refused("A match's strength goes from 0 to 100 %, not " + m.strength() + ".");
    }
    // It is worked out before the film is held for the edit, which refuses what is out of date.
    Map<String, Correction> found =
        matching.of(films.state(productionId), m.items(), m.strength() / 100.0);
    return edits.make(
        productionId,
        m.revision(),
        state -> SetAspect.of(Aspect.CORRECTION, some(found)).called("match the key shot"));
  }

  /** The light of each frame of a shot as it came, against the middle of them. */
  @GetMapping("/look/light")
  List<Light> light(@PathVariable long productionId, @RequestParam String item) {
    FilmState state = films.state(productionId);
    return light.shown(state, Matching.shot(state, item));
  }

  @PostMapping("/level")
  FilmView level(@PathVariable long productionId, @RequestBody LevelShots l) {
    // It is measured before the film is held for the edit, which refuses what is out of date.
    FilmState state = films.state(productionId);
    Map<String, Levelling> found = new LinkedHashMap<>();
    for (String item : l.items()) {
      Placement shot = Matching.shot(state, item);
      found.put(
          shot.id(), l.strength() == 0 ? Levelling.NONE : light.of(state, shot, l.strength()));
    }
    return edits.make(productionId, l.revision(), now -> SetAspect.of(Aspect.LEVELLING, found));
  }

  private FilmView finish(
      long productionId, long revision, String name, Function<FilmState, Finish> change) {
    return edits.make(
        productionId,
        revision,
        state -> SetAspect.of(Aspect.FINISH, "", change.apply(state)).called(name));
  }

  private FilmView corrected(
      long productionId, long revision, List<String> items, String name, Correction correction) {
    return edits.make(
        productionId,
        revision,
        state -> {
          Map<String, Correction> values = new LinkedHashMap<>();
          items.forEach(item -> values.put(Matching.shot(state, item).id(), correction));
          return SetAspect.of(Aspect.CORRECTION, some(values)).called(name);
        });
  }

  /** The ids of the shots that items show, each once. */
  private static List<String> shots(FilmState state, List<String> items) {
    if (items.isEmpty()) {
      throw new Refused("Choose a shot first.");
    }
    return items.stream()
        .map(item -> Matching.shot(state, item))
        .map(Placement::shot)
        .distinct()
        .toList();
  }

  private static Map<String, Correction> some(Map<String, Correction> values) {
    if (values.isEmpty()) {
      throw new Refused("Choose a shot other than the key shot first.");
    }
    return values;
  }
}
