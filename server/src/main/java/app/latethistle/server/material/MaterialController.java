package app.latethistle.server.material;

import app.latethistle.core.look.Fit;
import app.latethistle.core.measure.Box;
import app.latethistle.core.measure.MoveVerdict;
import app.latethistle.core.measure.Travel;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.Section;
import app.latethistle.core.story.CameraMove;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.Fault;
import app.latethistle.core.take.Gathering;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.ShotNumbers;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Files brought in, shots with their takes, songs. */
@RestController
@RequestMapping("/api/productions/{productionId}")
class MaterialController {
  private final BringIn bringIn;
  private final Productions productions;
  private final Shots shots;
  private final Takes takes;
  private final Songs songs;
  private final Refusals refusals;
  private final Picks picks;
  private final Pictures pictures;
  private final ContentStore store;
  private final WantedShots wantedShots;

  MaterialController(
      BringIn bringIn,
      Productions productions,
      Shots shots,
      Takes takes,
      Songs songs,
      Refusals refusals,
      Picks picks,
      Pictures pictures,
      ContentStore store,
      WantedShots wantedShots) {
    this.bringIn = bringIn;
    this.productions = productions;
    this.shots = shots;
    this.takes = takes;
    this.songs = songs;
    this.refusals = refusals;
    this.picks = picks;
    this.pictures = pictures;
    this.store = store;
    this.wantedShots = wantedShots;
  }

  record Arrival(BringIn.Became became) {}

  /**
   * A take and what is known of it.
   *
   * @param loss the share of its picture that filling the film would crop, 0 to 1
   */
  record TakeView(
      long id,
      int number,
      String fileName,
      State state,
      @Schema(nullable = true) String reason,
      long frames,
      long framesDone,
      double seconds,
      String rate,
      boolean variableRate,
      boolean otherRate,
      int width,
      int height,
      int rotation,
      boolean sound,
      boolean still,
      Fit framing,
      double loss,
      String service,
      String prompt,
      double cost,
      boolean rejected,
      List<Fault> faults,
      String note,
      double measuring,
      @Schema(nullable = true) FactsView facts) {}

  /** A part of a take, in seconds. */
  record Stretch(double from, double to) {}

  /**
   * What was measured of a take. Spans and frames are in seconds of the take.
   *
   * @param move measured, in the trade's words
   * @param verdict how it agrees with the move the story asks for; empty if it asks for none
   * @param motion how far the picture moves over time, 24 values, 0 to 1 of the take's greatest
   * @param softest where it is least sharp, in seconds
   * @param troubles what is wrong, in words, the gravest first
   */
  record FactsView(
      double rate,
      double realRate,
      List<Stretch> frozen,
      List<Stretch> black,
      List<Stretch> flicker,
      List<Double> jumps,
      List<Stretch> warps,
      double sharpness,
      double softest,
      double[] motion,
      Travel travel,
      String move,
      double movePercent,
      @Schema(nullable = true) MoveVerdict verdict,
      List<Box> marks,
      Stretch usable,
      List<String> troubles) {}

  record ShotView(
      long id,
      String label,
      String scene,
      String number,
      String title,
      @Schema(nullable = true) Long pick,
      @Schema(nullable = true) Integer storyShot,
      boolean held,
      @Schema(nullable = true) CameraMove asked,
      double wantedSeconds,
      List<String> who,
      List<TakeView> takes) {}

  record RefusalView(long id, String fileName, String reason) {}

  record MaterialView(
      List<ShotView> shots,
      List<String> missing,
      List<String> doubled,
      List<RefusalView> refusals) {}

  /**
   * A song.
   *
   * @param loudness in LUFS, null if it is not known
   * @param beats when each beat falls in the song, in seconds
   */
  record SongView(
      long id,
      String title,
      boolean chosen,
      State state,
      @Schema(nullable = true) String reason,
      double seconds,
      @Schema(nullable = true) Double loudness,
      double bpm,
      int beatsPerBar,
      int firstDownbeat,
      double confidence,
      double[] beats,
      float[] sureness,
      String undo,
      String redo,
      List<SectionView> sections,
      List<MomentView> moments,
      List<SungView> sung,
      List<Double> pace) {}

