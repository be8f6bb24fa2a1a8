package app.latethistle.server.demo;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Aspect;
import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Replace;
import app.latethistle.core.film.SetAspect;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.plan.Pace;
import app.latethistle.core.story.SpokenLine;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.ClipName;
import app.latethistle.core.take.Gathering;
import app.latethistle.core.take.NaturalOrder;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRate;
import app.latethistle.server.config.Reason;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.config.Settings;
import app.latethistle.server.film.FilmService;
import app.latethistle.server.film.FilmState;
import app.latethistle.server.film.FocusSearch;
import app.latethistle.server.history.History;
import app.latethistle.server.master.Outputs;
import app.latethistle.server.material.BringIn;
import app.latethistle.server.material.Pictures;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.SoundShelf;
import app.latethistle.server.material.State;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.release.Releases;
import app.latethistle.server.services.PastRequests;
import app.latethistle.server.story.StoryService;
import app.latethistle.server.voice.VoiceService;
import app.latethistle.standins.demo.NightPost;
import app.latethistle.standins.demo.SaltCarousel;
import app.latethistle.standins.narrator.Manner;
import app.latethistle.standins.narrator.Narrator;
import app.latethistle.standins.painter.Flaw;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes the demo productions from the files that ship with the application, through the same door
 * as any other files, while the page is already up.
 */
@ServerOnly
@Component
class DemoShelf {
  private static final Logger LOG = LoggerFactory.getLogger(DemoShelf.class);
  private static final double SECONDS = 60;
  private static final int PATIENCE_SECONDS = 400;

  /** What the clips' own sounds are turned down by under music and voice, in dB. */
  private static final int QUIETER = -8;

  /** The voice of the second speaker, a boy in both stories. */
  private static final int PIKE = 3;

  private final Settings settings;
  private final Productions productions;
  private final BringIn bringIn;
  private final Takes takes;
  private final FilmService films;
  private final StoryService stories;
  private final PastRequests past;
  private final VoiceService voice;
  private final FocusSearch focuses;
  private final Pictures pictures;
  private final Shots shots;
  private final SoundShelf shelf;
  private final Releases releases;
  private final Outputs outputs;
  private final History history;
  private final TransactionTemplate transaction;
  private final AtomicBoolean working = new AtomicBoolean();

  DemoShelf(
      Settings settings,
      Productions productions,
      BringIn bringIn,
      Takes takes,
      FilmService films,
      StoryService stories,
      PastRequests past,
      VoiceService voice,
      FocusSearch focuses,
      Pictures pictures,
      Shots shots,
      SoundShelf shelf,
      Releases releases,
      Outputs outputs,
      History history,
      TransactionTemplate transaction) {
    this.settings = settings;
    this.productions = productions;
    this.bringIn = bringIn;
    this.takes = takes;
    this.films = films;
    this.stories = stories;
    this.past = past;
    this.voice = voice;
    this.focuses = focuses;
    this.pictures = pictures;
    this.shots = shots;
    this.shelf = shelf;
    this.releases = releases;
    this.outputs = outputs;
    this.history = history;
    this.transaction = transaction;
  }

  /** One of the demo's productions. */
  private record Demo(String title, PictureShape shape, double seconds, Story story, Path folder) {}

  /** What a start left half-way is taken back and put on the shelf again. */
  @EventListener(ApplicationReadyEvent.class)
  void started() {
    boolean empty = settings.seedDemo() && productions.count() == 0;
    if (Files.isDirectory(settings.demo())
        && (empty || !productions.findByFilledFalse().isEmpty())) {
      begin();
    }
  }

  /**
   * Puts the demo on the shelf in the background, unless it is being put there.
   *
   * @throws IllegalArgumentException if the demo's files are not there
   */
  void begin() {
    if (!Files.isDirectory(settings.demo())) {
      throw new Refused("The demo's files are not beside the application; install it whole again.");
    }
    if (working.compareAndSet(false, true)) {
      List<Demo> demos = demos();
      List<Production> begun = begun(demos);
      Thread thread = new Thread(() -> fill(begun, demos), "demo");
      thread.setDaemon(true);
      thread.start();
    }
  }

  /** Seconds kept for the last line before the film's end. */
  private static final double LAST_LINE = 7;

  private List<Demo> demos() {
    List<Demo> demos = new ArrayList<>();
    // The one put on the shelf last stands first.
    Path carousel = settings.demo().resolve(SaltCarousel.FOLDER);
    if (Files.isDirectory(carousel)) {
      demos.add(
          new Demo(
              SaltCarousel.TITLE,
              PictureShape.of(1080, 1920),
              SaltCarousel.SECONDS,
              SaltCarousel.story(),
              carousel));
    }
    demos.add(
        new Demo(
            NightPost.TITLE,
            PictureShape.of(1920, 1080),
            SECONDS,
            NightPost.story(SECONDS),
            settings.demo()));
    return demos;
  }

