package app.latethistle.server.material;

import app.latethistle.core.signal.LoudnessTrace;
import app.latethistle.media.ContentStore;
import app.latethistle.media.SoundMeasure;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.springframework.stereotype.Component;

/** How loud songs are over their time, listened to when a voice is first heard over one. */
@Component
public class SongLoudness {
  /** Songs of which it is kept in memory; an hour of one is 300 kB. */
  private static final int KEPT = 32;

  private final ContentStore store;
  private final Kept<String, LoudnessTrace> kept = new Kept<>(KEPT);

  SongLoudness(ContentStore store) {
    this.store = store;
  }

  /** The loudness of a song. */
  public synchronized LoudnessTrace of(Medium medium) {
    return kept.get(medium.hash())
        .orElseGet(
            () -> {
              LoudnessTrace trace = listen(medium);
              kept.put(medium.hash(), trace);
              return trace;
            });
  }

  private LoudnessTrace listen(Medium medium) {
    try {
      return SoundMeasure.trace(store.path(medium.hash()), medium.facts().container());
    } catch (IOException e) {
      throw new UncheckedIOException("The song's loudness could not be measured.", e);
    }
  }
}
