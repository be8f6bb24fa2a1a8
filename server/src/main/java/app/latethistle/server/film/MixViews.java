package app.latethistle.server.film;

import app.latethistle.core.check.SoundTrace;
import app.latethistle.core.film.Ambience;
import app.latethistle.core.film.BusLevel;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.SoundPlace;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.mix.Ducking;
import app.latethistle.core.mix.Mix;
import app.latethistle.core.mix.MixReport;
import app.latethistle.core.mix.MusicTurns;
import app.latethistle.core.sound.Bus;
import app.latethistle.core.story.SoundIdea;
import app.latethistle.core.story.Story;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.material.FilmSoundFiles;
import app.latethistle.server.material.Kept;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.SoundRow;
import app.latethistle.server.material.SoundShelf;
import app.latethistle.server.story.StoryService;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Says what is heard of a film. */
@ServerOnly
@Component
class MixViews {
  /** What silence is told as, in LUFS. */
  private static final double SILENCE = -90;

  /** How far a line stands over nothing. */
  private static final double ALONE = 60;

  private static final int KEPT = 24;

  private final SoundShelf shelf;
  private final StoryService stories;
  private final Shots shots;
  private final FilmSoundFiles sounds;
  private final TieWords ties;
  private final LookViews looks;
  private final Kept<String, Heard> reports = new Kept<>(KEPT);

  MixViews(
      SoundShelf shelf,
      StoryService stories,
      Shots shots,
      FilmSoundFiles sounds,
      TieWords ties,
      LookViews looks) {
    this.shelf = shelf;
    this.stories = stories;
    this.shots = shots;
    this.sounds = sounds;
    this.ties = ties;
    this.looks = looks;
  }

  MixView of(FilmState state) {
    Resolved film = state.resolved();
    Ducking ducking = state.ducking();
    SoundShelf.Catalogue known = shelf.catalogue(state.production().id());
    List<MixView.Laid> laid =
        state.film().sounds().stream()
            .map(s -> laid(state, known, s))
            .sorted(
                Comparator.comparingLong(
                    l -> l.place() == null ? Long.MAX_VALUE : l.place().landing()))
            .toList();
    return new MixView(
        state.production().revision(),
        film.rate().sampleOf(film.cutting().length()),
        laid,
        Stream.of(Bus.values()).map(bus -> fader(state, bus)).toList(),
        state.film().balance().rule(),
        state.film().balance().care(),
        lines(state, ducking),
        ducking.lid().points().stream()
            .map(p -> new MixView.Bend(p.sample(), p.decibels()))
            .toList(),
        turns(state),
        wanted(state, known, laid),
        astray(state, known));
  }

  private MixView.Laid laid(FilmState state, SoundShelf.Catalogue known, FilmSound sound) {
    SoundPlace place = state.cutting().beside().sounds().get(sound.id());
    String media = "";
    String name = "clip " + sound.id().replaceFirst("~\\d+$", "");
    Optional<SoundRow> row = Optional.empty();
    if (sound.what() instanceof SoundMaterial.OfFile file) {
      media = file.media();
      name = file.name();
      row = known.of(media);
    }
    return new MixView.Laid(
        sound.id(),
        name,
        row.map(SoundRow::id).orElse(null),
        media.isEmpty() ? "CLIP" : row.map(SoundRow::kind).orElse("HIT"),
        media,
        TieView.of(sound.when().at()),
        sound.when().offset(),
        sound.when().until().map(TieView::of).orElse(null),
        ties.says(state, sound.when().at()),
        place == null ? null : new MixView.LaidPlace(place.start(), place.landing(), place.end()),
        place == null ? "" : over(state, place.landing()),
        state.film().balance().asked().get(sound.id()),
        sound.how(),
        sound.follows().map(f -> FollowedView.of(state, f)).orElse(null));
  }

  private List<MixView.Astray> astray(FilmState state, SoundShelf.Catalogue known) {
    return Ambience.astray(state.film(), looks.places(state.production().id())).stream()
        .map(
            astray -> {
              SoundMaterial what = astray.ambience().model().what();
              Optional<SoundRow> row =
                  what instanceof SoundMaterial.OfFile file
                      ? known.of(file.media())
                      : Optional.empty();
              return new MixView.Astray(
                  what.name(),
                  astray.ambience().place(),
                  row.map(SoundRow::id).orElse(null),
                  astray.stays().get(0).from());
            })
        .toList();
  }

  private List<MixView.Turning> turns(FilmState state) {
    MusicTurns turns = new MusicTurns(state.resolved());
    return state.film().balance().turns().stream()
        .map(
            turn -> {
              Optional<SampleRange> at = turns.range(turn);
              return new MixView.Turning(
                  turn.kind(),
                  TieView.of(turn.from()),
                  TieView.of(turn.until()),
                  ties.says(state, turn.from()) + " to " + ties.says(state, turn.until()),
                  at.map(SampleRange::start).orElse(null),
                  at.map(SampleRange::end).orElse(null));
            })
        .toList();
  }

  private static String over(FilmState state, long sample) {
    FrameRate rate = state.production().rate();
    long frame = (long) Math.floor((double) sample / rate.sampleOf(1));
    if (frame < 0 || frame >= state.cutting().length()) {
      return "";
    }
    int place = state.cutting().placeAt(frame);
    return place < 0 ? "" : state.film().placements().get(place).id();
  }

  private MixView.Fader fader(FilmState state, Bus bus) {
    Resolved film = state.resolved();
    BusLevel level = state.film().balance().level(bus);
    return new MixView.Fader(
        bus,
        level.gain(),
        level.muted(),
        level.line().stream()
            .map(
                p -> {
                  OptionalLong at = film.sampleOf(p.at());
                  return new MixView.FaderPoint(
                      TieView.of(p.at()),
                      p.gain(),
                      ties.says(state, p.at()),
                      at.isPresent() ? at.getAsLong() : null);
                })
            .toList());
  }