  /** A part of a song in which somebody sings, in seconds. */
  record SungView(double start, double end) {}

  /**
   * A section of a song, in seconds.
   *
   * @param kind a letter; sections that sound alike have the same one
   * @param bars how many bars it has
   */
  record SectionView(
      double start, double end, char kind, Section.Name name, double energy, int bars) {}

  /** A key moment of a song, in seconds. */
  record MomentView(double at, KeyMoment.Kind kind) {}

  /** A waveform: {@code peak} and {@code body} are base64 of one byte a span. */
  record PeaksView(int perSecond, String peak, String body) {}

  record TakeChange(String scene, String shot, int take) {}

  /** What a person says of a take; null leaves a value as it is. */
  record Judgement(
      @Schema(nullable = true) Boolean rejected,
      @Schema(nullable = true) Set<Fault> faults,
      @Schema(nullable = true) String note) {}

  record ShotChange(@Schema(nullable = true) String title, @Schema(nullable = true) Long pick) {}

  /** Brings one file in, under its shot by name or under the one given; its bytes are the body. */
  @PostMapping("/files")
  Arrival file(
      @PathVariable long productionId,
      @RequestParam String name,
      @RequestParam(required = false) Long shot,
      HttpServletRequest request)
      throws IOException {
    InputStream bytes = request.getInputStream();
    return new Arrival(
        shot == null
            ? bringIn.bringIn(productionId, name, bytes)
            : bringIn.bringInTo(productionId, shot, name, bytes));
  }

  @GetMapping("/material")
  @Transactional(readOnly = true)
  public MaterialView material(@PathVariable long productionId) {
    Production production = productions.get(productionId);
    List<TakeEntry> all = takes.findByProductionId(productionId);
    Map<Long, List<TakeEntry>> byShot =
        all.stream().collect(Collectors.groupingBy(TakeEntry::shotId));
    Map<Integer, StoryShot> wanted = wantedShots.of(productionId);
    List<ShotView> views = new ArrayList<>();
    List<ShotNumbers.Claim> claims = new ArrayList<>();
    for (Shot shot : ordered(shots.findByProductionId(productionId))) {
      List<TakeEntry> its = new ArrayList<>(byShot.getOrDefault(shot.id(), List.of()));
      boolean held = its.removeIf(TakeEntry::isPlaceholder);
      StoryShot story = shot.storyShot() == null ? null : wanted.get(shot.storyShot());
      if (story == null && its.isEmpty()) {
        continue;
      }
      its.sort(Comparator.comparingInt(TakeEntry::number).thenComparing(TakeEntry::id));
      for (TakeEntry take : its) {
        claims.add(
            new ShotNumbers.Claim(
                take.fileName(), shot.key().scene(), shot.key().number(), take.number()));
      }
      views.add(
          new ShotView(
              shot.id(),
              shot.label(),
              shot.key().scene(),
              shot.key().number(),
              shot.title(),
              its.stream().anyMatch(t -> t.id().equals(shot.pickId())) ? shot.pickId() : null,
              shot.storyShot(),
              held,
              story == null ? null : story.move(),
              story == null ? 0 : story.seconds(),
              story == null ? List.of() : story.who(),
              its.stream().map(take -> view(take, production, story)).toList()));
    }
    ShotNumbers numbers = ShotNumbers.of(claims);
    return new MaterialView(
        views,
        numbers.missing(),
        numbers.doubled(),
        refusals.findByProductionId(productionId).stream()
            .map(r -> new RefusalView(r.id(), r.fileName(), r.reason()))
            .toList());
  }

  static List<Shot> ordered(List<Shot> shots) {
    return shots.stream().sorted(Comparator.comparing(Shot::key, Gathering.ORDER)).toList();
  }

