package app.latethistle.server.film;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.FilmSound;
import app.latethistle.core.film.FilmTitle;
import app.latethistle.core.film.Hits;
import app.latethistle.core.film.LandedOn;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Reasons;
import app.latethistle.core.film.SongUse;
import app.latethistle.core.film.SoundMaterial;
import app.latethistle.core.film.SoundPlace;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.TitlePlace;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Dial;
import app.latethistle.core.look.Framing;
import app.latethistle.core.look.ShapedFraming;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.Stress;
import app.latethistle.server.film.FilmView.ClockView;
import app.latethistle.server.film.FilmView.HeardWord;
import app.latethistle.server.film.FilmView.JointView;
import app.latethistle.server.film.FilmView.LandingView;
import app.latethistle.server.film.FilmView.MarkerView;
import app.latethistle.server.film.FilmView.OutsideView;
import app.latethistle.server.film.FilmView.OverlayView;
import app.latethistle.server.film.FilmView.PictureView;
import app.latethistle.server.film.FilmView.PlacedView;
import app.latethistle.server.film.FilmView.ProblemView;
import app.latethistle.server.film.FilmView.ReachView;
import app.latethistle.server.film.FilmView.SectionStart;
import app.latethistle.server.film.FilmView.ShapeFramingView;
import app.latethistle.server.film.FilmView.SoundView;
import app.latethistle.server.film.FilmView.SpokenView;
import app.latethistle.server.film.FilmView.TieKind;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Shots;
import app.latethistle.server.material.Song;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Makes views of films with the names of their shots. */
@Component
class FilmViews {
  /** What a value that follows something reaches, in percent of its way. */
  private static final int WHOLE = 100;

  private final PlanRequests cuts;
  private final Shots shots;
  private final RemedyWords remedies;
  private final SpokenApart apart;

  FilmViews(PlanRequests cuts, Shots shots, RemedyWords remedies, SpokenApart apart) {
    this.cuts = cuts;
    this.shots = shots;
    this.remedies = remedies;
    this.apart = apart;
  }

  /** A production's shots by id. */
  Map<Long, Shot> shotsOf(long productionId) {
    return shots.findByProductionIdOrderById(productionId).stream()
        .collect(Collectors.toMap(Shot::id, s -> s));
  }

  /** A film as it is shown. */
  FilmView of(FilmState state) {
    Map<Long, Shot> shots = shotsOf(state.production().id());
    Film film = state.film();
    Hits hits = new Hits(state.resolved());
    List<PlacedView> placed = placed(state, hits, shots);
    List<JointView> joints = new ArrayList<>();
    List<String> reasons = reasons(state);
    for (int j = 0; j < film.joints().size(); j++) {
      ReachView reach = ReachView.of(state.resolved(), j);
      joints.add(
          joint(state, film.ties().get(j), state.cutting().frames().get(j), reasons.get(j), reach)
              .passing(film.joints().get(j).transition(), state.cutting().overlaps().get(j)));
    }
    return new FilmView(
        state.production().revision(),
        state.cutting().length(),
        Samples.toSeconds(film.music().start()),
        film.finish().end().frames(),
        TreatmentView.of(film.finish().treatments()),
        OtherShape.of(state.production().shape()),
        state.production().pace(),
        placed,
        joints,
        overlays(state, hits, shots),
        sounds(state, shots),
        film.sounds().size(),
        film.titles().size(),
        landings(state),
        markers(state),
        problems(state, placed),
        cuts.outside(state).stream()
            .map(s -> new OutsideView(s.id(), s.label(), s.title(), s.pickId()))
            .toList(),
        clock(state),
        state.cutting().voice().lines().stream()
            .filter(VoiceClock.Spoken::isHeard)
            .map(line -> spoken(line, state.production().rate()))
            .toList());
  }

  /** What there is to look at, in the order of the cut. */
  List<ProblemView> problems(FilmState state) {
    Map<Long, Shot> shots = shotsOf(state.production().id());
    return problems(state, placed(state, new Hits(state.resolved()), shots));
  }

