package app.latethistle.server.film;

import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Film;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Tie;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.take.Framing;
import app.latethistle.core.take.Take;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import app.latethistle.server.material.Shot;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
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
    List<ProblemView> problems,
    List<OutsideView> outside,
    ClockView clock) {

  /**
   * A shot in the film; {@code start} and {@code end} are frames of the film, {@code in} of the
   * take.
   */
  record PlacedView(
      int place,
      long shotId,
      String label,
      String title,
      long takeId,
      long in,
      long material,
      Framing framing,
      boolean locked,
      long start,
      long end) {}

  /** Whether a joint is tied to a beat or free. */
  enum TieKind {
    BEAT,
    FREE
  }

  /**
   * A joint: the film's start, a cut or the film's end.
   *
   * @param beat the beat it is tied to, or -1
   * @param offset frames from that beat, by hand
   * @param downbeat whether that beat begins a bar
   */
  record JointView(
      long frame, TieKind tie, int beat, int offset, boolean downbeat, int bar, int beatInBar) {}

  /** Something to look at, and what to do about it. */
  record ProblemView(Cutting.Kind kind, int place, long frames, String text) {}

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

  static FilmView of(FilmState state, Map<Long, Shot> shots, List<Shot> outside) {
    Film film = state.film();
    List<PlacedView> placed = new ArrayList<>();
    for (int i = 0; i < film.placements().size(); i++) {
      placed.add(placed(state, shots, i));
    }
    List<JointView> joints = new ArrayList<>();
    for (int j = 0; j < film.joints().size(); j++) {
      joints.add(joint(state, j));
    }
    return new FilmView(
        state.production().revision(),
        state.log().undoLabel(),
        state.log().redoLabel(),
        state.cutting().length(),
        Samples.toSeconds(film.song().start()),
        film.song().fade(),
        placed,
        joints,
        state.cutting().problems().stream().map(p -> problem(p, placed)).toList(),
        outside.stream()
            .map(s -> new OutsideView(s.id(), s.label(), s.title(), s.pickId()))
            .toList(),
        clock(state));
  }

  private static PlacedView placed(FilmState state, Map<Long, Shot> shots, int place) {
    Placement p = state.film().placements().get(place);
    FrameRange range = state.cutting().rangeOf(place);
    Shot shot = shots.get(Long.valueOf(p.shot()));
    Take take = state.takes().get(p.take());
    return new PlacedView(
        place,
        Long.parseLong(p.shot()),
        shot == null ? "?" : shot.label(),
        shot == null ? "" : shot.title(),
        Long.parseLong(p.take()),
        p.in(),
        take == null ? 0 : take.frames(),
        p.framing(),
        p.locked(),
        range.start(),
        range.end());
  }

  private static JointView joint(FilmState state, int index) {
    Tie tie = state.film().joints().get(index);
    long frame = state.cutting().frames().get(index);
    BeatGrid grid = state.grid();
    if (tie instanceof Tie.OnBeat on && on.beat() < grid.size()) {
      return new JointView(
          frame,
          TieKind.BEAT,
          on.beat(),
          on.offset(),
          grid.isDownbeat(on.beat()),
          grid.barOf(on.beat()),
          grid.placeOf(on.beat()));
    }
    return new JointView(frame, TieKind.FREE, -1, 0, false, 0, 0);
  }

  private static ProblemView problem(Cutting.Problem p, List<PlacedView> placed) {
    String shot = "Shot " + placed.get(p.place()).label();
    String text =
        switch (p.kind()) {
          case OUT_OF_MATERIAL -> shot + " is " + p.frames() + " f short: its last frame is held";
          case TIE_NOT_HONOURED ->
              "The cut out of "
                  + shot.replace("Shot", "shot")
                  + " cannot keep its beat: "
                  + p.frames()
                  + " f off";
          case BEAT_MISSING ->
              "The cut out of "
                  + shot.replace("Shot", "shot")
                  + " is tied to a beat this song does not have: cut again, or tie it anew";
          case TAKE_MISSING -> shot + " has lost its take: black is shown";
        };
    return new ProblemView(p.kind(), p.place(), p.frames(), text);
  }

  private static ClockView clock(FilmState state) {
    BeatGrid grid = state.grid();
    FrameRate rate = state.production().rate();
    double[] beats = new double[grid.size()];
    long[] frames = new long[grid.size()];
    for (int i = 0; i < beats.length; i++) {
      double seconds = Samples.toSeconds(grid.sampleOf(i) - state.film().song().start());
      beats[i] = Math.round(seconds * rate.perSecond() * 1000) / 1000.0;
      frames[i] = Cutting.frameOfBeat(i, state.film().song(), grid, rate);
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
