package app.latethistle.server.material;

import app.latethistle.core.Refused;
import app.latethistle.core.music.SongAnalysis;
import app.latethistle.core.music.SongLength;
import app.latethistle.core.music.SongPlan;
import app.latethistle.core.signal.MonoSound;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ContentStore;
import app.latethistle.media.WaveFile;
import app.latethistle.server.production.Productions;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.support.TransactionTemplate;
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
  private static final double AROUND = 3;

  private final Productions productions;
  private final Songs songs;
  private final BringIn bringIn;
  private final ContentStore store;
  private final TransactionTemplate transaction;

  /** The last answer: whoever gets it listens to its joins next. */
  private volatile Planned last;

  SongLengthController(
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
    float[] made = plan.apply(HeardSong.stereo(store, song.medium()));
    long at = plan.joins().get(join).at();
    int from = (int) Math.max(0, at - Samples.ofSeconds(AROUND));
    int to = (int) Math.min(plan.length(), at + Samples.ofSeconds(AROUND));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("audio/wav"))
        .cacheControl(CacheControl.noCache())
        .body(WaveFile.bytes(Arrays.copyOfRange(made, 2 * from, 2 * to), 2, Samples.RATE));
  }

  /** Makes the song of that length a candidate. */
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(
      @PathVariable long productionId, @PathVariable long songId, @RequestBody LengthTaken taken)
      throws IOException {
    Song song = songs.get(productionId, songId);
    SongPlan plan = chosen(plans(song, taken.seconds()), taken.choice());
    float[] made = plan.apply(HeardSong.stereo(store, song.medium()));
    String title = String.format(Locale.ROOT, "%s, %.1f s", song.title(), taken.seconds());
    byte[] wave = WaveFile.bytes(made, 2, Samples.RATE);
    Medium medium =
        bringIn.bringInSound(productionId, title + ".wav", new ByteArrayInputStream(wave));
    SongAnalysis analysis =
        new SongAnalysis(
            plan.grid(song.grid()), plan.sections(song.sections()), plan.moments(song.moments()));
    HeardSong heard = HeardSong.of(analysis, HeardSong.mono(store, medium), made);
    transaction.executeWithoutResult(
        status -> {
          productions.getLocked(productionId);
          boolean known =
              songs.findByProductionId(productionId).stream()
                  .anyMatch(s -> s.medium().hash().equals(medium.hash()));
          if (known) {
            throw new Refused("That very length is among the candidates already.");
          }
          Song cut = new Song(productionId, title, medium);
          cut.heard(heard);
          cut.sungIn(plan.sung(song.sung()));
          songs.save(cut);
        });
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
