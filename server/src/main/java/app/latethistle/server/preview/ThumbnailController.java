package app.latethistle.server.preview;

import app.latethistle.server.config.Attachment;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import java.io.IOException;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Pictures of a film that do as thumbnails. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film")
class ThumbnailController {
  private final FilmService films;
  private final Thumbnails thumbnails;

  ThumbnailController(FilmService films, Thumbnails thumbnails) {
    this.films = films;
    this.thumbnails = thumbnails;
  }

  @GetMapping("/thumbnails")
  List<Thumbnails.Candidate> candidates(@PathVariable long productionId) throws IOException {
    FilmState state = films.state(productionId);
    return state.film().placements().isEmpty() ? List.of() : thumbnails.of(state);
  }

  /** A picture of the film, to be saved. */
  @GetMapping(path = "/thumbnail.jpg", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> thumbnail(@PathVariable long productionId, @RequestParam long frame)
      throws IOException {
    FilmState state = films.state(productionId);
    return Attachment.answer(
            state.production().title() + " thumbnail", ".jpg", MediaType.IMAGE_JPEG_VALUE)
        .body(thumbnails.jpeg(state, frame));
  }
}
