package app.latethistle.server.film;

import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Limits;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Reasons;
import app.latethistle.core.film.Remedy;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.look.Fit;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import app.latethistle.core.time.Samples;
import app.latethistle.core.voice.Stress;
import app.latethistle.server.material.Shot;
import app.latethistle.server.material.Song;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * A film as the Score shows it.
 *
 * @param revision to be sent with the next change
 * @param undo what undo would take back, or ""
 * @param length in frames
 * @param songStart seconds of the song before the film's first frame
 * @param fade frames over which the end fades
 */
record FilmView(
    long revision,
    String undo,
    String redo,
    long length,
    double songStart,
    long fade,
    List<PlacedView> shots,
    List<JointView> joints,
    List<OverlayView> overlays,
    List<SoundView> sounds,
    List<MarkerView> markers,
    List<ProblemView> problems,
    List<OutsideView> outside,
    ClockView clock,
    List<SpokenView> voice) {

  /**
   * A shot in the film, or a gap.
   *
   * @param id its name in the film; a shot may be in it more than once
   * @param shotId 0 for a gap
   * @param takeId 0 for a gap
   * @param in the first frame of the take that is used
   * @param used how many of the take's frames it runs over
   * @param material the take's frames
   * @param sounding whether the clip has a sound of its own
   * @param group shots of one number are taken hold of together; 0 is none
   * @param start first frame in the film
   * @param end the frame after its last
   */
  record PlacedView(
      int place,
      String id,
      long shotId,
      String label,
      String title,
      long takeId,
      long in,
      long used,
      long material,
      Fit framing,
      boolean locked,
      Speed run,
      boolean sounding,
      ClipSound sound,
      int group,
      long start,
      long end) {}

  /** A shot over the cut: {@code shot.place} is -1; see {@link Overlay} for the rest. */
  record OverlayView(
      PlacedView shot,
      int layer,
      int opacity,
      int size,
      int x,
      int y,
      JointView start,
      JointView end) {}

  /** A sound that goes its own way. */
  record SoundView(
      String name, String label, long takeId, JointView start, long length, int gain) {}

  record MarkerView(String name, JointView at, String note) {}

  /** What a joint is tied to. */
  enum TieKind {
    BEAT,
    WORD,
    FREE
  }

  /**
   * Between which frames a cut may go.
   *
   * @param most null if there is no limit
   */
  record LimitsView(long least, @Schema(nullable = true) Long most) {
    static LimitsView of(Limits limits) {
      return new LimitsView(
          limits.least(), limits.most() == Limits.OPEN ? null : (Long) limits.most());
    }
  }

  /**
   * Limits of a cut by what moves with it; null where it cannot be moved so.
   *
   * @param rippleEnd for the shot before it
   * @param rippleStart for the shot after it
   * @param slide for the shot after it
   */
  record ReachView(
      LimitsView trim,
      @Schema(nullable = true) LimitsView roll,
      @Schema(nullable = true) LimitsView rippleEnd,
      @Schema(nullable = true) LimitsView rippleStart,
      @Schema(nullable = true) LimitsView slide) {

    static ReachView of(Resolved film, int joint) {
      int last = film.film().placements().size();
      boolean cut = joint > 0 && joint < last;
      return new ReachView(
          LimitsView.of(Limits.trim(film, joint)),
          cut ? LimitsView.of(Limits.roll(film, joint)) : null,
          joint > 0 ? LimitsView.of(Limits.rippleEnd(film, joint - 1)) : null,
          joint < last ? LimitsView.of(Limits.rippleStart(film, joint)) : null,
          cut && joint + 1 < last ? LimitsView.of(Limits.slide(film, joint)) : null);
    }
  }

  /**
   * A joint: the film's start, a cut or the film's end.
   *
   * @param beat the beat it is tied to, or -1
   * @param offset frames from that beat, by hand
   * @param downbeat whether that beat begins a bar
   * @param line the line whose word it is tied to, or ""
   * @param word that word's place in the line, or -1
   * @param edge which end of it, or null
   * @param reason why it is where it is
   * @param reach between which frames it may go; null for what lies over or beside the cut
   */
  record JointView(
      long frame,
      TieKind tie,
      int beat,
      int offset,
      boolean downbeat,
      int bar,
      int beatInBar,
      String line,
      int word,
      @Schema(nullable = true) Tie.Edge edge,
      String reason,
      @Schema(nullable = true) ReachView reach) {}

  /** A line where it is heard; times are frames of the film, not rounded. */
  record SpokenView(String line, int number, double start, double end, List<HeardWord> words) {}

  /** A word where it is heard, and the frames that cuts tied to its ends fall on. */
  record HeardWord(
      int word,
      String text,
      boolean stressed,
      double start,
      double end,
      long startFrame,
      long endFrame) {}

  /**
   * A way out of too little material.
   *
   * @param name of what is done
   * @param cost in words
   */
  record RemedyView(Remedy.Kind kind, String name, String cost) {}

  /**
   * Something to look at, and what to do about it.
   *
   * @param remedies for too little material, those that change least first
   */
  record ProblemView(
      Cutting.Kind kind, int place, long frames, String text, List<RemedyView> remedies) {}

  /** A shot that is not in the film. */
  record OutsideView(long shotId, String label, String title, @Schema(nullable = true) Long pick) {}

  /**
   * The music clock in the film's time.
   *
   * @param song the chosen song's id, or null
   * @param beats where each beat falls, in frames of the film, not rounded; negative before it
   * @param frames the frame a cut tied to each beat falls on
   */
  record ClockView(
      @Schema(nullable = true) Long song,
      String title,
      double bpm,
      int beatsPerBar,
      int firstDownbeat,
      double[] beats,
      long[] frames) {}

  static FilmView of(
      FilmState state, Map<Long, Shot> shots, List<Shot> outside, RemedyWords remedies) {
    Film film = state.film();
    List<PlacedView> placed = new ArrayList<>();
    for (int i = 0; i < film.placements().size(); i++) {
      placed.add(placed(state, shots, i, film.placements().get(i), state.cutting().rangeOf(i)));
    }
    List<JointView> joints = new ArrayList<>();
    List<String> reasons = reasons(state);
    for (int j = 0; j < film.joints().size(); j++) {
      ReachView reach = ReachView.of(state.resolved(), j);
      joints.add(
          joint(state, film.ties().get(j), state.cutting().frames().get(j), reasons.get(j), reach));
    }
    return new FilmView(
        state.production().revision(),
        state.log().undoLabel(),
        state.log().redoLabel(),
        state.cutting().length(),
        Samples.toSeconds(film.music().start()),
        film.finish().end().frames(),
        placed,
        joints,
        overlays(state, shots),
        sounds(state, shots),
        markers(state),
        state.cutting().problems().stream().map(p -> problem(state, p, placed, remedies)).toList(),
        outside.stream()
            .map(s -> new OutsideView(s.id(), s.label(), s.title(), s.pickId()))
            .toList(),
        clock(state),
        state.cutting().voice().lines().stream()
            .filter(VoiceClock.Spoken::isHeard)
            .map(line -> spoken(line, state.production().rate()))
            .toList());
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
      FilmState state, Map<Long, Shot> shots, int place, Placement p, FrameRange range) {
    Shot shot = p.hasPicture() ? shots.get(Long.valueOf(p.shot())) : null;
    Take take = state.takes().get(p.take());
    FrameRange shown =
        p.run().shown(p.in(), take == null ? Long.MAX_VALUE / 4 : take.frames(), range.length());
    return new PlacedView(
        place,
        p.id(),
        p.hasPicture() ? Long.parseLong(p.shot()) : 0,
        shot == null ? (p.hasPicture() ? "?" : "gap") : shot.label(),
        shot == null ? "" : shot.title(),
        p.hasPicture() ? Long.parseLong(p.take()) : 0,
        shown.start(),
        shown.length(),
        take == null ? 0 : take.frames(),
        p.framing().own().fit(),
        p.locked(),
        Speed.of(p.run(), range.length()),
        state.sounding().contains(p.take()),
        p.heard(),
        p.held().group(),
        range.start(),
        range.end());
  }

  private static List<OverlayView> overlays(FilmState state, Map<Long, Shot> shots) {
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
              placed(state, shots, -1, o.placement(), shown),
              o.layer(),
              o.lie().opacity(),
              o.lie().size(),
              o.lie().x(),
              o.lie().y(),
              joint(state, o.start(), shown.start()),
              joint(state, o.end(), shown.end())));
    }
    return overlays;
  }

  private static List<SoundView> sounds(FilmState state, Map<Long, Shot> shots) {
    return state.film().sounds().stream()
        .map(
            s -> {
              String stem = s.id().replaceFirst("~\\d+$", "");
              Shot shot = stem.matches("\\d+") ? shots.get(Long.valueOf(stem)) : null;
              long frame = state.cutting().beside().sounds().getOrDefault(s.id(), 0L);
              return new SoundView(
                  s.id(),
                  shot == null ? "?" : shot.label(),
                  Long.parseLong(s.take()),
                  joint(state, s.start(), frame),
                  s.length(),
                  s.gain());
            })
        .toList();
  }

  private static List<MarkerView> markers(FilmState state) {
    return state.film().markers().stream()
        .map(
            m -> {
              long frame = state.cutting().beside().markers().getOrDefault(m.id(), 0L);
              return new MarkerView(m.id(), joint(state, m.at(), frame), m.note());
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
          reach);
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
          reach);
    }
    return new JointView(frame, TieKind.FREE, -1, 0, false, 0, 0, "", -1, null, reason, reach);
  }

  private static ProblemView problem(
      FilmState state, Cutting.Problem p, List<PlacedView> placed, RemedyWords remedies) {
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
          case NOT_PLACED ->
              "Something over or beside the cut has no place in the film any more: tie it anew or take it out";
          case TAKE_MISSING -> shot + " has lost its take: black is shown";
        };
    return new ProblemView(p.kind(), p.place(), p.frames(), text, remedies.of(state, p, placed));
  }

  private static ClockView clock(FilmState state) {
    BeatGrid grid = state.grid();
    FrameRate rate = state.production().rate();
    double[] beats = new double[grid.size()];
    long[] frames = new long[grid.size()];
    for (int i = 0; i < beats.length; i++) {
      beats[i] = frames(grid.sampleOf(i) - state.film().music().start(), rate);
      frames[i] = Cutting.frameOfBeat(i, state.film().music(), grid, rate);
    }
    return new ClockView(
        state.song().map(s -> s.id()).orElse(null),
        state.song().map(s -> s.title()).orElse(""),
        grid.bpm(),
        grid.beatsPerBar(),
        grid.firstDownbeat(),
        beats,
        frames);
  }
}
