package app.latethistle.server.preview;

import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.film.OtherShape;
import java.io.IOException;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Whether a title can be read where it stands. */
@ServerOnly
@RestController
@RequestMapping("/api/productions/{productionId}/film/titles/{title}")
class TitleSightController {
  private final FilmService films;
  private final TitleSights sights;

  TitleSightController(FilmService films, TitleSights sights) {
    this.films = films;
    this.sights = sights;
  }

  @GetMapping("/sight")
  TitleSights.TitleSight sight(
      @PathVariable long productionId,
      @PathVariable String title,
      @RequestParam(required = false) String shape)
      throws IOException {
    FilmState state = films.state(productionId);
    return sights.of(state, state.title(title), Optional.ofNullable(shape).map(OtherShape::parse));
  }
}