  /** The shots of the cut, in order. */
  private static List<PlacedView> placed(FilmState state, Hits hits, Map<Long, Shot> shots) {
    List<Placement> cut = state.film().placements();
    List<PlacedView> placed = new ArrayList<>();
    for (int i = 0; i < cut.size(); i++) {
      placed.add(placed(state, hits, shots, i, cut.get(i), state.cutting().rangeOf(i)));
    }
    return placed;
  }

  private static List<String> reasons(FilmState state) {
    Song song = state.song().orElse(null);
    return new Reasons(
            state.grid(),
            song == null ? List.of() : song.sections(),
            song == null ? List.of() : song.moments(),
            state.production().rate())
        .of(state.film(), state.cutting());
  }

  private static SpokenView spoken(VoiceClock.Spoken line, FrameRate rate) {
    List<HeardWord> words = new ArrayList<>();
    for (int w = 0; w < line.words().size(); w++) {
      SampleRange at = line.words().get(w).at();
      if (at.length() > 0) {
        words.add(
            new HeardWord(
                w,
                line.words().get(w).text(),
                Stress.isOn(line.words().get(w).text()),
                frames(at.start(), rate),
                frames(at.end(), rate),
                rate.nearestFrame(at.start()),
                rate.nearestFrame(at.end())));
      }
    }
    return new SpokenView(
        line.id(),
        line.number(),
        frames(line.at().start(), rate),
        frames(line.at().end(), rate),
        words);
  }

  /** A sample of the film in frames, to a thousandth. */
  private static double frames(long sample, FrameRate rate) {
    return Math.round(Samples.toSeconds(sample) * rate.perSecond() * 1000) / 1000.0;
  }

  private static PlacedView placed(
      FilmState state, Hits hits, Map<Long, Shot> shots, int place, Placement p, FrameRange range) {
    Shot shot = p.hasPicture() ? shots.get(Long.valueOf(p.shot())) : null;
    Take take = state.takes().get(p.take());
    FrameRange shown =
        p.run().shown(p.in(), take == null ? Long.MAX_VALUE / 4 : take.frames(), range.length());
    return new PlacedView(
        place,
        p.id(),
        p.hasPicture() ? Long.parseLong(p.shot()) : 0,
        shot == null ? (p.hasPicture() ? "?" : place < 0 ? "treated" : "gap") : shot.label(),
        shot == null ? "" : shot.title(),
        p.hasPicture() ? Long.parseLong(p.take()) : 0,
        shown.start(),
        shown.length(),
        take == null ? 0 : take.frames(),
        p.framing().own().fit(),
        take == null
            ? null
            : p.framing()
                .own()
                .path()
                .map(path -> PathView.of(path, take.shape(), state.production().shape()))
                .orElse(null),
        p.framing().focus().map(FocusView::of).orElse(null),
        take == null ? List.of() : shapes(state, p.framing(), take),
        MatteView.of(p.how().matte()),
        TreatmentView.of(p.how().treatments()),
        amounts(hits, p, range),
        !p.how().correction().leavesAll(),
        PictureView.of(take == null ? state.production().shape() : take.shape()),
        p.locked(),
        Speed.of(p.run(), range.length()),
        state.sounding().contains(p.take()),
        p.heard(),
        p.held().group(),
        range.start(),
        range.end());
  }

  /** How a take is framed in every shape but the film's own. */
  private static List<ShapeFramingView> shapes(FilmState state, ShapedFraming framing, Take take) {
    return OtherShape.others(state.production().shape()).stream()
        .map(
            shape ->
                new ShapeFramingView(
                    OtherShape.nameOf(shape),
                    Optional.ofNullable(framing.others().get(shape)).map(Framing::fit).orElse(null),
                    framing.in(shape, take.shape()).fit()))
        .toList();
  }

