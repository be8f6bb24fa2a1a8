package app.latethistle.server.film;

import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.take.PictureShape;
import app.latethistle.document.FilmDocument;
import app.latethistle.document.FilmForm;
import app.latethistle.document.FilmSchema;
import app.latethistle.document.LineForm;
import app.latethistle.document.MediumForm;
import app.latethistle.document.OutputForm;
import app.latethistle.document.SongForm;
import app.latethistle.document.TakeForm;
import app.latethistle.server.config.Attachment;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The film as a document, which a terminal draws too. */
@RestController
class DocumentController {
  private final FilmService films;

  DocumentController(FilmService films) {
    this.films = films;
  }

  /** The film as it is now. */
  @GetMapping(
      path = "/api/productions/{productionId}/film.json",
      produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<String> document(@PathVariable long productionId) {
    FilmState state = films.state(productionId);
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            Attachment.named(state.production().title(), ".film.json"))
        .body(document(state).write());
  }

  /** The schema of such documents. */
  @GetMapping(path = "/api/film-document.schema.json", produces = "application/schema+json")
  String schema() {
    return FilmSchema.json();
  }

  private static FilmDocument document(FilmState state) {
    PictureShape picture = state.production().shape();
    Film film = shown(state);
    Set<String> used = used(film);
    return new FilmDocument(
        FilmDocument.VERSION,
        state.production().title(),
        new FilmDocument.Picture(picture.width(), picture.height()),
        state.production().rate().toString(),
        state.takes().values().stream()
            .filter(t -> used.contains(t.id()))
            .map(
                t ->
                    new TakeForm(
                        t.id(),
                        MediumForm.ofHash(t.media()),
                        t.frames(),
                        state.sounding().contains(t.id())))
            .toList(),
        state.song().map(s -> SongForm.of(s.medium().hash(), state.grid())).orElse(null),
        state.lines().stream().map(DocumentController::line).toList(),
        OtherShape.of(picture).stream()
            .map(s -> OutputForm.whole(s.name(), s.width(), s.height()))
            .toList(),
        FilmForm.of(film));
  }

  /** The film without what is not seen or heard, because its take is gone. */
  private static Film shown(FilmState state) {
    Film film = state.film();
    List<Placement> cut =
        film.placements().stream().map(p -> isThere(p, state) ? p : Placement.gap(p.id())).toList();
    return film.withCut(cut, film.joints())
        .withOverlays(film.overlays().stream().filter(o -> isThere(o.placement(), state)).toList())
        .withSounds(
            film.sounds().stream().filter(s -> state.takes().containsKey(s.take())).toList());
  }

  private static boolean isThere(Placement p, FilmState state) {
    return !p.hasPicture() || state.takes().containsKey(p.take());
  }

  private static LineForm line(ReadLine read) {
    MediumForm medium = read.medium() == null ? null : MediumForm.ofHash(read.medium().hash());
    return LineForm.of(read.line(), medium, read.cuts(), read.loudness());
  }

  private static Set<String> used(Film film) {
    return Stream.of(
            film.placements().stream().map(Placement::take),
            film.overlays().stream().map(Overlay::placement).map(Placement::take),
            film.sounds().stream().map(FilmSound::take))
        .flatMap(takes -> takes)
        .collect(Collectors.toSet());
  }
}
