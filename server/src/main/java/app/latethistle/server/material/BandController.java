package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.music.SungPart;
import app.latethistle.core.time.Samples;
import app.latethistle.media.WaveFile;
import app.latethistle.standins.band.Commission;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.SplittableRandom;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Asks the house band for music; it answers with as many songs as are asked for. */
@RestController
@RequestMapping("/api/productions/{productionId}/band")
class BandController {
  private static final int MOST = 4;

  private final BringIn bringIn;
  private final Songs songs;

  BandController(BringIn bringIn, Songs songs) {
    this.bringIn = bringIn;
    this.songs = songs;
  }

  /**
   * What is wanted of a song.
   *
   * @param songs how many different ones, 1 to 4
   */
  record SongWish(
      String style, Commission.Mood mood, double bpm, double seconds, boolean voice, int songs) {}

  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void ask(@PathVariable long productionId, @RequestBody SongWish wish) throws IOException {
    if (wish.songs() < 1 || wish.songs() > MOST) {
      throw new Refused("The house band plays 1 to " + MOST + " songs at a time.");
    }
    long asked = songs.findByProductionIdOrderById(productionId).size() + 1L;
    SplittableRandom random = new SplittableRandom(productionId * 1000L + asked);
    for (int i = 0; i < wish.songs(); i++) {
      Commission piece =
          new Commission(
              wish.style() == null ? "" : wish.style(),
              wish.mood() == null ? Commission.Mood.WARM : wish.mood(),
              wish.bpm(),
              wish.seconds(),
              wish.voice(),
              random.nextLong(1, 1_000_000));
      byte[] wave = WaveFile.bytes(piece.play(), 2, Samples.RATE);
      List<SungPart> sung =
          piece.hummed().stream()
              .map(h -> new SungPart(Samples.ofSeconds(h.from()), Samples.ofSeconds(h.to())))
              .toList();
      bringIn.bringSong(productionId, piece.title() + ".wav", new ByteArrayInputStream(wave), sung);
    }
  }
}
