package app.latethistle.server.material;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.OtherReading;
import app.latethistle.core.music.Section;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ContentStore;
import app.latethistle.server.history.History;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Jobs;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Base64;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Songs: the candidates, which one is chosen, what they look and sound like. */
@RestController
@RequestMapping("/api/productions/{productionId}/songs")
class SongController {
  private final Productions productions;
  private final Songs songs;
  private final ContentStore store;
  private final History history;
  private final Jobs jobs;
  private final Job listenToSong;

  SongController(
      Productions productions,
      Songs songs,
      ContentStore store,
      History history,
      Jobs jobs,
      @Qualifier("listen-to-song") Job listenToSong) {
    this.productions = productions;
    this.songs = songs;
    this.store = store;
    this.history = history;
    this.jobs = jobs;
    this.listenToSong = listenToSong;
  }

  /**
   * A song.
   *
   * @param listened how much of listening to it is done, 0 to 1
   * @param loudness in LUFS, null if it is not known
   * @param beats when each beat falls in the song, in seconds
   * @param other a way to count that fits nearly as well, if that is in doubt
   * @param pace how quickly each section is to move as a person drew it; empty if nobody did
   * @param ownPace how quickly each moves of itself in an even cut
   */
  record SongView(
      long id,
      String title,
      boolean chosen,
      State state,
      @Schema(nullable = true) String reason,
      double listened,
      double seconds,
      @Schema(nullable = true) Double loudness,
      double bpm,
      int beatsPerBar,
      int firstDownbeat,
      double confidence,
      @Schema(nullable = true) OtherReading other,
      List<Double> beats,
      List<Float> sureness,
      List<SectionView> sections,
      List<MomentView> moments,
      List<SungView> sung,
      List<Double> pace,
      List<Double> ownPace) {}

  /** A part of a song in which somebody sings, in seconds. */
  record SungView(double start, double end) {}

  /**
   * A section of a song, in seconds.
   *
   * @param name what it does, and a letter where another sounds like it
   * @param bars how many bars it has
   */
  record SectionView(double start, double end, String name, double energy, int bars) {}

  /** A key moment of a song, in seconds. */
  record MomentView(double at, KeyMoment.Kind kind) {}

  /** A waveform: {@code peak} and {@code body} are base64 of one byte a span. */
  record PeaksView(int perSecond, String peak, String body) {}

  @GetMapping
  @Transactional(readOnly = true)
  public List<SongView> songs(@PathVariable long productionId) {
    Production production = productions.get(productionId);
    return songs.findByProductionIdOrderById(productionId).stream()
        .sorted(Comparator.comparing(Song::id))
        .map(song -> view(song, song.id().equals(production.songId())))
        .toList();
  }

  private static SongView view(Song song, boolean chosen) {
    BeatGrid grid = song.grid();
    return new SongView(
        song.id(),
        song.title(),
        chosen,
        song.state(),
        song.reason(),
        song.listened(),
        song.medium().facts().seconds(),
        song.loudness(),
        grid.bpm(),
        grid.beatsPerBar(),
        grid.firstDownbeat(),
        grid.confidence(),
        grid.other().orElse(null),
        IntStream.range(0, grid.size()).mapToObj(i -> Samples.toSeconds(grid.sampleOf(i))).toList(),
        IntStream.range(0, grid.size()).mapToObj(grid::sureness).toList(),
        song.sections().stream().map(s -> view(s, song.sections(), grid)).toList(),
        song.moments().stream()
            .map(m -> new MomentView(Samples.toSeconds(m.at()), m.kind()))
            .toList(),
        song.sung().stream()
            .map(s -> new SungView(Samples.toSeconds(s.start()), Samples.toSeconds(s.end())))
            .toList(),
        song.pace(),
        Pace.EVEN.speeds(song.sections()));
  }

  private static SectionView view(Section section, List<Section> all, BeatGrid grid) {
    int first = grid.barOf(grid.nearest(section.start()));
    int last = grid.barOf(grid.nearest(section.end()));
    boolean ends = section.end() > grid.sampleOf(grid.size() - 1);
    return new SectionView(
        Samples.toSeconds(section.start()),
        Samples.toSeconds(section.end()),
        section.called(all),
        section.energy(),
        Math.max(0, last - Math.max(1, first) + (ends ? 1 : 0)));
  }

  @PostMapping("/{songId}/choose")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void choose(@PathVariable long productionId, @PathVariable long songId) {
    Production production = productions.getLocked(productionId);
    Song song = songs.get(productionId, songId);
    Long before = production.songId();
    if (!song.id().equals(before)) {
      production.chooseSong(songId);
      history.did(productionId, "choose " + song.title(), new Deed.SongChosen(before, songId));
    }
  }

  @GetMapping("/{songId}/peaks")
  ResponseEntity<PeaksView> peaks(@PathVariable long productionId, @PathVariable long songId) {
    var peaks = songs.get(productionId, songId).peaks();
    Base64.Encoder base64 = Base64.getEncoder();
    return ResponseEntity.ok()
        .cacheControl(CacheControl.noCache())
        .body(
            new PeaksView(
                peaks.perSecond(),
                base64.encodeToString(peaks.peak()),
                base64.encodeToString(peaks.body())));
  }

  /** The song's own file, for hearing it. */
  @GetMapping("/{songId}/sound")
  ResponseEntity<Resource> sound(@PathVariable long productionId, @PathVariable long songId) {
    Medium medium = songs.get(productionId, songId).medium();
    return ResponseEntity.ok()
        .contentType(typeOf(medium))
        .body(new FileSystemResource(store.path(medium.hash())));
  }

  /** What a sound's file is called on the web. */
  static MediaType typeOf(Medium medium) {
    return MediaType.parseMediaType(
        switch (medium.facts().container()) {
          case MP4 -> "audio/mp4";
          case WAV -> "audio/wav";
          case FLAC -> "audio/flac";
          case OGG -> "audio/ogg";
          case MATROSKA -> "audio/webm";
          default -> "audio/mpeg";
        });
  }

  /** Stops listening to a song; it can be listened to again. */
  @PostMapping("/{songId}/stop")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void stop(@PathVariable long productionId, @PathVariable long songId) {
    songs.get(productionId, songId).stop();
  }

  /** Listens once more to a song that could not be listened to. */
  @PostMapping("/{songId}/again")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void again(@PathVariable long productionId, @PathVariable long songId) {
    songs.get(productionId, songId).again();
    // Its last try may be ending just now.
    jobs.enqueueAnew(listenToSong, songId);
  }
}
