package app.latethistle.core.plan;

import app.latethistle.core.Refused;
import app.latethistle.core.film.Placement;
import app.latethistle.core.film.Tie;
import app.latethistle.core.film.VoiceClock;
import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.Section;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
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
   * @param said the words of the line that starts with it, in samples after its first frame
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
      List<SampleRange> said,
      Traits traits,
      Optional<Fixed> fixed) {
    /** Copies what it is given. */
    public Wanted {
      lines = Set.copyOf(lines);
      said = List.copyOf(said);
    }

    /** A shot whose whole take may be seen, without further wishes. */
    public static Wanted of(Placement placement, long frames) {
      return new Wanted(
          placement,
          new FrameRange(0, frames),
          0,
          0,
          0,
          Set.of(),
          List.of(),
          Traits.NONE,
          Optional.empty());
    }

    /** The same with bounds on how long it lasts, in frames; 0 for none. */
    public Wanted lasting(long least, long most) {
      return new Wanted(placement, usable, least, most, handles, lines, said, traits, fixed);
    }

    /** The same, staying where it is. */
    public Wanted fixedAt(Fixed where) {
      return new Wanted(
          placement, usable, shortest, longest, handles, lines, said, traits, Optional.of(where));
    }

    /** The same, spoken of by lines. */
    public Wanted spokenOf(Set<String> by) {
      return new Wanted(placement, usable, shortest, longest, handles, by, said, traits, fixed);
    }

    /** The same, with which words are said, in samples after its first frame. */
    public Wanted saying(List<SampleRange> words) {
      return new Wanted(placement, usable, shortest, longest, handles, lines, words, traits, fixed);
    }

    /** The same with so many frames wanted to spare at both its ends. */
    public Wanted sparing(long frames) {
      return new Wanted(placement, usable, shortest, longest, frames, lines, said, traits, fixed);
    }

    /** The same, of which so much may be seen. */
    public Wanted within(FrameRange part) {
      return new Wanted(placement, part, shortest, longest, handles, lines, said, traits, fixed);
    }

    /** The same with what is known of its pictures. */
    public Wanted looking(Traits known) {
      return new Wanted(placement, usable, shortest, longest, handles, lines, said, known, fixed);
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
   * @param drawn how quickly each section is to move, as the person drew it: 1 as the film does in
   *     the mean, 2 in shots half as long; empty to follow the song's energy
   */
  record Music(
      BeatGrid grid,
      List<Section> sections,
      List<KeyMoment> moments,
      long start,
      List<Double> drawn) {
    /** No music. */
    public static final Music NONE = new Music(BeatGrid.EMPTY, List.of(), List.of(), 0);

    /**
     * Checks what is drawn.
     *
     * @throws IllegalArgumentException if as much is not drawn as there are sections, or a speed is
     *     not above 0
     */
    public Music {
      boolean fits = drawn.isEmpty() || drawn.size() == sections.size();
      if (!fits || drawn.stream().anyMatch(speed -> !(speed > 0))) {
        throw new Refused("The pace drawn is not one of these sections; draw it again.");
      }
    }

    /**
     * No music, but a pace drawn for parts of the film that are equally long.
     *
     * @param length of the film in frames
     * @param speeds of the parts in their order
     */
    public static Music none(FrameRate rate, long length, List<Double> speeds) {
      List<Section> parts = new ArrayList<>();
      for (int i = 0; i < speeds.size(); i++) {
        long from = rate.sampleOf(length * i / speeds.size());
        long to = rate.sampleOf(length * (i + 1) / speeds.size());
        parts.add(new Section(from, to, 'A', Section.Name.FULL, 0));
      }
      return new Music(BeatGrid.EMPTY, parts, List.of(), 0, speeds);
    }

    /** The sections that can be heard: none where there is no music. */
    List<Section> heard() {
      return grid.size() > 0 ? sections : List.of();
    }

    /** Music whose energy sets the pace. */
    public Music(BeatGrid grid, List<Section> sections, List<KeyMoment> moments, long start) {
      this(grid, sections, moments, start, List.of());
    }

    /** The same with a pace drawn for each section; empty to follow its energy. */
    public Music drawn(List<Double> speeds) {
      return new Music(grid, sections, moments, start, speeds);
    }
  }

  /**
   * What is asked.
   *
   * @param shots in the order they are to be seen
   * @param voice where lines are heard in the film
   * @param rate the film's frame rate
   * @param length the wanted length in frames
   * @param unlike frames at which other proposals cut, which this one is to avoid
   */
  record Request(
      List<Wanted> shots,
      Music music,
      VoiceClock voice,
      FrameRate rate,
      long length,
      Pace pace,
      Set<Long> unlike) {
    /** Copies what it is given. */
    public Request {
      shots = List.copyOf(shots);
      unlike = Set.copyOf(unlike);
    }

    /** A request with no other proposal beside it. */
    public Request(
        List<Wanted> shots, Music music, VoiceClock voice, FrameRate rate, long length, Pace pace) {
      this(shots, music, voice, rate, length, pace, Set.of());
    }

    /** The same with another pace. */
    public Request at(Pace other) {
      return new Request(shots, music, voice, rate, length, other, unlike);
    }

    /** The same, to be cut elsewhere than at these frames. */
    public Request unlike(Set<Long> frames) {
      return new Request(shots, music, voice, rate, length, pace, frames);
    }
  }
}
