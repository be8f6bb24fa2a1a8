package app.latethistle.server.material;

import app.latethistle.server.history.Undoable;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How what is done with songs is taken back. */
@Configuration
class SongSteps {
  private final Productions productions;
  private final Songs songs;

  SongSteps(Productions productions, Songs songs) {
    this.productions = productions;
    this.songs = songs;
  }

  /** The film's ties follow by its own log, which was changed along. */
  @Bean
  Undoable<Deed.BeatsCorrected> beatsCorrected() {
    return new Undoable<>(
        Deed.BeatsCorrected.class,
        (production, deed) -> step(production, deed.song(), -1),
        (production, deed) -> step(production, deed.song(), 1));
  }

  private void step(long productionId, long song, int by) {
    Production production = productions.getLocked(productionId);
    songs.get(productionId, song).step(by);
    songs.flush();
    production.filmChanged(production.done());
  }

  @Bean
  Undoable<Deed.SongChosen> songChosen() {
    return new Undoable<>(
        Deed.SongChosen.class,
        (production, deed) -> productions.getLocked(production).chooseSong(deed.before()),
        (production, deed) -> productions.getLocked(production).chooseSong(deed.after()));
  }

  @Bean
  Undoable<Deed.PaceDrawn> paceDrawn() {
    return new Undoable<>(
        Deed.PaceDrawn.class,
        (production, deed) -> draw(production, deed.song(), deed.before()),
        (production, deed) -> draw(production, deed.song(), deed.after()));
  }

  private void draw(long production, Long song, List<Double> speeds) {
    if (song == null) {
      productions.getLocked(production).draw(speeds);
    } else {
      songs.get(production, song).drawAgain(speeds);
    }
  }
}
