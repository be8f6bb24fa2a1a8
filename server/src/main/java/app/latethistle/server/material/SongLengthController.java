package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.music.SongLength;
import app.latethistle.core.music.SongPlan;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ContentStore;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
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

/** Makes a song another length; what is taken becomes a candidate beside it. Times are seconds. */
@RestController
@RequestMapping("/api/productions/{productionId}/songs/{songId}/lengths")
class SongLengthController {
  private final Songs songs;
  private final MadeSongs made;
  private final ContentStore store;

  /** The last answer: whoever gets it listens to its joins next. */
  private volatile Planned last;

  SongLengthController(Songs songs, MadeSongs made, ContentStore store) {
    this.songs = songs;
    this.made = made;
    this.store = store;
  }

  private record Asked(long song, long correctionsMark, double seconds) {}

  private record Planned(Asked asked, List<SongPlan> plans) {}

  /** A way to make the song so long. */
  record LengthView(double cost, List<KeptView> kept, List<JoinView> joins) {}

  /** Bars that are played on end, and where they are in the song. */
  record KeptView(int firstBar, int lastBar, double start, double end) {}

  /**
   * Where two stretches meet.
   *
   * @param cost how audible it may be: 0 goes on as the song does, 1 is like two bars at random
   */
  record JoinView(double at, double cost) {}

  /** Which of the ways offered is taken. */
  record LengthTaken(double seconds, int choice) {}

  @GetMapping
  List<LengthView> lengths(
      @PathVariable long productionId, @PathVariable long songId, @RequestParam double seconds)
      throws IOException {
    return plans(songs.get(productionId, songId), seconds).stream()
        .map(SongLengthController::view)
        .toList();
  }

  /** Six seconds around a join of one of the ways, as WAV. */
  @GetMapping("/{choice}/joins/{join}.wav")
  ResponseEntity<byte[]> around(
      @PathVariable long productionId,
      @PathVariable long songId,
      @PathVariable int choice,
      @PathVariable int join,
      @RequestParam double seconds)
      throws IOException {
    Song song = songs.get(productionId, songId);
    SongPlan plan = chosen(plans(song, seconds), choice);
    if (join < 0 || join >= plan.joins().size()) {
      throw new Refused("There is no join " + join + " in it.");
    }
    return MadeSongs.around(plan.apply(made.stereo(song)), plan.joins().get(join).at());
  }

  /** Makes the song of that length a candidate. */
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(
      @PathVariable long productionId, @PathVariable long songId, @RequestBody LengthTaken taken)
      throws IOException {
    Song song = songs.get(productionId, songId);
    SongPlan plan = chosen(plans(song, taken.seconds()), taken.choice());
    String title = String.format(Locale.ROOT, "%s, %.1f s", song.title(), taken.seconds());
    made.keep(productionId, title, plan.apply(made.stereo(song)), plan.parts(song.parts()));
  }

  private List<SongPlan> plans(Song song, double seconds) throws IOException {
    song.requireListenedTo();
    Asked asked = new Asked(song.id(), song.correctionsMark(), seconds);
    Planned kept = last;
    if (kept == null || !kept.asked.equals(asked)) {
      MonoSound mono = HeardSong.mono(store, song.medium());
      kept = new Planned(asked, SongLength.plans(mono, song.grid(), Samples.ofSeconds(seconds)));
      last = kept;
    }
    return kept.plans;
  }

  private static SongPlan chosen(List<SongPlan> plans, int choice) {
    if (choice < 0 || choice >= plans.size()) {
      throw new Refused("There is no way " + choice + " among those offered.");
    }
    return plans.get(choice);
  }

  private static LengthView view(SongPlan plan) {
    return new LengthView(
        plan.cost(),
        plan.kept().stream()
            .map(
                k ->
                    new KeptView(
                        k.firstBar(),
                        k.lastBar(),
                        Samples.toSeconds(k.start()),
                        Samples.toSeconds(k.end())))
            .toList(),
        plan.joins().stream().map(j -> new JoinView(Samples.toSeconds(j.at()), j.cost())).toList());
  }
}
