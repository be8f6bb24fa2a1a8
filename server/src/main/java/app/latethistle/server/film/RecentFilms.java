package app.latethistle.server.film;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** Films as they were a few revisions ago, so that a change made on one can be brought in still. */
final class RecentFilms {
  private static final int KEPT = 60;

  private record Key(long production, long revision) {}

  private final Map<Key, FilmState> films =
      new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, FilmState> eldest) {
          return size() > KEPT;
        }
      };

  synchronized void keep(FilmState state) {
    films.put(new Key(state.production().id(), state.production().revision()), state);
  }

  synchronized Optional<FilmState> at(long production, long revision) {
    return Optional.ofNullable(films.get(new Key(production, revision)));
  }
}