  private static List<MixView.LineLow> lines(FilmState state, Ducking ducking) {
    return ducking.lines().stream()
        .map(
            low ->
                new MixView.LineLow(
                    low.id(),
                    spoken(state, low.id()).map(VoiceClock.Spoken::number).orElse(0),
                    low.at().start(),
                    low.at().end(),
                    low.byRule(),
                    low.gain(),
                    low.byHand()))
        .toList();
  }

  private static Optional<VoiceClock.Spoken> spoken(FilmState state, String line) {
    return state.cutting().voice().lines().stream().filter(l -> l.id().equals(line)).findFirst();
  }

  private List<MixView.Wanted> wanted(
      FilmState state, SoundShelf.Catalogue known, List<MixView.Laid> laid) {
    List<MixView.Wanted> wanted = new ArrayList<>();
    for (Wish wish : wishes(state)) {
      Optional<MixView.Laid> done =
          laid.stream()
              .filter(l -> wish.item != null && l.over().equals(wish.item))
              .filter(
                  l ->
                      l.name().equals(wish.idea.name())
                          || known.isMeant(wish.idea.search(), l.media()))
              .findFirst();
      MixView.State found =
          known.best(wish.idea.search()).isPresent() ? MixView.State.FOUND : MixView.State.WANTED;
      wanted.add(
          new MixView.Wanted(
              wish.shot.number(),
              wish.item,
              wish.idea.name(),
              wish.idea.search(),
              done.isPresent() ? MixView.State.PLACED : found,
              done.map(MixView.Laid::id).orElse(null)));
    }
    return wanted;
  }

  /** A sound idea, its shot, and the shot in the cut; null if it is not there. */
  private record Wish(SoundIdea idea, StoryShot shot, String item) {}

  /** The story's wanted sounds, in the order of its shots. */
  private List<Wish> wishes(FilmState state) {
    Story story = stories.state(state.production().id()).story();
    List<Shot> known = shots.findByProductionIdOrderById(state.production().id());
    List<Wish> wishes = new ArrayList<>();
    for (SoundIdea idea : story.sounds()) {
      story.shots().shots().stream()
          .filter(s -> s.id() == idea.shot())
          .findFirst()
          .ifPresent(shot -> wishes.add(new Wish(idea, shot, item(state, known, shot))));
    }
    return wishes;
  }

  private static String item(FilmState state, List<Shot> known, StoryShot shot) {
    return known.stream()
        .filter(s -> s.storyShot() != null && s.storyShot() == shot.id())
        .map(s -> state.film().indexOfShot(Long.toString(s.id())))
        .filter(place -> place >= 0)
        .map(place -> state.film().placements().get(place).id())
        .findFirst()
        .orElse(null);
  }

  /** Mixes the whole film and measures it. */
  Heard measured(FilmState state) throws IOException {
    Mix mix = state.mix();
    String key = mix.key(new SampleRange(0, mix.length()));
    Optional<Heard> known = reports.get(key);
    if (known.isPresent()) {
      return known.get();
    }
    SoundTrace.Reader reader = new SoundTrace.Reader();
    MixReport report =
        MixReport.of(
            mix,
            sounds,
            lines(state),
            (buses, gains, stereo, frames) -> reader.add(stereo, joined(buses, frames), frames));
    Heard heard = new Heard(report, reader.trace());
    reports.put(key, heard);
    return heard;
  }

  /** What is cut and joined of recordings; instruments and what is laid may click by themselves. */
  private static float[] joined(Map<Bus, float[]> buses, int frames) {
    float[] sum = new float[2 * frames];
    for (Bus bus : List.of(Bus.VOICE, Bus.CLIPS)) {
      float[] samples = buses.get(bus);
      for (int i = 0; i < sum.length; i++) {
        sum[i] += samples[i];
      }
    }
    return sum;
  }

  /** What is measured of a whole mix in one hearing. */
  record Heard(MixReport report, SoundTrace trace) {}

  /** The same, as it is told. */
  MixView.HeardMix heard(FilmState state) throws IOException {
    MixReport report = measured(state).report();
    return new MixView.HeardMix(
        state.production().revision(),
        level(report.integrated()),
        report.range(),
        level(report.momentaryMax()),
        level(report.shortTermMax()),
        level(report.truePeak()),
        report.monoLoss(),
        report.momentary().stream().map(MixViews::tenths).toList(),
        report.shortTerm().stream().map(MixViews::tenths).toList(),
        report.held(),
        report.voice().stream().map(s -> stand(state, s)).toList());
  }

  private static List<MixReport.Line> lines(FilmState state) {
    return state.cutting().voice().lines().stream()
        .filter(VoiceClock.Spoken::isHeard)
        .map(l -> new MixReport.Line(l.id(), l.at(), l.words().stream().map(w -> w.at()).toList()))
        .toList();
  }

  private static MixView.LineStand stand(FilmState state, MixReport.Stand stand) {
    VoiceClock.Spoken line = spoken(state, stand.id()).orElseThrow();
    return new MixView.LineStand(
        stand.id(),
        line.number(),
        Math.min(ALONE, Math.max(-ALONE, stand.over())),
        stand.hard().stream().map(w -> line.words().get(w).text()).toList());
  }

  private static double level(double lufs) {
    return Math.max(SILENCE, lufs);
  }

  private static double tenths(double lufs) {
    return Math.round(level(lufs) * 10) / 10.0;
  }
}
