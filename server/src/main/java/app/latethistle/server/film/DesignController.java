package app.latethistle.server.film;

import app.latethistle.core.type.Faces;
import app.latethistle.core.words.Design;
import app.latethistle.core.words.Designs;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.OwnFaces;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What titles can be made of, in any production. */
@ServerOnly
@RestController
@RequestMapping("/api/title-designs")
class DesignController {
  private final FilmService films;
  private final TitleDesigns designs;
  private final OwnFaces faces;

  DesignController(FilmService films, TitleDesigns designs, OwnFaces faces) {
    this.faces = faces;
    this.films = films;
    this.designs = designs;
  }

  /**
   * What there is to choose from.
   *
   * @param own the person's own designs, by their names
   * @param designs that ship with the application
   */
  record WordChoices(List<Faces.Family> families, List<Design> own, List<Design> designs) {}

  /** Keeps how a title of a film is made, to begin others with. */
  record KeepDesign(long production, String title, String name) {}

  @GetMapping
  WordChoices choices() {
    return new WordChoices(faces.offered(), designs.own(), Designs.ALL);
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  public void keep(@RequestBody KeepDesign k) {
    designs.keep(k.name(), films.state(k.production()).title(k.title()).design());
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void remove(@RequestParam String name) {
    designs.remove(name);
  }
}
