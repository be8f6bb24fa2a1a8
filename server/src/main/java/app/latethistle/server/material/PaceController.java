package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.server.history.History;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * Keeps how quickly the sections of a song are to move when a film is cut to it, or parts of a film
 * without music.
 */
@RestController
public class PaceController {
  /** Into so many equally long parts a film without music is parted for its pace. */
  private static final int PARTS = 8;

  private final Productions productions;
  private final Songs songs;
  private final History history;

  PaceController(Productions productions, Songs songs, History history) {
    this.productions = productions;
    this.songs = songs;
    this.history = history;
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
    List<Double> before = song.drawn();
    song.draw(drawn.speeds());
    String label = drawn.speeds().isEmpty() ? "follow the song's pace" : "draw the pace";
    noted(productionId, label, new Deed.PaceDrawn(songId, before, drawn.speeds()));
  }

  /** The same for eight equally long parts of a film without music. */
  @PutMapping("/api/productions/{productionId}/pace")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void drawFreely(@PathVariable long productionId, @RequestBody DrawnPace drawn) {
    Production production = productions.getLocked(productionId);
    Song.requireSpeeds(drawn.speeds());
    if (!drawn.speeds().isEmpty() && drawn.speeds().size() != PARTS) {
      throw new Refused("A film without music is paced in " + PARTS + " parts; draw all of them.");
    }
    List<Double> before = production.pace();
    production.draw(drawn.speeds());
    noted(productionId, "draw the pace", new Deed.PaceDrawn(null, before, drawn.speeds()));
  }

  private void noted(long productionId, String label, Deed.PaceDrawn pace) {
    if (!pace.before().equals(pace.after())) {
      history.did(productionId, label, pace);
    }
  }
}
