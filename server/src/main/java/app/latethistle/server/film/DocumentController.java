package app.latethistle.server.film;

import app.latethistle.document.PublishedSchema;
import app.latethistle.server.config.Attachment;
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
  private final FilmDocuments documents;

  DocumentController(FilmService films, FilmDocuments documents) {
    this.films = films;
    this.documents = documents;
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
        .body(documents.of(state).write());
  }

  /** The schema of such documents. */
  @GetMapping(path = "/api/film-document.schema.json", produces = "application/schema+json")
  String schema() {
    return PublishedSchema.FILM.json();
  }
}
