package app.latethistle.server.film;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.EditLog;
import app.latethistle.core.film.Film;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.render.Program;
import app.latethistle.core.take.Take;
import app.latethistle.media.ContentStore;
import app.latethistle.media.SoundTrack;
import app.latethistle.server.material.Song;
import app.latethistle.server.production.Production;
import java.util.Map;
import java.util.Optional;

/**
 * A production's film at one revision, resolved.
 *
 * @param takes the takes that are ready, by id
 * @param song the chosen song, if it has been listened to
 */
public record FilmState(
    Production production,
    EditLog log,
    BeatGrid grid,
    Map<String, Take> takes,
    Optional<Song> song,
    Cutting cutting) {

  public Film film() {
    return log.film();
  }

  /** What is drawn, at the size given. */
  public Program program(int width, int height) {
    return Program.of(film(), cutting, takes, production.rate(), width, height);
  }

  /** What is heard. */
  public SoundTrack sound(ContentStore store) {
    long length = production.rate().sampleOf(cutting.length());
    long fade = production.rate().sampleOf(film().song().fade());
    return song.map(
            s ->
                new SoundTrack(
                    store.path(s.medium().hash()),
                    s.medium().facts().container(),
                    film().song().start(),
                    length,
                    fade))
        .orElseGet(() -> new SoundTrack(null, null, 0, length, fade));
  }

  /** The hash of the song's file, or "". */
  public String songHash() {
    return song.map(s -> s.medium().hash()).orElse("");
  }
}
