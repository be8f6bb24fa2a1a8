package app.latethistle.server.film;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.ItemKind;
import app.latethistle.core.film.Landing;
import app.latethistle.core.film.Layers;
import app.latethistle.core.film.Marker;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Put;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.Sources;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.ShapedFraming;
import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Edits of what lies over and beside the cut: shots on upper layers, sounds, markers. */
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class ItemController {
  private final FilmEdits edits;

  ItemController(FilmEdits edits) {
    this.edits = edits;
  }

  record LayOver(long revision, Piece piece, Moment start, Moment end) {}

  /** What of an overlay is to change; null stays as it is. */
  record ChangeOverlay(
      long revision,
      String name,
      @Schema(nullable = true) Integer layer,
      @Schema(nullable = true) LieView lie,
      @Schema(nullable = true) Mixing mixing,
      @Schema(nullable = true) Long in,
      @Schema(nullable = true) Speed run,
      @Schema(nullable = true) Fit framing,
      @Schema(nullable = true) Boolean locked,
      @Schema(nullable = true) Moment start,
      @Schema(nullable = true) Moment end) {}

  record Named(long revision, String name) {}

  record SetSound(
      long revision,
      String name,
      @Schema(nullable = true) Moment start,
      long length,
      double gain) {}

  /** Ticks a marker off. */
  record TickMarker(long revision, String name, boolean done) {}

  /** Sets a marker, or changes the one of that name. */
  record SetMarker(
      long revision,
      @Schema(nullable = true) String name,
      @Schema(nullable = true) Moment at,
      String note) {}

  @PostMapping("/lay-over")
  FilmView layOver(@PathVariable long productionId, @RequestBody LayOver l) {
    return edits.make(
        productionId,
        l.revision(),
        film ->
            Layers.layOver(
                film.resolved(), l.piece().placement(film, false), l.start().tie(), l.end().tie()));
  }

  @PostMapping("/change-overlay")
  FilmView changeOverlay(@PathVariable long productionId, @RequestBody ChangeOverlay c) {
    return edits.make(
        productionId,
        c.revision(),
        film ->
            Layers.change(
                film.resolved(), changed(film.resolved(), overlay(film.film(), c.name()), c)));
  }

  private static Overlay overlay(Film film, String name) {
    return film.overlay(name)
        .orElseThrow(() -> new Refused("That shot does not lie over the cut any more."));
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
        c.layer() == null ? o.layer() : c.layer(),
        shot,
        new Overlay.Ties(
            c.start() == null ? o.start() : c.start().tie(),
            c.end() == null ? o.end() : c.end().tie()),
        c.lie() == null ? o.lie() : c.lie().path(),
        c.mixing() == null ? o.mixing() : c.mixing());
  }

  @PostMapping("/overlay-out")
  FilmView overlayOut(@PathVariable long productionId, @RequestBody Named n) {
    return edits.make(productionId, n.revision(), film -> Put.away(ItemKind.OVERLAY, n.name()));
  }

  @PostMapping("/set-sound")
  FilmView setSound(@PathVariable long productionId, @RequestBody SetSound s) {
    return edits.make(
        productionId,
        s.revision(),
        film -> {
          FilmSound sound =
              film.film()
                  .sound(s.name())
                  .orElseThrow(() -> new Refused("That sound is not in the film any more."));
          if (!(sound.what() instanceof SoundMaterial.OfTake clip)) {
            throw new Refused("That sound is not a clip's; change it in Mix.");
          }
          return Put.sound(
              new FilmSound(
                  s.name(),
                  new SoundMaterial.OfTake(clip.take(), clip.in(), s.length()),
                  s.start() == null ? sound.when() : Landing.on(s.start().tie()),
                  sound.how().withGain(s.gain()),
                  sound.follows()));
        });
  }

  @PostMapping("/sound-out")
  FilmView soundOut(@PathVariable long productionId, @RequestBody Named n) {
    return edits.make(productionId, n.revision(), film -> Put.away(ItemKind.SOUND, n.name()));
  }

  @PostMapping("/set-marker")
  FilmView setMarker(@PathVariable long productionId, @RequestBody SetMarker m) {
    return edits.make(
        productionId,
        m.revision(),
        film -> {
          String note = m.note() == null ? "" : m.note().strip();
          if (m.name() == null && m.at() == null) {
            throw new Refused("A new marker needs a moment.");
          }
          if (m.name() == null) {
            String name = film.film().freshId("marker");
            return Put.marker(Marker.of(name, m.at().tie(), note));
          }
          Marker old =
              film.film().marker(m.name()).orElseThrow(() -> new Refused("That marker is gone."));
          return Put.marker(old.withNote(note).withAt(m.at() == null ? old.at() : m.at().tie()));
        });
  }

  /** Ticks a marker off, or takes the tick away. */
  @PostMapping("/tick-marker")
  FilmView tickMarker(@PathVariable long productionId, @RequestBody TickMarker t) {
    return edits.make(
        productionId,
        t.revision(),
        film ->
            Put.marker(
                film.film()
                    .marker(t.name())
                    .orElseThrow(() -> new Refused("That marker is gone."))
                    .withDone(t.done())));
  }

  @PostMapping("/marker-out")
  FilmView markerOut(@PathVariable long productionId, @RequestBody Named n) {
    return edits.make(productionId, n.revision(), film -> Put.away(ItemKind.MARKER, n.name()));
  }
}
