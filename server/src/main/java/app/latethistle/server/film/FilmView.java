package app.latethistle.server.film;

import app.latethistle.core.film.ClipSound;
import app.latethistle.core.film.Cutting;
import app.latethistle.core.film.Limits;
import app.latethistle.core.film.Overlap;
import app.latethistle.core.film.Overlay;
import app.latethistle.core.film.Remedy;
import app.latethistle.core.film.Resolved;
import app.latethistle.core.film.Tie;
import app.latethistle.core.look.Fit;
import app.latethistle.core.look.Mixing;
import app.latethistle.core.look.Transition;
import app.latethistle.core.take.PictureShape;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;

/**
 * A film as the Score shows it.
 *
 * @param revision to be sent with the next change
 * @param length in frames
 * @param songStart seconds of the song before the film's first frame
 * @param pace how quickly parts of it are to move as drawn, where it has no music
 * @param fade frames over which the end fades
 * @param treatments what is done to the whole film
 * @param shapes it can leave in, its own first
 * @param laid how many sounds lie beside the cut
 * @param titled how many titles it has
 * @param landings where sounds and titles land, so that others can land there
 */
record FilmView(
    long revision,
    long length,
    double songStart,
    long fade,
    List<TreatmentView> treatments,
    List<OtherShape> shapes,
    List<Double> pace,
    List<PlacedView> shots,
    List<JointView> joints,
    List<OverlayView> overlays,
    List<SoundView> sounds,
    int laid,
    int titled,
    List<LandingView> landings,
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
   * @param path how the camera moves over it; null if it does not
   * @param focus what has to be seen of it in every shape; null for its middle
   * @param shapes how it is framed in other shapes
   * @param matte what of it stays
   * @param treatments what is done to its picture
   * @param amounts how far its first value that follows something is from rest in each of its
   *     frames, in percent; null if none does
   * @param corrected whether anything is done to its colour
   * @param picture the take's own picture
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
      @Schema(nullable = true) PathView path,
      @Schema(nullable = true) FocusView focus,
      List<ShapeFramingView> shapes,
      MatteView matte,
      List<TreatmentView> treatments,
      @Schema(nullable = true) List<Integer> amounts,
      boolean corrected,
      PictureView picture,
      boolean locked,
      Speed run,
      boolean sounding,
      ClipSound sound,
      int group,
      long start,
      long end) {}

  /**
   * How a shot is framed in another shape than the film's own.
   *
   * @param said null where it follows from its focus
   */
  record ShapeFramingView(String shape, @Schema(nullable = true) Fit said, Fit fit) {}

  /** A picture's sides in square pixels. */
  record PictureView(int width, int height) {
    static PictureView of(PictureShape shape) {
      return new PictureView((int) Math.round(shape.width() * shape.pixelAspect()), shape.height());
    }
  }

  /**
   * What lies over the cut: {@code shot.place} is -1, and {@code shot.takeId} 0 where there is no
   * shot and what lies under it is treated; see {@link Overlay} for the rest.
   */
  record OverlayView(
      PlacedView shot, int layer, LieView lie, Mixing mixing, JointView start, JointView end) {}

  /** A sound that goes its own way. */
  record SoundView(
      String name, String label, long takeId, JointView start, long length, double gain) {}

  /**
   * Where a sound or a title lands.
   *
   * @param kind "sound" or "title", as a tie names it
   * @param name for people
   * @param frame of the film, with a fraction where a sound lands within one
   * @param on the sounds and titles that it lands on itself; they cannot land on it
   */
  record LandingView(String kind, String item, String name, double frame, List<String> on) {}

  record MarkerView(String name, JointView at, String note, String by, boolean done) {}

  /** What a joint is tied to. */
  enum TieKind {
    BEAT,
    WORD,
    FREE,
    /** To something else of the film. */
    ITEM
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
   * @param passing its transition; null for a plain cut
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
      @Schema(nullable = true) ReachView reach,
      @Schema(nullable = true) PassingView passing) {

    /** The same with a transition, if it is one. */
    JointView passing(Transition how, Overlap overlap) {
      return how.isCut()
          ? this
          : new JointView(
              frame,
              tie,
              beat,
              offset,
              downbeat,
              bar,
              beatInBar,
              line,
              word,
              edge,
              reason,
              reach,
              PassingView.of(how, overlap));
    }
  }

  /**
   * A transition where it lies in the film.
   *
   * @param start the first frame in which both shots are seen
   * @param end the frame after the last
   * @param endsShort frames that the shot before lacks at its end
   * @param startsShort frames that the shot after lacks at its start
   */
  record PassingView(Passing how, long start, long end, long endsShort, long startsShort) {
    static PassingView of(Transition how, Overlap overlap) {
      return new PassingView(
          Passing.of(how),
          overlap.frames().start(),
          overlap.frames().end(),
          overlap.endsShort(),
          overlap.startsShort());
    }
  }

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
   * @param sections where the song's sections begin that do so on a beat
   */
  record ClockView(
      @Schema(nullable = true) Long song,
      String title,
      double bpm,
      int beatsPerBar,
      int firstDownbeat,
      List<Double> beats,
      List<Long> frames,
      List<SectionStart> sections) {}

  /**
   * A beat with which a section begins.
   *
   * @param name what the section does, and a letter where another sounds like it
   */
  record SectionStart(int beat, String name) {}
}
