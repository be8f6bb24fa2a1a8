package app.latethistle.core.plan;

import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.Section;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Proposes a film from shots and the clocks. */
public interface CutPlanner {

  /**
   * The best film for a request.
   *
   * @throws IllegalArgumentException if there is no shot, or nothing to cut to in the wanted length
   */
  CutPlan plan(Request request);

  /**
   * A shot that wants a place.
   *
   * @param placement its pick and framing; the planner may choose another {@code in}
   * @param usable the part of its take that may be seen, in frames of the film's rate
   * @param shortest the fewest frames it may last; 0 for no such wish
   * @param longest the most frames it may last; 0 for no such wish
   * @param handles frames wanted to spare at both its ends
   * @param lines ids of the lines that speak of it
   * @param traits what of its pictures matters to the shots beside it
   * @param fixed where a locked shot stays, if it is locked
   */
  record Wanted(
      Placement placement,
      FrameRange usable,
      long shortest,
      long longest,
      long handles,
      Set<String> lines,
      Traits traits,
      Optional<Fixed> fixed) {
    /** Copies the set. */
    public Wanted {
      lines = Set.copyOf(lines);
    }

    /** A shot whose whole take may be seen, without further wishes. */
    public static Wanted of(Placement placement, long frames) {
      return new Wanted(
          placement, new FrameRange(0, frames), 0, 0, 0, Set.of(), Traits.NONE, Optional.empty());
    }

    /** The same, staying where it is. */
    public Wanted fixedAt(Fixed where) {
      return new Wanted(
          placement, usable, shortest, longest, handles, lines, traits, Optional.of(where));
    }

    /** The same, spoken of by lines. */
    public Wanted spokenOf(Set<String> by) {
      return new Wanted(placement, usable, shortest, longest, handles, by, traits, fixed);
    }

    /** The same, of which so much may be seen. */
    public Wanted within(FrameRange part) {
      return new Wanted(placement, part, shortest, longest, handles, lines, traits, fixed);
    }

    /** The same with what is known of its pictures. */
    public Wanted looking(Traits known) {
      return new Wanted(placement, usable, shortest, longest, handles, lines, known, fixed);
    }

    /** The most frames it can last. */
    long most() {
      return longest > 0 ? Math.min(longest, usable.length()) : usable.length();
    }
  }

  /** Where a locked shot stays: its range and the ties of its ends. */
  record Fixed(FrameRange range, Tie start, Tie end) {}

  /**
   * The music as far as planning needs it.
   *
   * @param start the sample of the song heard at the film's first frame
   */
  record Music(BeatGrid grid, List<Section> sections, List<KeyMoment> moments, long start) {
    /** No music. */
    public static final Music NONE = new Music(BeatGrid.EMPTY, List.of(), List.of(), 0);
  }

  /**
   * What is asked.
   *
   * @param shots in the order they are to be seen
   * @param voice where lines are heard in the film
   * @param rate the film's frame rate
   * @param length the wanted length in frames
   */
  record Request(
      List<Wanted> shots, Music music, VoiceClock voice, FrameRate rate, long length, Pace pace) {
    /** The same with another pace. */
    public Request at(Pace other) {
      return new Request(shots, music, voice, rate, length, other);
    }
  }
}
