package app.latethistle.server.film;

import app.latethistle.core.film.Edit;
import app.latethistle.core.film.EditLog;
import app.latethistle.core.film.Film;
import app.latethistle.core.signal.BandLevels;
import app.latethistle.core.signal.LoudnessTrace;
import app.latethistle.core.take.Take;
import app.latethistle.server.jobs.AfterCommit;
import app.latethistle.server.material.Song;
import app.latethistle.server.material.SongLevels;
import app.latethistle.server.material.SongLoudness;
import app.latethistle.server.material.Songs;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.StoredEdit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/**
 * Films as their edit logs and clocks make them, kept so that a log is not replayed for every look.
 */
@Component
class LoadedFilms {
  private final Productions productions;
  private final EditRows rows;
  private final Takes takes;
  private final Songs songs;
  private final Voice voice;
  private final SongLevels levels;
  private final SongLoudness loudness;
  private final RecentFilms recent = new RecentFilms();
  private final Map<Long, Loaded> loaded = new ConcurrentHashMap<>();

  /** A log as it was at a revision, so that it is not replayed for every look at it. */
  private record Loaded(long revision, EditLog log) {}

  LoadedFilms(
      Productions productions,
      EditRows rows,
      Takes takes,
      Songs songs,
      Voice voice,
      SongLevels levels,
      SongLoudness loudness) {
    this.productions = productions;
    this.rows = rows;
    this.takes = takes;
    this.songs = songs;
    this.voice = voice;
    this.levels = levels;
    this.loudness = loudness;
  }

  /** A film as it was at a revision, if that is not long ago. */
  Optional<FilmState> at(long production, long revision) {
    return recent.at(production, revision);
  }

  /** Notes that the film is another now. Its clocks and takes are those it was changed on. */
  FilmState changed(FilmState after) {
    Production production = after.production();
    production.filmChanged(after.log().done());
    productions.flush();
    Loaded log = new Loaded(production.revision(), after.log());
    // Until the transaction has ended well, others read what is in the rows.
    loaded.remove(production.id());
    AfterCommit.run(
        () -> {
          loaded.put(production.id(), log);
          recent.keep(after);
        });
    return after;
  }

  /** The film of a production as it is. */
  FilmState resolve(Production production) {
    Loaded kept = loaded.get(production.id());
    EditLog log =
        kept != null && kept.revision() == production.revision()
            ? kept.log()
            : replayed(production);
    loaded.put(production.id(), new Loaded(production.revision(), log));
    return resolve(production, log);
  }

  private EditLog replayed(Production production) {
    List<Function<Film, Edit>> edits = new ArrayList<>();
    for (EditRow row : rows.findByProductionIdOrderByPlace(production.id())) {
      edits.add(StoredEdit.read(row.body())::on);
    }
    return EditLog.replay(edits, production.done());
  }

  /** The film that a log makes, with the clocks and takes there are. */
  FilmState resolve(Production production, EditLog log) {
    Map<String, Take> ready = new LinkedHashMap<>();
    Set<String> sounding = new HashSet<>();
    for (TakeEntry entry : takes.findByProductionIdOrderById(production.id())) {
      if (entry.state() == State.READY) {
        String id = Long.toString(entry.id());
        ready.put(id, entry.take());
        if (entry.sound() != null) {
          sounding.add(id);
        }
      }
    }
    Optional<Song> song =
        Optional.ofNullable(production.songId())
            .flatMap(songs::findById)
            .filter(s -> s.state() == State.READY);
    FilmState state =
        FilmState.of(
            production,
            log,
            ready,
            sounding,
            song,
            voice.lines(production.id()),
            () -> song.map(s -> levels.of(s.medium())).orElse(BandLevels.EMPTY),
            () -> song.map(s -> loudness.of(s.medium())).orElse(LoudnessTrace.UNKNOWN));
    recent.keep(state);
    return state;
  }
}
