package app.latethistle.server.material;

import app.latethistle.media.ContentStore;
import app.latethistle.media.RefusedMedia;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Lane;
import java.io.IOException;
import java.util.Optional;
import java.util.function.DoubleConsumer;
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
      HeardSong heard =
          HeardSong.of(
              store, song.medium(), new Progress(done -> told(id, done, songs, transaction)));
      transaction.executeWithoutResult(
          status ->
              songs
                  .findById(id)
                  .filter(kept -> kept.state() == State.PREPARING)
                  .ifPresent(kept -> kept.heard(heard)));
    } catch (Stopped e) {
      // A person stopped it; the song says so.
    } catch (RefusedMedia e) {
      refuse(id, e.getMessage(), songs, transaction);
    }
  }

  /** A person does not want the song listened to any more. */
  private static final class Stopped extends RuntimeException {
    private static final long serialVersionUID = 1;
  }

  /** Passes on how far it is, once in a while. */
  private static final class Progress implements DoubleConsumer {
    private static final long EVERY = 1_000_000_000L;

    private final DoubleConsumer to;
    private long last = System.nanoTime();

    Progress(DoubleConsumer to) {
      this.to = to;
    }

    @Override
    public void accept(double done) {
      if (System.nanoTime() - last >= EVERY) {
        last = System.nanoTime();
        to.accept(done);
      }
    }
  }

  /**
   * Notes how far it is.
   *
   * @throws Stopped if nobody wants it any more
   */
  private static void told(long id, double done, Songs songs, TransactionTemplate transaction) {
    Boolean wanted =
        transaction.execute(
            status ->
                songs
                    .findById(id)
                    .filter(song -> song.state() == State.PREPARING)
                    .map(
                        song -> {
                          song.listened(done);
                          return true;
                        })
                    .orElse(false));
    if (!Boolean.TRUE.equals(wanted)) {
      throw new Stopped();
    }
  }

  private static void refuse(long id, String why, Songs songs, TransactionTemplate transaction) {
    transaction.executeWithoutResult(
        status -> songs.findById(id).ifPresent(kept -> kept.refuse(why)));
  }
}
