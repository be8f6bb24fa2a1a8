package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.music.SongParts;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ContentStore;
import app.latethistle.media.WaveFile;
import app.latethistle.server.production.Productions;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Songs made here out of others: heard around a join, and kept as candidates beside them. */
@Service
class MadeSongs {
  /** Seconds that are heard on either side of a join. */
  private static final double AROUND = 3;

  private final Productions productions;
  private final Songs songs;
  private final BringIn bringIn;
  private final ContentStore store;
  private final TransactionTemplate transaction;

  MadeSongs(
      Productions productions,
      Songs songs,
      BringIn bringIn,
      ContentStore store,
      TransactionTemplate transaction) {
    this.productions = productions;
    this.songs = songs;
    this.bringIn = bringIn;
    this.store = store;
    this.transaction = transaction;
  }

  /** The sound of a song of a production, left and right in turn at 48 kHz. */
  float[] stereo(Song song) throws IOException {
    return HeardSong.stereo(store, song.medium());
  }

  /** Six seconds of a song around a sample of it, as WAV. */
  static ResponseEntity<byte[]> around(float[] stereo, long at) throws IOException {
    int from = (int) Math.max(0, at - Samples.ofSeconds(AROUND));
    int to = (int) Math.min(stereo.length / 2, at + Samples.ofSeconds(AROUND));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("audio/wav"))
        .cacheControl(CacheControl.noCache())
        .body(WaveFile.bytes(Arrays.copyOfRange(stereo, 2 * from, 2 * to), 2, Samples.RATE));
  }

  /**
   * Keeps a song as a candidate.
   *
   * @param parts what is known of it, so that it need not be listened to
   * @throws Refused if the same sound is among the candidates
   */
  void keep(long productionId, String title, float[] stereo, SongParts parts) throws IOException {
    byte[] wave = WaveFile.bytes(stereo, 2, Samples.RATE);
    Medium medium =
        bringIn.bringInSound(productionId, title + ".wav", new ByteArrayInputStream(wave));
    HeardSong heard = HeardSong.of(parts.heard(), HeardSong.mono(store, medium), stereo);
    transaction.executeWithoutResult(
        status -> {
          productions.getLocked(productionId);
          boolean known =
              songs.findByProductionIdOrderById(productionId).stream()
                  .anyMatch(s -> s.medium().hash().equals(medium.hash()));
          if (known) {
            throw new Refused("That very song is among the candidates already.");
          }
          Song made = new Song(productionId, title, medium);
          made.heard(heard);
          made.sungIn(parts.sung());
          songs.save(made);
        });
  }
}
