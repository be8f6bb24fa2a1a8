package app.latethistle.server.material;

import app.latethistle.media.ContentStore;
import app.latethistle.media.RefusedMedia;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Lane;
import java.io.IOException;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;

/** The job that listens to a song: its beats, and its waveform for drawing. */
@Configuration(proxyBeanMethods = false)
class ListenToSong {
  @Bean("listen-to-song")
  Job listenToSong(Songs songs, ContentStore store, TransactionTemplate transaction) {
    return Job.of(
        Lane.DESK,
        "listen-to-song",
        id -> songs.findById(id).map(Song::productionId),
        id -> {
          listen(id, songs, store, transaction);
          return Optional.empty();
        },
        (id, why) -> refuse(id, "It could not be listened to: " + why, songs, transaction));
  }

  private static void listen(
      long id, Songs songs, ContentStore store, TransactionTemplate transaction)
      throws IOException {
    Song song = songs.findById(id).orElse(null);
    if (song == null || song.state() != State.PREPARING) {
      return;
    }
    try {
      HeardSong heard = HeardSong.of(store, song.medium());
      transaction.executeWithoutResult(
          status -> songs.findById(id).ifPresent(kept -> kept.heard(heard)));
    } catch (RefusedMedia e) {
      refuse(id, e.getMessage(), songs, transaction);
    }
  }

  private static void refuse(long id, String why, Songs songs, TransactionTemplate transaction) {
    transaction.executeWithoutResult(
        status -> songs.findById(id).ifPresent(kept -> kept.refuse(why)));
  }
}