  /** Begins all at once, so that a start after this one knows of each that is missing. */
  private List<Production> begun(List<Demo> demos) {
    return transaction.execute(
        status -> {
          productions.deleteAll(productions.findByFilledFalse());
          return demos.stream()
              .map(
                  d ->
                      productions.save(
                          new Production(d.title, d.shape, FrameRate.FPS_24, d.seconds)
                              .ofDemo(d.title)))
              .toList();
        });
  }

  private void fill(List<Production> begun, List<Demo> demos) {
    try {
      for (int i = 0; i < demos.size(); i++) {
        fill(begun.get(i), demos.get(i));
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } finally {
      working.set(false);
    }
  }

  /** Fills a production whole, or takes it back. */
  private void fill(Production production, Demo demo) throws InterruptedException {
    try {
      seed(production, demo.story, demo.folder);
      transaction.executeWithoutResult(
          status -> {
            productions.lock(production.id()).ifPresent(Production::fill);
            // Nobody did any of this, so nobody takes it back.
            history.begin(production.id());
          });
    } catch (IOException | RuntimeException e) {
      if (productions.existsById(production.id())) {
        LOG.warn("The demo '{}' was taken back: {}", demo.title, Reason.of(e));
        productions.deleteById(production.id());
      }
    }
  }

  private void seed(Production production, Story story, Path folder)
      throws IOException, InterruptedException {
    List<Path> ordered;
    try (Stream<Path> files = Files.list(folder)) {
      ordered =
          files
              .filter(Files::isRegularFile)
              // The song that comes first is the one that is chosen.
              .sorted(
                  Comparator.comparing((Path file) -> name(file).equals(NightPost.OTHER_SONG))
                      .thenComparing(DemoShelf::name, NaturalOrder.INSTANCE))
              .toList();
    }
    stories.change(production.id(), -1, "bring in the demo", s -> story);
    for (Path file : ordered) {
      try (InputStream in = Files.newInputStream(file)) {
        takes(production, story, name(file), in);
      }
    }
    read(production.id(), story);
    cutWhenReady(production.id());
  }

  /** The narrator reads every line, each speaker in a voice of their own. */
  private void read(long id, Story story) throws IOException {
    List<String> speakers = new ArrayList<>();
    for (SpokenLine line : voice.script(id)) {
      if (!speakers.contains(line.speaker())) {
        speakers.add(line.speaker());
      }
      boolean second = speakers.indexOf(line.speaker()) == 1;
      Narrator.Voice reader = Narrator.VOICES.get(second ? PIKE : 0);
      voice.narrate(id, line.number(), reader, story.delivery().wordsPerMinute(), Manner.EVEN);
    }
  }

  /** A file of the demo, as if a service had made it: those that carry a mark, and the others. */
  private void takes(Production production, Story story, String name, InputStream in)
      throws IOException {
    ClipName said = ClipName.parse(name);
    StoryShot shot =
        story.shots().shots().stream()
            .filter(s -> Gathering.ShotKey.of(s.number()).number().equals(said.shot()))
            .findFirst()
            .orElse(null);
    if (shot == null) {
      bringIn.bringIn(production.id(), name, in);
      return;
    }
    boolean marked =
        Optional.ofNullable(NightPost.clips().get(name))
            .map(c -> c.flaws().contains(Flaw.CORNER_MARK))
            .orElse(false);
    past.bringIn(
        production.id(), shot, story, marked ? "Kestle Motion" : "Quillfen Long", name, in);
  }

  private void cutWhenReady(long id) throws InterruptedException {
    for (int i = 0; i < PATIENCE_SECONDS * 2; i++) {
      FilmState state = films.state(id);
      boolean ready =
          takes.findByProductionIdOrderById(id).stream()
              .noneMatch(t -> t.state() == State.PREPARING);
      if (ready && state.grid().size() > 0) {
        if (state.film().placements().isEmpty()) {
          spread(id, state);
          long revision = films.state(id).production().revision();
          hear(films.firstCut(id, revision, true, false, Pace.EVEN));
          if (state.production().title().equals(NightPost.TITLE)) {
            long heard = films.state(id).production().revision();
            films.edit(id, heard, s -> new Replace(DemoLook.of(s), "join and move the demo"));
            compose(id);
          }
          sound(id);
          write(id);
          boolean night = state.production().title().equals(NightPost.TITLE);
          if (night) {
            frameOut(id);
          }
          FilmState made = films.state(id);
          releases.keep(id, DemoRelease.sheet(releases, made, night));
          if (night) {
            outputs.take(id, DemoRelease.OUTPUTS);
          }
          inEveryShape(id);
        }
        return;
      }
      Thread.sleep(500);
    }
  }

  /** Lays the sounds of the shelf, made before if need be. */
  private void sound(long id) {
    FilmState state = films.state(id);
    Map<String, String> named = new LinkedHashMap<>();
    for (Placement placement : state.film().placements()) {
      if (placement.hasPicture()) {
        shots
            .findById(Long.valueOf(placement.shot()))
            .ifPresent(shot -> named.putIfAbsent(shot.label(), placement.id()));
      }
    }
    int downbeat = state.grid().firstDownbeat();
    List<String> lines =
        state.cutting().voice().lines().stream().map(VoiceClock.Spoken::id).toList();
    Film sounding =
        state.production().title().equals(NightPost.TITLE)
            ? DemoSounds.nightPost(state.film(), shelf::made, named, downbeat, lines)
            : DemoSounds.saltCarousel(state.film(), shelf::made, named);
    films.edit(
        id, state.production().revision(), s -> new Replace(sounding, "lay the demo's sounds"));
  }

  /** Writes the titles and captions. */
  private void write(long id) {
    FilmState state = films.state(id);
    int downbeat = state.grid().firstDownbeat();
    List<String> lines =
        state.cutting().voice().lines().stream().map(VoiceClock.Spoken::id).toList();
    boolean night = state.production().title().equals(NightPost.TITLE);
    Film written =
        night
            ? DemoWords.nightPost(state.film(), downbeat, lines)
            : DemoWords.saltCarousel(state.film(), downbeat);
    films.edit(
        id, state.production().revision(), s -> new Replace(written, "write the demo's words"));
  }

  /** Lays the figure that stands before a plain backing into its shot. */
  private void compose(long id) {
    FilmState state = films.state(id);
    for (TakeEntry entry : takes.findByProductionIdOrderById(id)) {
      Take figure = state.takes().get(Long.toString(entry.id()));
      if (figure != null && entry.fileName().equals(NightPost.CARRIER)) {
        pictures
            .backing(figure.media(), state.production().rate(), 0)
            .ifPresent(
                colour ->
                    films.edit(
                        id,
                        state.production().revision(),
                        s ->
                            new Replace(
                                DemoComposite.of(
                                    s.resolved(), Long.toString(entry.shotId()), figure, colour),
                                "lay a figure into a shot")));
      }
    }
  }

  /** Puts a take with a mark into its shot, framed so that the mark is not seen. */
  private void frameOut(long id) throws InterruptedException {
    for (TakeEntry entry : takes.findByProductionIdOrderById(id)) {
      if (entry.fileName().equals(NightPost.MARKED)) {
        awaitMeasure(entry.id());
        FilmState state = films.state(id);
        DemoMark.of(
                state, Long.toString(entry.shotId()), state.takes().get(Long.toString(entry.id())))
            .ifPresent(
                film ->
                    films.edit(
                        id,
                        state.production().revision(),
                        s -> new Replace(film, "frame a mark out")));
      }
    }
  }

  private void awaitMeasure(long take) throws InterruptedException {
    for (int i = 0; i < PATIENCE_SECONDS * 2; i++) {
      if (takes.findById(take).filter(entry -> !entry.isMeasured()).isEmpty()) {
        return;
      }
      Thread.sleep(500);
    }
  }

  /** Finds what matters in each shot, so that the film can be watched in other shapes at once. */
  private void inEveryShape(long id) {
    FilmState state = films.state(id);
    List<String> shots = state.film().placements().stream().map(Placement::id).toList();
    focuses
        .of(state, shots)
        .ifPresent(edit -> films.edit(id, state.production().revision(), s -> edit));
  }

  /** Lets the clips be heard that sound, from half a second before they are seen. */
  private void hear(FilmState state) {
    int half = (int) state.production().rate().framesIn(0.5);
    Map<String, ClipSound> heard = new LinkedHashMap<>();
    for (Placement shot : state.film().placements()) {
      if (state.sounding().contains(shot.take())) {
        heard.put(shot.id(), new ClipSound(true, (int) Math.min(half, shot.in()), half, QUIETER));
      }
    }
    if (!heard.isEmpty()) {
      films.edit(
          state.production().id(),
          state.production().revision(),
          s -> SetAspect.of(Aspect.SOUND, heard));
    }
  }

  /** Each line begins on the bar at which the first shot it speaks of would be, all shots alike. */
  private void spread(long id, FilmState state) {
    List<StoryShot> shots = stories.state(id).story().shots().shots();
    double seconds =
        Math.min(state.production().targetSeconds(), state.grid().size() * 60 / state.grid().bpm());
    double bars = (seconds - LAST_LINE) * state.grid().bpm() / 60 / state.grid().beatsPerBar();
    for (SpokenLine line : voice.script(id)) {
      for (int i = 0; i < shots.size(); i++) {
        if (shots.get(i).line() == line.number()) {
          voice.startOnBar(id, line.number(), 1 + (int) Math.round(i * bars / shots.size()));
          break;
        }
      }
    }
  }

  private static String name(Path file) {
    return file.getFileName().toString();
  }
}
