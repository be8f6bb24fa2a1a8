package app.latethistle.server.material;

import app.latethistle.server.production.Productions;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Keeps how quickly the sections of a song are to move when a film is cut to it. */
@RestController
public class PaceController {
  private final Productions productions;
  private final Songs songs;

  PaceController(Productions productions, Songs songs) {
    this.productions = productions;
    this.songs = songs;
  }

  /** For each section 0.25 to 4 times the film's mean; none to follow the song's energy. */
  record DrawnPace(List<Double> speeds) {}

  @PutMapping("/api/productions/{productionId}/songs/{songId}/pace")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void draw(
      @PathVariable long productionId, @PathVariable long songId, @RequestBody DrawnPace drawn) {
    productions.getLocked(productionId);
    Song song = songs.get(productionId, songId);
    song.requireListenedTo();
    song.draw(drawn.speeds());
  }
}