  private static TakeView view(TakeEntry take, Production production, StoryShot wanted) {
    MediaFacts facts = take.medium().facts();
    PictureShape shape = facts.shape().orElseThrow();
    FrameRate film = production.rate();
    return new TakeView(
        take.id(),
        take.number(),
        take.fileName(),
        take.state(),
        take.reason(),
        take.frames(),
        take.framesDone(),
        film.secondsOf(take.frames()),
        facts.rate().map(MaterialController::rateText).orElse(""),
        facts.variable(),
        facts.rate().isPresent() && (facts.variable() || !facts.rate().get().equals(film)),
        shape.width(),
        shape.height(),
        facts.rotation(),
        facts.sound(),
        facts.kind() == MediaFacts.Kind.STILL,
        Fit.byDefault(shape, production.shape()),
        Fit.lossWhenFilled(shape, production.shape()),
        take.service(),
        take.prompt(),
        take.cost(),
        take.isRejected(),
        List.copyOf(take.faults()),
        take.note(),
        (double) take.measuredFrames() / Math.max(1, facts.frames()),
        take.measured()
            .map(f -> MeasuredWords.view(f, wanted, shape, production.shape()))
            .orElse(null));
  }

  private static String rateText(FrameRate rate) {
    double perSecond = rate.perSecond();
    return perSecond == Math.rint(perSecond)
        ? Long.toString((long) perSecond)
        : String.format(java.util.Locale.ROOT, "%.2f", perSecond).replaceFirst("0$", "");
  }

  /** Moves a take to the shot and number the person says. */
  @PatchMapping("/takes/{takeId}")
  @Transactional
  public void correct(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody TakeChange change) {
    productions.getLocked(productionId);
    TakeEntry take = takes.get(productionId, takeId);
    String number = change.shot() == null ? "" : change.shot().strip();
    String scene = change.scene() == null ? "" : change.scene().strip();
    if (!number.matches("\\d{1,6}") || !scene.matches("\\d{0,6}")) {
      throw new IllegalArgumentException(
          "'" + number + "' is not a shot number; give one to six digits, such as 010.");
    }
    if (change.take() < 1 || change.take() > 9999) {
      throw new IllegalArgumentException("Takes are numbered from 1 to 9999.");
    }
    Gathering.ShotKey key = new Gathering.ShotKey(scene, number, "");
    Shot old = shots.get(productionId, take.shotId());
    Shot shot =
        shots.findByProductionId(productionId).stream()
            .filter(s -> s.key().equals(key))
            .findFirst()
            .orElseGet(() -> shots.save(new Shot(productionId, key, old.title())));
    take.moveTo(shot, change.take());
    takes.flush();
    picks.settle(shot);
    if (takes.findByShotIdOrderByNumberAscIdAsc(old.id()).isEmpty()) {
      shots.delete(old);
    } else {
      picks.settle(old);
    }
  }

  @PatchMapping("/shots/{shotId}")
  @Transactional
  public void change(
      @PathVariable long productionId, @PathVariable long shotId, @RequestBody ShotChange change) {
    Shot shot = shots.get(productionId, shotId);
    if (change.title() != null) {
      shot.rename(change.title().strip());
    }
    if (change.pick() != null) {
      TakeEntry take = takes.get(productionId, change.pick());
      if (!take.shotId().equals(shot.id()) || take.state() == State.REFUSED) {
        throw new IllegalArgumentException(
            "Take " + take.number() + " cannot be the pick of shot " + shot.label() + ".");
      }
      shot.pickByHand(take.id());
    }
  }

  /** Puts a take aside or back, and says what is wrong with it. */
  @PatchMapping("/takes/{takeId}/judgement")
  @Transactional
  public void judge(
      @PathVariable long productionId, @PathVariable long takeId, @RequestBody Judgement said) {
    productions.getLocked(productionId);
    TakeEntry take = takes.get(productionId, takeId);
    String note = said.note() == null ? take.note() : said.note().strip();
    if (note.length() > 1000) {
      throw new IllegalArgumentException("A note holds up to 1000 letters.");
    }
    take.judge(
        said.rejected() == null ? take.isRejected() : said.rejected(),
        said.faults() == null ? take.faults() : said.faults(),
        note);
    takes.flush();
    picks.settle(shots.get(productionId, take.shotId()));
  }