  /** How far what follows a clock is from rest, frame by frame; null if nothing does. */
  private static List<Integer> amounts(Hits hits, Placement p, FrameRange range) {
    return p.how().treatments().done().stream()
        .flatMap(t -> t.dials().stream())
        .flatMap(dial -> dial.drive().stream())
        .findFirst()
        .map(
            drive ->
                hits.values(Dial.driven(0, drive.withTo(WHOLE)), range).stream()
                    .map(v -> (int) Math.round(v))
                    .toList())
        .orElse(null);
  }

  private static List<OverlayView> overlays(FilmState state, Hits hits, Map<Long, Shot> shots) {
    List<OverlayView> overlays = new ArrayList<>();
    for (Overlay o : state.film().overlays()) {
      FrameRange range = state.cutting().beside().overlays().get(o.name());
      // One whose tie is lost is kept at the film's end, where it can be taken hold of.
      FrameRange shown =
          range != null
              ? range
              : new FrameRange(
                  Math.max(0, state.cutting().length() - 1), Math.max(1, state.cutting().length()));
      overlays.add(
          new OverlayView(
              placed(state, hits, shots, -1, o.placement(), shown),
              o.layer(),
              LieView.of(o.lie()),
              o.mixing(),
              joint(state, o.start(), shown.start()),
              joint(state, o.end(), shown.end())));
    }
    return overlays;
  }

  /** The clips' sounds that go their own way. */
  private static List<SoundView> sounds(FilmState state, Map<Long, Shot> shots) {
    return state.film().sounds().stream()
        .filter(s -> s.what() instanceof SoundMaterial.OfTake)
        .map(
            s -> {
              SoundMaterial.OfTake what = (SoundMaterial.OfTake) s.what();
              SoundPlace place = state.cutting().beside().sounds().get(s.id());
              String stem = s.id().replaceFirst("~\\d+$", "");
              Shot shot = stem.matches("\\d+") ? shots.get(Long.valueOf(stem)) : null;
              long frame =
                  place == null ? 0 : state.production().rate().nearestFrame(place.start());
              return new SoundView(
                  s.id(),
                  shot == null ? "?" : shot.label(),
                  Long.parseLong(what.take()),
                  joint(state, s.when().at(), frame),
                  what.length(),
                  s.how().gain());
            })
        .toList();
  }

  private static List<LandingView> landings(FilmState state) {
    FrameRate rate = state.production().rate();
    Film film = state.film();
    List<LandingView> landings = new ArrayList<>();
    for (FilmSound sound : film.sounds()) {
      SoundPlace place = state.cutting().beside().sounds().get(sound.id());
      if (place != null) {
        String name = sound.what().name();
        double frame = Samples.toSeconds(place.landing()) * rate.perSecond();
        landings.add(landing(film, "sound", sound.id(), name, frame));
      }
    }
    for (FilmTitle title : film.titles()) {
      TitlePlace place = state.cutting().beside().titles().get(title.id());
      if (place != null) {
        String name = title.words().text().lines().findFirst().orElse("");
        landings.add(landing(film, "title", title.id(), name, (double) place.landing()));
      }
    }
    return landings;
  }

  private static LandingView landing(Film film, String kind, String id, String name, double frame) {
    return new LandingView(kind, id, name, frame, LandedOn.of(film, id).stream().sorted().toList());
  }

  private static List<MarkerView> markers(FilmState state) {
    return state.film().markers().stream()
        .map(
            m -> {
              long frame = state.cutting().beside().markers().getOrDefault(m.id(), 0L);
              return new MarkerView(
                  m.id(), joint(state, m.at(), frame), m.note(), m.by(), m.done());
            })
        .sorted(Comparator.comparingLong(m -> m.at().frame()))
        .toList();
  }

  private static JointView joint(FilmState state, Tie tie, long frame) {
    return joint(state, tie, frame, "", null);
  }

