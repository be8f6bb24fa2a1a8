package app.latethistle.server.material;

import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.signal.Peaks;
import app.latethistle.media.ContentStore;
import app.latethistle.media.RefusedMedia;
import app.latethistle.media.SongDecoder;
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
  /** Spans of the waveform a second. */
  static final int PEAKS_A_SECOND = 50;

  /** What silence counts as, in LUFS. */
  private static final double LEAST = -90;

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
                Medium medium = song.medium();
                MonoSound sound =
                    SongDecoder.mono(store.path(medium.hash()), medium.facts().container());
                SongAnalysis heard = SongAnalysis.of(sound);
                Peaks peaks = Peaks.of(sound, PEAKS_A_SECOND);
                double loudness =
                    Loudness.integrated(
                        SongDecoder.stereo(store.path(medium.hash()), medium.facts().container()));
                transaction.executeWithoutResult(
                    status ->
                        songs
                            .findById(song.id())
                            .ifPresent(
                                kept -> kept.heard(heard, peaks, Math.max(LEAST, loudness))));
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