  /** Up to 24 pictures of a take side by side, for playing it small; 8 in a row. */
  @GetMapping("/takes/{takeId}/strip.jpg")
  ResponseEntity<byte[]> strip(@PathVariable long productionId, @PathVariable long takeId)
      throws IOException {
    TakeEntry take = takes.get(productionId, takeId);
    if (take.state() != State.READY) {
      throw new NoSuchElementException("Take " + takeId + " has no pictures yet.");
    }
    FrameRate rate = productions.get(productionId).rate();
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(7, TimeUnit.DAYS))
        .body(pictures.strip(take.medium().hash(), rate, take.frames()));
  }

  @DeleteMapping("/refusals")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void dismiss(@PathVariable long productionId) {
    refusals.deleteAll(refusals.findByProductionId(productionId));
  }

  @GetMapping("/takes/{takeId}/frames/{frame}.jpg")
  ResponseEntity<byte[]> frame(
      @PathVariable long productionId,
      @PathVariable long takeId,
      @PathVariable long frame,
      @RequestParam(defaultValue = "144") int height)
      throws IOException {
    TakeEntry take = takes.get(productionId, takeId);
    if (take.state() != State.READY) {
      throw new NoSuchElementException("Take " + takeId + " has no pictures yet.");
    }
    FrameRate rate = productions.get(productionId).rate();
    int sensible = Math.max(16, Math.min(640, height));
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        // A slate is drawn anew when its shot's words change.
        .cacheControl(
            take.isPlaceholder() ? CacheControl.noCache() : CacheControl.maxAge(7, TimeUnit.DAYS))
        .body(pictures.jpeg(take.medium().hash(), rate, frame, sensible));
  }

  @GetMapping("/songs")
  @Transactional(readOnly = true)
  public List<SongView> songs(@PathVariable long productionId) {
    Production production = productions.get(productionId);
    return songs.findByProductionId(productionId).stream()
        .sorted(Comparator.comparing(Song::id))
        .map(song -> view(song, song.id().equals(production.songId())))
        .toList();
  }

  private static SongView view(Song song, boolean chosen) {
    BeatGrid grid = song.grid();
    double[] beats = new double[grid.size()];
    float[] sureness = new float[grid.size()];
    for (int i = 0; i < beats.length; i++) {
      beats[i] = Samples.toSeconds(grid.sampleOf(i));
      sureness[i] = grid.sureness(i);
    }
    return new SongView(
        song.id(),
        song.title(),
        chosen,
        song.state(),
        song.reason(),
        song.medium().facts().seconds(),
        song.loudness(),
        grid.bpm(),
        grid.beatsPerBar(),
        grid.firstDownbeat(),
        grid.confidence(),
        beats,
        sureness,
        song.undo(),
        song.redo(),
        song.sections().stream().map(s -> view(s, grid)).toList(),
        song.moments().stream()
            .map(m -> new MomentView(Samples.toSeconds(m.at()), m.kind()))
            .toList(),
        song.sung().stream()
            .map(s -> new SungView(Samples.toSeconds(s.start()), Samples.toSeconds(s.end())))
            .toList(),
        song.pace());
  }

  private static SectionView view(Section section, BeatGrid grid) {
    int first = grid.barOf(grid.nearest(section.start()));
    int last = grid.barOf(grid.nearest(section.end()));
    boolean ends = section.end() > grid.sampleOf(grid.size() - 1);
    return new SectionView(
        Samples.toSeconds(section.start()),
        Samples.toSeconds(section.end()),
        section.kind(),
        section.name(),
        section.energy(),
        Math.max(0, last - Math.max(1, first) + (ends ? 1 : 0)));
  }

  @PostMapping("/songs/{songId}/choose")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  public void choose(@PathVariable long productionId, @PathVariable long songId) {
    songs.get(productionId, songId);
    productions.getLocked(productionId).chooseSong(songId);
  }

  @GetMapping("/songs/{songId}/peaks")
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
  @GetMapping("/songs/{songId}/sound")
  ResponseEntity<Resource> sound(@PathVariable long productionId, @PathVariable long songId) {
    Medium medium = songs.get(productionId, songId).medium();
    String type =
        switch (medium.facts().container()) {
          case MP4 -> "audio/mp4";
          case WAV -> "audio/wav";
          case FLAC -> "audio/flac";
          case OGG -> "audio/ogg";
          case MATROSKA -> "audio/webm";
          default -> "audio/mpeg";
        };
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(type))
        .body(new FileSystemResource(store.path(medium.hash())));
  }
}
