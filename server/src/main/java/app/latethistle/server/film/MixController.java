package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Ambience;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.LandedOn;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Tie;
import app.latethistle.core.sound.Fade;
import app.latethistle.core.sound.Manner;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.SoundRow;
import app.latethistle.server.material.SoundShelf;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The film's sounds: laid, landed, measured. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class MixController {
  /** How loud a sound is laid, in decibels: for hearing it under what is there. */
  private static final double LAID = -6;

  private static final double PROPOSED = -12;

  /** Beds come and go in half a second. */
  private static final Fade BED = new Fade(Fade.Shape.EQUAL_POWER, 24_000);

  private static final Manner AMBIENCE = Manner.PLAIN.withGain(PROPOSED).withFades(BED, BED);

  private final FilmService films;
  private final FilmEdits edits;
  private final MixViews views;
  private final SoundShelf shelf;
  private final LookViews looks;

  MixController(
      FilmService films, FilmEdits edits, MixViews views, SoundShelf shelf, LookViews looks) {
    this.looks = looks;
    this.films = films;
    this.edits = edits;
    this.views = views;
    this.shelf = shelf;
  }

  /** Lays a sound of the shelf. */
  record Lay(
      long revision, long sound, TieView at, long offset, @Schema(nullable = true) TieView until) {}

  /** Lands a sound elsewhere. */
  record Land(
      long revision, String id, TieView at, long offset, @Schema(nullable = true) TieView until) {}

  /** Moves sounds by samples. */
  record Nudge(long revision, List<String> sounds, long samples) {}

  record Manners(long revision, Map<String, Manner> manners) {}

  record SoundsOut(long revision, List<String> sounds) {}

  /** A sound in place of another, landing as it does. */
  record Swap(long revision, String id, long sound) {}

  /** Lays what the story wants; in one shot of the cut, or all. */
  record Propose(long revision, @Schema(nullable = true) String item) {}

  /** Lays a sound on each cut from one frame to another. */
  record OnCuts(long revision, long sound, long from, long to) {}

  /**
   * Lays a sound through the place of a shot: wherever shots follow each other that are there.
   *
   * @param item the shot, by its id in the film
   */
  record ThroughPlace(long revision, long sound, String item) {}

  @GetMapping("/mix")
  MixView mix(@PathVariable long productionId) {
    return views.of(films.state(productionId));
  }

  @GetMapping("/mix/heard")
  MixView.HeardMix heard(@PathVariable long productionId) throws IOException {
    return views.heard(films.state(productionId));
  }

  @PostMapping("/lay-sound")
  FilmView lay(@PathVariable long productionId, @RequestBody Lay l) {
    SoundRow sound = shelf.get(productionId, l.sound());
    return edits.make(
        productionId,
        l.revision(),
        film ->
            Put.sound(
                laid(
                    film.film().freshId("sound"),
                    sound,
                    landing(l.at(), l.offset(), l.until()),
                    LAID)));
  }

  private static FilmSound laid(String id, SoundRow sound, Landing when, double gain) {
    Manner how = Manner.PLAIN.withGain(gain);
    return new FilmSound(
        id, sound.material(), when, when.until().isPresent() ? how.withFades(BED, BED) : how);
  }

  private static Landing landing(TieView at, long offset, TieView until) {
    if (at == null) {
      throw new Refused("Say what the sound lands on.");
    }
    return new Landing(at.get(), offset, Optional.ofNullable(until).map(TieView::get));
  }

  @PostMapping("/land-sound")
  FilmView land(@PathVariable long productionId, @RequestBody Land l) {
    return edits.make(
        productionId,
        l.revision(),
        film -> {
          Landing landing = landing(l.at(), l.offset(), l.until());
          LandedOn.free(film.film(), l.id(), landing.at(), landing.until());
          return SetAspect.of(Aspect.LANDING, l.id(), landing);
        });
  }

  @PostMapping("/nudge-sounds")
  FilmView nudge(@PathVariable long productionId, @RequestBody Nudge n) {
    return edits.make(
        productionId,
        n.revision(),
        film -> {
          Map<String, Landing> landings = new LinkedHashMap<>();
          for (String id : n.sounds()) {
            Landing when = sound(film.film(), id).when();
            landings.put(id, new Landing(when.at(), when.offset() + n.samples(), when.until()));
          }
          return SetAspect.of(Aspect.LANDING, landings);
        });
  }

  private static FilmSound sound(Film film, String id) {
    return film.sound(id).orElseThrow(() -> new Refused("That sound is not in the film any more."));
  }

  @PostMapping("/set-manners")
  FilmView manners(@PathVariable long productionId, @RequestBody Manners m) {
    return edits.make(productionId, m.revision(), film -> SetAspect.of(Aspect.MANNER, m.manners()));
  }

  @PostMapping("/swap-sound")
  FilmView swap(@PathVariable long productionId, @RequestBody Swap s) {
    SoundRow sound = shelf.get(productionId, s.sound());
    return edits.make(
        productionId,
        s.revision(),
        film -> SetAspect.of(Aspect.MATERIAL, s.id(), sound.material()));
  }

  @PostMapping("/sounds-out")
  FilmView out(@PathVariable long productionId, @RequestBody SoundsOut s) {
    if (s.sounds().isEmpty()) {
      throw new Refused("No sound was chosen; choose one first.");
    }
    return edits.make(
        productionId,
        s.revision(),
        film ->
            together(
                "take sounds out",
                s.sounds().stream().map(id -> (Edit) Put.away(ItemKind.SOUND, id)).toList()));
  }

  private static Edit together(String label, List<Edit> edits) {
    return edits.size() == 1 ? edits.get(0) : new Compound(label, edits);
  }

  @PostMapping("/propose-sounds")
  FilmView propose(@PathVariable long productionId, @RequestBody Propose p) {
    shelf.begin();
    return edits.make(
        productionId,
        p.revision(),
        film -> {
          Film now = film.film();
          List<Edit> all = new ArrayList<>();
          SoundShelf.Catalogue known = shelf.catalogue(productionId);
          for (MixView.Wanted wanted : views.of(film).wanted()) {
            boolean asked = p.item() == null || p.item().equals(wanted.item());
            Optional<SoundRow> sound = known.best(wanted.search());
            if (asked
                && wanted.item() != null
                && wanted.state() != MixView.State.PLACED
                && sound.isPresent()) {
              FilmSound laid =
                  laid(
                      now.freshId("sound"),
                      sound.get(),
                      within(now, wanted.item(), sound.get()),
                      PROPOSED);
              Edit edit = Put.sound(laid);
              all.add(edit);
              now = edit.apply(now);
            }
          }
          if (all.isEmpty()) {
            throw new Refused(
                "Nothing more is wanted that the shelf has; ask for a sound in words, or bring one"
                    + " in.");
          }
          return together("lay what is wanted", all);
        });
  }

  /** What strikes does so on the shot's cut; what goes on does so as long as the shot is seen. */
  private static Landing within(Film film, String item, SoundRow sound) {
    int place = film.indexOfId(item);
    Tie cut = Tie.onCut(item);
    return sound.kind().equals("BED")
        ? Landing.between(cut, Tie.onCut(film.jointName(place + 1)))
        : Landing.on(cut);
  }

  @PostMapping("/sounds-on-cuts")
  FilmView onCuts(@PathVariable long productionId, @RequestBody OnCuts o) {
    SoundRow sound = shelf.get(productionId, o.sound());
    return edits.make(
        productionId,
        o.revision(),
        film -> {
          Film now = film.film();
          List<Edit> all = new ArrayList<>();
          for (int joint = 1; joint + 1 < now.joints().size(); joint++) {
            long frame = film.cutting().frames().get(joint);
            if (frame >= o.from() && frame < o.to()) {
              Edit edit =
                  Put.sound(
                      laid(
                          now.freshId("sound"),
                          sound,
                          Landing.on(Tie.onCut(now.jointName(joint))),
                          PROPOSED));
              all.add(edit);
              now = edit.apply(now);
            }
          }
          if (all.isEmpty()) {
            throw new Refused("There is no cut from frame " + o.from() + " to " + o.to() + ".");
          }
          return together("lay a sound on each cut", all);
        });
  }

  /** It goes from cut to cut, and crosses over from what was heard before. */
  @PostMapping("/sound-through-place")
  FilmView throughPlace(@PathVariable long productionId, @RequestBody ThroughPlace t) {
    SoundRow sound = shelf.get(productionId, t.sound());
    Map<String, String> places = looks.places(productionId);
    return edits.make(
        productionId,
        t.revision(),
        film -> {
          String place = places.getOrDefault(film.shot(t.item()).shot(), "");
          if (place.isEmpty()) {
            throw new Refused(
                "The story does not say where that shot is; write it in Story first.");
          }
          FilmSound bed =
              new FilmSound("bed", sound.material(), Landing.on(Tie.onCut(t.item())), AMBIENCE);
          return new Ambience(place, bed)
              .everywhere(film.film(), places)
              .orElseThrow(
                  () -> new Refused(sound.name() + " goes through " + place + " already."));
        });
  }
}
