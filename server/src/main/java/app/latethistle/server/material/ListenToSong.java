package app.latethistle.server.material;

import app.latethistle.media.ContentStore;
import app.latethistle.media.RefusedMedia;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;

/** The job that listens to a song: its beats, and its waveform for drawing. */
@Configuration(proxyBeanMethods = false)
class ListenToSong {
  @Bean("listen-to-song")
  OneTimeTask<Long> listenToSong(Songs songs, ContentStore store, TransactionTemplate transaction) {
    return Tasks.oneTime("listen-to-song", Long.class)
        .onFailure(
            (complete, operations) ->
                operations.reschedule(complete, Instant.now().plus(Duration.ofSeconds(2))))
        .execute(
            (instance, context) -> {
              Song song = songs.findById(instance.getData()).orElse(null);
              if (song == null || song.state() != State.PREPARING) {
                return;
              }
              try {
                HeardSong heard = HeardSong.of(store, song.medium());
                transaction.executeWithoutResult(
                    status -> songs.findById(song.id()).ifPresent(kept -> kept.heard(heard)));
              } catch (RefusedMedia e) {
                transaction.executeWithoutResult(
                    status ->
                        songs.findById(song.id()).ifPresent(kept -> kept.refuse(e.getMessage())));
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
            });
  }
}
