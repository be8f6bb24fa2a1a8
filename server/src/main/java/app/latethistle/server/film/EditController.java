package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Places;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Sources;
import app.latethistle.core.film.Trims;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The trade's edits. Each carries the revision it was made on and answers the film. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class EditController {
  private final FilmEdits edits;

  EditController(FilmEdits edits) {
    this.edits = edits;
  }

  /** Moves an end of a shot with all that follows; {@code start} for its first frames. */
  record Ripple(long revision, int place, boolean start, Moment to) {}

  record Roll(long revision, int joint, Moment to) {}

  record Slide(long revision, int place, Moment to) {}

  record Split(long revision, int place, Moment to) {}

  record TakeOut(long revision, List<Integer> places, boolean leaveGap) {}

  record Carry(long revision, int from, int to) {}

  /** Puts copies in at a joint; plain ones without their speed and sound. */
  record Paste(long revision, int joint, List<Piece> pieces, boolean plain) {}

  /** Sets how shots run; {@code stretch} makes each as long as it then needs. */
  record SetRun(long revision, List<Integer> places, Speed run, boolean stretch) {}

  record SetClipSound(long revision, List<Integer> places, ClipSound sound) {}

  record Detach(long revision, int place) {}

  record Group(long revision, List<Integer> places, boolean together) {}

  record LockShots(long revision, List<Integer> places, boolean locked) {}

  @PostMapping("/ripple")
  FilmView ripple(@PathVariable long productionId, @RequestBody Ripple r) {
    return edits.make(
        productionId,
        r.revision(),
        film ->
            r.start()
                ? Trims.rippleStart(film.resolved(), r.place(), r.to().tie())
                : Trims.rippleEnd(film.resolved(), r.place(), r.to().tie()));
  }

  @PostMapping("/roll")
  FilmView roll(@PathVariable long productionId, @RequestBody Roll r) {
    return edits.make(
        productionId, r.revision(), film -> Trims.roll(film.resolved(), r.joint(), r.to().tie()));
  }

  @PostMapping("/slide")
  FilmView slide(@PathVariable long productionId, @RequestBody Slide s) {
    return edits.make(
        productionId, s.revision(), film -> Trims.slide(film.resolved(), s.place(), s.to().tie()));
  }

  @PostMapping("/split")
  FilmView split(@PathVariable long productionId, @RequestBody Split s) {
    return edits.make(
        productionId, s.revision(), film -> Trims.split(film.resolved(), s.place(), s.to().tie()));
  }

  @PostMapping("/take-out")
  FilmView takeOut(@PathVariable long productionId, @RequestBody TakeOut t) {
    return edits.make(
        productionId,
        t.revision(),
        film ->
            Compound.each(
                film.resolved(),
                film.ids(t.places()),
                (now, id) ->
                    t.leaveGap()
                        ? Places.leaveGap(now, now.film().indexOfId(id))
                        : Places.takeOut(now, now.film().indexOfId(id))));
  }

  @PostMapping("/carry")
  FilmView carry(@PathVariable long productionId, @RequestBody Carry c) {
    return edits.make(
        productionId, c.revision(), film -> Places.carry(film.resolved(), c.from(), c.to()));
  }

  @PostMapping("/paste")
  FilmView paste(@PathVariable long productionId, @RequestBody Paste p) {
    return edits.make(
        productionId,
        p.revision(),
        film -> {
          List<Places.Piece> pieces =
              p.pieces().stream()
                  .map(x -> new Places.Piece(x.placement(film, p.plain()), x.length()))
                  .toList();
          return Places.insert(film.resolved(), p.joint(), pieces, "paste");
        });
  }

  @PostMapping("/set-run")
  FilmView setRun(@PathVariable long productionId, @RequestBody SetRun s) {
    return edits.make(
        productionId,
        s.revision(),
        film ->
            Compound.each(
                film.resolved(),
                film.ids(s.places()),
                (now, id) ->
                    s.stretch()
                        ? Trims.stretch(now, now.film().indexOfId(id), s.run().run())
                        : Sources.run(now, id, s.run().run())));
  }

  @PostMapping("/set-clip-sound")
  FilmView setClipSound(@PathVariable long productionId, @RequestBody SetClipSound s) {
    return edits.make(
        productionId,
        s.revision(),
        film ->
            Compound.each(
                film.resolved(),
                film.ids(s.places()),
                (now, id) -> Sources.heard(now, id, s.sound())));
  }

  @PostMapping("/detach")
  FilmView detach(@PathVariable long productionId, @RequestBody Detach d) {
    return edits.make(
        productionId,
        d.revision(),
        film -> {
          if (!film.sounding().contains(film.film().placementAt(d.place()).take())) {
            throw new Refused("This clip has no sound to detach.");
          }
          return Places.detach(film.resolved(), d.place());
        });
  }

  @PostMapping("/group")
  FilmView group(@PathVariable long productionId, @RequestBody Group g) {
    return edits.make(
        productionId,
        g.revision(),
        film ->
            SetAspect.of(
                Aspect.GROUP, each(film, g.places(), g.together() ? nextGroup(film.film()) : 0)));
  }

  private static int nextGroup(Film film) {
    return 1 + film.placements().stream().mapToInt(p -> p.held().group()).max().orElse(0);
  }

  @PostMapping("/lock")
  FilmView lock(@PathVariable long productionId, @RequestBody LockShots l) {
    return edits.make(
        productionId,
        l.revision(),
        film ->
            SetAspect.of(Aspect.LOCK, each(film, l.places(), l.locked()))
                .called(l.locked() ? "lock a shot" : "unlock a shot"));
  }

  /** The same for each of some shots. */
  private static <T> Map<String, T> each(FilmState film, List<Integer> places, T value) {
    Map<String, T> values = new LinkedHashMap<>();
    film.ids(places).forEach(id -> values.put(id, value));
    return values;
  }
}