  private static JointView joint(
      FilmState state, Tie tie, long frame, String reason, ReachView reach) {
    BeatGrid grid = state.grid();
    if (tie instanceof Tie.OnWord on) {
      return new JointView(
          frame,
          TieKind.WORD,
          -1,
          on.offset(),
          false,
          0,
          0,
          on.line(),
          on.word(),
          on.edge(),
          reason,
          reach,
          null);
    }
    if (tie instanceof Tie.OnBeat on && on.beat() < grid.size()) {
      return new JointView(
          frame,
          TieKind.BEAT,
          on.beat(),
          on.offset(),
          grid.isDownbeat(on.beat()),
          grid.barOf(on.beat()),
          grid.placeOf(on.beat()),
          "",
          -1,
          null,
          reason,
          reach,
          null);
    }
    TieKind kind = tie instanceof Tie.OnItem ? TieKind.ITEM : TieKind.FREE;
    return new JointView(frame, kind, -1, 0, false, 0, 0, "", -1, null, reason, reach, null);
  }

  private List<ProblemView> problems(FilmState state, List<PlacedView> placed) {
    List<ProblemView> all = new ArrayList<>();
    state.cutting().problems().forEach(p -> all.add(problem(state, p, placed)));
    all.addAll(apart.of(state, placed));
    all.sort(Comparator.comparingInt(ProblemView::place));
    return all;
  }

  private ProblemView problem(FilmState state, Cutting.Problem p, List<PlacedView> placed) {
    String label = placed.get(p.place()).label();
    String shot = "Shot " + label;
    String cut = "The cut out of shot " + label;
    String text =
        switch (p.kind()) {
          case OUT_OF_MATERIAL -> shot + " is " + p.frames() + " f short: its last frame is held";
          case TIE_NOT_HONOURED -> cut + " cannot keep its beat: " + p.frames() + " f off";
          case BEAT_MISSING ->
              cut + " is tied to a beat this song does not have: cut again, or tie it anew";
          case TIED_IN_CIRCLE ->
              cut
                  + " hangs on a line that is to start with the shot after it:"
                  + " tie one of the two to something else";
          case WORD_MISSING -> cut + " is tied to a word that is not read: tie it anew";
          case INSIDE_WORD -> cut + " falls inside a word, " + p.frames() + " f from its end";
          case LINE_PAST_END ->
              "The voice goes on "
                  + p.frames()
                  + " f after the film's end: start its last line sooner";
          case ENDS_SHORT ->
              shot
                  + " is "
                  + p.frames()
                  + " f short at its end for its transition: its last frame is held";
          case STARTS_SHORT ->
              shot
                  + " is "
                  + p.frames()
                  + " f short at its start for its transition: its first frame is held";
          case TRANSITION_CROWDED ->
              "The transition out of shot "
                  + label
                  + " is "
                  + p.frames()
                  + " f shorter than asked for: there is no room between its neighbours";
          case LINE_APART -> throw new IllegalStateException("Told by SpokenApart.");
          case NOT_PLACED ->
              "Something over or beside the cut has no place in the film any more: tie it anew or take it out";
          case TAKE_MISSING -> shot + " has lost its take: black is shown";
        };
    return new ProblemView(p.kind(), p.place(), p.frames(), text, remedies.of(state, p, placed));
  }

  private static ClockView clock(FilmState state) {
    BeatGrid grid = state.grid();
    FrameRate rate = state.production().rate();
    SongUse music = state.film().music();
    return new ClockView(
        state.song().map(s -> s.id()).orElse(null),
        state.song().map(s -> s.title()).orElse(""),
        grid.bpm(),
        grid.beatsPerBar(),
        grid.firstDownbeat(),
        IntStream.range(0, grid.size())
            .mapToObj(i -> frames(grid.sampleOf(i) - music.start(), rate))
            .toList(),
        IntStream.range(0, grid.size())
            .mapToObj(i -> Cutting.frameOfBeat(i, music, grid, rate))
            .toList(),
        state.sectionsByBeat().entrySet().stream()
            .map(begin -> new SectionStart(begin.getKey(), begin.getValue()))
            .toList());
  }
}
