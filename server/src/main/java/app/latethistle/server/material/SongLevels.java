package app.latethistle.server.material;

import app.latethistle.core.signal.BandLevels;
import app.latethistle.media.ContentStore;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** How loud songs are in each band, listened to when something asks for it first. */
@Component
public class SongLevels {
  /** Songs whose levels are kept in memory; an hour of one is 2 MB. */
  private static final int KEPT = 8;

  private final ContentStore store;
  private final Map<String, BandLevels> kept = new LinkedHashMap<>(KEPT, 0.75f, true);

  SongLevels(ContentStore store) {
    this.store = store;
  }

  /** The levels of a song that has been listened to. */
  public synchronized BandLevels of(Medium medium) {
    BandLevels levels = kept.get(medium.hash());
    if (levels == null) {
      try {
        levels = BandLevels.of(HeardSong.mono(store, medium));
      } catch (IOException e) {
        throw new UncheckedIOException("The song's level could not be measured.", e);
      }
      kept.put(medium.hash(), levels);
      kept.keySet().removeIf(hash -> kept.size() > KEPT);
    }
    return levels;
  }
}
