package app.latethistle.server.film;

import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Compound;
import app.latethistle.core.film.Edit;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Layers;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Places;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Run;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.Sources;
import app.latethistle.core.film.Trims;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Lie;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.take.Take;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The trade's edits. Each carries the revision it was made on and answers the film. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class EditController {
  private final FilmService films;
  private final FilmViews views;

  EditController(FilmService films, FilmViews views) {
    this.films = films;
    this.views = views;
  }

  /** Moves an end of a shot with all that follows; {@code start} for its first frames. */
  record Ripple(long revision, int place, boolean start, Moment to) {}

  record Roll(long revision, int joint, Moment to) {}

  record Slide(long revision, int place, Moment to) {}

  record Split(long revision, int place, Moment to) {}

  record TakeOut(long revision, List<Integer> places, boolean leaveGap) {}

  record Carry(long revision, int from, int to) {}

  /**
   * A shot to be put in.
   *
   * @param length in frames
   */
  record Piece(
      long shotId,
      long takeId,
      long in,
      Fit framing,
      @Schema(nullable = true) Speed run,
      @Schema(nullable = true) ClipSound sound,
      long length) {}

  /** Puts copies in at a joint; plain ones without their speed and sound. */
  record Paste(long revision, int joint, List<Piece> pieces, boolean plain) {}

  /** Sets how shots run; {@code stretch} makes each as long as it then needs. */
  record SetRun(long revision, List<Integer> places, Speed run, boolean stretch) {}

  record SetClipSound(long revision, List<Integer> places, ClipSound sound) {}

  record Detach(long revision, int place) {}

  record LayOver(long revision, Piece piece, Moment start, Moment end) {}

  /** What of an overlay is to change; null stays as it is. */
  record ChangeOverlay(
      long revision,
      String name,
      @Schema(nullable = true) Integer layer,
      @Schema(nullable = true) Integer opacity,
      @Schema(nullable = true) Integer size,
      @Schema(nullable = true) Integer x,
      @Schema(nullable = true) Integer y,
      @Schema(nullable = true) Long in,
      @Schema(nullable = true) Speed run,
      @Schema(nullable = true) Fit framing,
      @Schema(nullable = true) Boolean locked,
      @Schema(nullable = true) Moment start,
      @Schema(nullable = true) Moment end) {}

  record Named(long revision, String name) {}

  record SetSound(
      long revision, String name, @Schema(nullable = true) Moment start, long length, int gain) {}

  /** Sets a marker, or changes the one of that name. */
  record SetMarker(
      long revision,
      @Schema(nullable = true) String name,
      @Schema(nullable = true) Moment at,
      String note) {}

  record Group(long revision, List<Integer> places, boolean together) {}

  record LockShots(long revision, List<Integer> places, boolean locked) {}

  @PostMapping("/ripple")
  FilmView ripple(@PathVariable long productionId, @RequestBody Ripple r) {
    return edit(
        productionId,
        r.revision(),
        film ->
            r.start()
                ? Trims.rippleStart(film.resolved(), r.place(), r.to().tie())
                : Trims.rippleEnd(film.resolved(), r.place(), r.to().tie()));
  }

  @PostMapping("/roll")
  FilmView roll(@PathVariable long productionId, @RequestBody Roll r) {
    return edit(
        productionId, r.revision(), film -> Trims.roll(film.resolved(), r.joint(), r.to().tie()));
  }

  @PostMapping("/slide")
  FilmView slide(@PathVariable long productionId, @RequestBody Slide s) {
    return edit(
        productionId, s.revision(), film -> Trims.slide(film.resolved(), s.place(), s.to().tie()));
  }

  @PostMapping("/split")
  FilmView split(@PathVariable long productionId, @RequestBody Split s) {
    return edit(
        productionId, s.revision(), film -> Trims.split(film.resolved(), s.place(), s.to().tie()));
  }

  @PostMapping("/take-out")
  FilmView takeOut(@PathVariable long productionId, @RequestBody TakeOut t) {
    return edit(
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
    return edit(
        productionId, c.revision(), film -> Places.carry(film.resolved(), c.from(), c.to()));
  }

  @PostMapping("/paste")
  FilmView paste(@PathVariable long productionId, @RequestBody Paste p) {
    return edit(
        productionId,
        p.revision(),
        film -> {
          List<Places.Piece> pieces =
              p.pieces().stream()
                  .map(x -> new Places.Piece(placement(film, x, p.plain()), x.length()))
                  .toList();
          return Places.insert(film.resolved(), p.joint(), pieces, "paste");
        });
  }

  private static Placement placement(FilmState film, Piece piece, boolean plain) {
    Take take = film.takes().get(Long.toString(piece.takeId()));
    if (take == null) {
      throw new IllegalArgumentException("A take that was copied is not in this production.");
    }
    if (piece.length() < 1) {
      throw new IllegalArgumentException("A shot lasts a frame or more.");
    }
    String shot = Long.toString(piece.shotId());
    Placement placement = Placement.of(shot, take.id(), piece.in(), new Framing(piece.framing()));
    return plain
        ? placement
        : placement
            .withRun(piece.run() == null ? Run.PLAIN : piece.run().run())
            .withSound(piece.sound() == null ? ClipSound.OFF : piece.sound());
  }

  @PostMapping("/set-run")
  FilmView setRun(@PathVariable long productionId, @RequestBody SetRun s) {
    return edit(
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
    return edit(
        productionId,
        s.revision(),
        film -> SetAspect.of(Aspect.SOUND, each(film, s.places(), s.sound())));
  }

  @PostMapping("/detach")
  FilmView detach(@PathVariable long productionId, @RequestBody Detach d) {
    return edit(
        productionId,
        d.revision(),
        film -> {
          if (!film.sounding().contains(film.film().placementAt(d.place()).take())) {
            throw new IllegalArgumentException("This clip has no sound to detach.");
          }
          return Places.detach(film.resolved(), d.place());
        });
  }

  @PostMapping("/lay-over")
  FilmView layOver(@PathVariable long productionId, @RequestBody LayOver l) {
    return edit(
        productionId,
        l.revision(),
        film ->
            Layers.layOver(
                film.resolved(),
                placement(film, l.piece(), false),
                l.start().tie(),
                l.end().tie()));
  }

  @PostMapping("/change-overlay")
  FilmView changeOverlay(@PathVariable long productionId, @RequestBody ChangeOverlay c) {
    return edit(
        productionId,
        c.revision(),
        film ->
            Layers.change(
                film.resolved(), changed(film.resolved(), overlay(film.film(), c.name()), c)));
  }

  private static Overlay overlay(Film film, String name) {
    return film.overlay(name)
        .orElseThrow(
            () -> new IllegalArgumentException("That shot does not lie over the cut any more."));
  }

  private static Overlay changed(Resolved film, Overlay o, ChangeOverlay c) {
    Resolved now = film;
    if (c.in() != null) {
      now = now.with(Sources.slip(now, o.name(), c.in()).apply(now.film()));
    }
    if (c.run() != null) {
      now = now.with(Sources.run(now, o.name(), c.run().run()).apply(now.film()));
    }
    Placement shot = overlay(now.film(), o.name()).placement();
    if (c.framing() != null) {
      ShapedFraming framing = shot.framing().withOwn(new Framing(c.framing()));
      shot = shot.withAppearance(shot.how().withFraming(framing));
    }
    shot = c.locked() == null ? shot : shot.withLocked(c.locked());
    return new Overlay(
        or(c.layer(), o.layer()),
        shot,
        new Overlay.Ties(
            c.start() == null ? o.start() : c.start().tie(),
            c.end() == null ? o.end() : c.end().tie()),
        new Lie(
            or(c.opacity(), o.lie().opacity()),
            or(c.size(), o.lie().size()),
            or(c.x(), o.lie().x()),
            or(c.y(), o.lie().y())));
  }

  private static int or(Integer value, int other) {
    return value == null ? other : value;
  }

  @PostMapping("/overlay-out")
  FilmView overlayOut(@PathVariable long productionId, @RequestBody Named n) {
    return edit(productionId, n.revision(), film -> Put.away(ItemKind.OVERLAY, n.name()));
  }

  @PostMapping("/set-sound")
  FilmView setSound(@PathVariable long productionId, @RequestBody SetSound s) {
    return edit(
        productionId,
        s.revision(),
        film -> {
          FilmSound sound =
              film.film()
                  .sound(s.name())
                  .orElseThrow(
                      () ->
                          new IllegalArgumentException("That sound is not in the film any more."));
          return Put.sound(
              new FilmSound(
                  s.name(),
                  sound.take(),
                  sound.in(),
                  s.start() == null ? sound.start() : s.start().tie(),
                  s.length(),
                  s.gain()));
        });
  }

  @PostMapping("/sound-out")
  FilmView soundOut(@PathVariable long productionId, @RequestBody Named n) {
    return edit(productionId, n.revision(), film -> Put.away(ItemKind.SOUND, n.name()));
  }

  @PostMapping("/set-marker")
  FilmView setMarker(@PathVariable long productionId, @RequestBody SetMarker m) {
    return edit(
        productionId,
        m.revision(),
        film -> {
          String note = m.note() == null ? "" : m.note().strip();
          if (m.name() == null && m.at() == null) {
            throw new IllegalArgumentException("A new marker needs a moment.");
          }
          if (m.name() == null) {
            String name = film.film().freshId("marker");
            return Put.marker(new Marker(name, m.at().tie(), note));
          }
          Marker old =
              film.film()
                  .marker(m.name())
                  .orElseThrow(() -> new IllegalArgumentException("That marker is gone."));
          return Put.marker(new Marker(m.name(), m.at() == null ? old.at() : m.at().tie(), note));
        });
  }

  @PostMapping("/marker-out")
  FilmView markerOut(@PathVariable long productionId, @RequestBody Named n) {
    return edit(productionId, n.revision(), film -> Put.away(ItemKind.MARKER, n.name()));
  }

  @PostMapping("/group")
  FilmView group(@PathVariable long productionId, @RequestBody Group g) {
    return edit(
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
    return edit(
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

  private FilmView edit(long productionId, long revision, Function<FilmState, Edit> edit) {
    return views.of(films.edit(productionId, revision, edit));
  }
}
