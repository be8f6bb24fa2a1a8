package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.TwoSongs;
import app.latethistle.core.time.Samples;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * Goes from one song to another on a bar; what is taken becomes a candidate beside both. Bars count
 * from 1, times are seconds.
 */
@RestController
@RequestMapping("/api/productions/{productionId}/songs/{songId}/then/{otherId}")
class TwoSongsController {
  private final Songs songs;
  private final MadeSongs made;

  TwoSongsController(Songs songs, MadeSongs made) {
    this.songs = songs;
    this.made = made;
  }

  /**
   * What two songs make.
   *
   * @param at where the second begins
   * @param fade how long before that the first gives way to it: its last beat
   * @param bpm the tempo of the first song, and of the second
   * @param louder by how many decibels the second was softer than the first
   */
  record TwoSongsView(
      double at, double fade, double seconds, double bpm, double thenBpm, double louder) {}

  /**
   * Where one song gives way to the other.
   *
   * @param bars of the first song that are heard
   * @param from the first bar of the second that is heard
   */
  record BarsAsked(int bars, int from) {}

  @GetMapping
  TwoSongsView look(
      @PathVariable long productionId,
      @PathVariable long songId,
      @PathVariable long otherId,
      @RequestParam int bars,
      @RequestParam int from) {
    Song first = songs.get(productionId, songId);
    Song second = songs.get(productionId, otherId);
    TwoSongs two = join(first, second, bars, from);
    long length = two.length(Samples.ofSeconds(second.medium().facts().seconds()));
    return new TwoSongsView(
        Samples.toSeconds(two.leaves()),
        Samples.toSeconds(two.fade()),
        Samples.toSeconds(length),
        first.grid().bpm(),
        second.grid().bpm(),
        loudness(first) - loudness(second));
  }

  /** Six seconds around the join, as WAV. */
  @GetMapping("/join.wav")
  ResponseEntity<byte[]> hear(
      @PathVariable long productionId,
      @PathVariable long songId,
      @PathVariable long otherId,
      @RequestParam int bars,
      @RequestParam int from)
      throws IOException {
    Song first = songs.get(productionId, songId);
    Song second = songs.get(productionId, otherId);
    TwoSongs two = join(first, second, bars, from);
    return MadeSongs.around(sound(two, first, made.stereo(second), second), two.leaves());
  }

  /** Makes the two songs as one a candidate. */
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(
      @PathVariable long productionId,
      @PathVariable long songId,
      @PathVariable long otherId,
      @RequestBody BarsAsked asked)
      throws IOException {
    Song first = songs.get(productionId, songId);
    Song second = songs.get(productionId, otherId);
    TwoSongs two = join(first, second, asked.bars(), asked.from());
    float[] b = made.stereo(second);
    made.keep(
        productionId,
        first.title() + ", then " + second.title(),
        sound(two, first, b, second),
        two.parts(b.length / 2));
  }

  private float[] sound(TwoSongs two, Song first, float[] b, Song second) throws IOException {
    return two.apply(made.stereo(first), b, TwoSongs.gain(loudness(first), loudness(second), b));
  }

  private static TwoSongs join(Song first, Song second, int bars, int from) {
    if (first.id().equals(second.id())) {
      throw new Refused("Choose another song to go on with than " + first.title() + " itself.");
    }
    requireBars(first);
    requireBars(second);
    return TwoSongs.of(first.parts(), second.parts(), bars, from);
  }

  private static void requireBars(Song song) {
    song.requireListenedTo();
    BeatGrid grid = song.grid();
    if (grid.size() == 0) {
      throw new Refused(
          song.title() + " has no beats, so there is no bar to join on. Tap them along first.");
    }
  }

  private static double loudness(Song song) {
    return song.loudness() == null ? 0 : song.loudness();
  }
}
