package app.latethistle.core.film;

import app.latethistle.core.music.BeatGrid;
import app.latethistle.core.music.KeyMoment;
import app.latethistle.core.music.Section;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Why each joint of a film is where it is, in words: "downbeat of bar 9, 120 ms before 'door'". */
public final class Reasons {
  /** A word is named that begins so soon after a cut, in samples: half a second. */
  private static final long SOON = Samples.RATE / 2;

  /** A section or key moment is named that lies so near, in samples: a tenth of a second. */
  private static final long NEAR = Samples.RATE / 10;

  /** A cut so far from every beat, in seconds, is not told by one. */
  private static final double FAR = 4;

  private final BeatGrid grid;
  private final List<Section> sections;
  private final List<KeyMoment> moments;
  private final FrameRate rate;

  public Reasons(BeatGrid grid, List<Section> sections, List<KeyMoment> moments, FrameRate rate) {
    this.grid = grid;
    this.sections = sections;
    this.moments = moments;
    this.rate = rate;
  }

  /** A sentence part for every joint. */
  public List<String> of(Film film, Cutting cutting) {
    List<String> reasons = new ArrayList<>();
    for (int j = 0; j < film.joints().size(); j++) {
      reasons.add(
          reason(
              film.joints().get(j).tie(),
              cutting.frames().get(j),
              film.music().start(),
              cutting.voice()));
    }
    return reasons;
  }

  private String reason(Tie tie, long frame, long songStart, VoiceClock voice) {
    List<String> parts = new ArrayList<>();
    parts.add(tie(tie, frame, songStart, voice));
    long inSong = rate.sampleOf(frame) + songStart;
    sections.stream()
        .filter(s -> s.start() > 0 && Math.abs(s.start() - inSong) < NEAR)
        .findFirst()
        .ifPresent(s -> parts.add(begins(s.name())));
    moments.stream()
        .filter(m -> Math.abs(m.at() - inSong) < NEAR)
        .findFirst()
        .ifPresent(m -> parts.add("on the " + m.kind().name().toLowerCase(Locale.ROOT)));
    word(tie, frame, voice).ifPresent(parts::add);
    return String.join(", ", parts);
  }

  private static String begins(Section.Name name) {
    return switch (name) {
      case OPENING -> "the opening comes again";
      case QUIET -> "the quiet part begins";
      case BUILD -> "the build begins";
      case FULL -> "the full part begins";
      case CODA -> "the coda begins";
    };
  }

  private String tie(Tie tie, long frame, long songStart, VoiceClock voice) {
    if (tie instanceof Tie.OnBeat on && on.beat() < grid.size()) {
      return isOffbeat(on)
          ? "offbeat after " + beat(on.beat())
          : after(on.offset()) + beat(on.beat());
    }
    if (tie instanceof Tie.OnWord on) {
      String edge = on.edge() == Tie.Edge.START ? "start" : "end";
      return voice
          .wordOf(on)
          .map(
              word ->
                  after(on.offset())
                      + edge
                      + " of \u2018"
                      + bare(word.get().text())
                      + "\u2019 in line "
                      + word.line().number())
          .orElse("a word that is not read");
    }
    if (tie instanceof Tie.OnBeat) {
      return "a beat that the song does not have";
    }
    if (frame == 0) {
      return "the film begins";
    }
    int near = grid.nearest(rate.sampleOf(frame) + songStart);
    if (near < 0) {
      return "free";
    }
    long off = frame - rate.nearestFrame(grid.sampleOf(near) - songStart);
    if (Math.abs(off) > FAR * rate.perSecond()) {
      return off > 0 ? "free, past the last beat" : "free, before the first beat";
    }
    return "free, " + (off == 0 ? "on " : after((int) off)) + beat(near);
  }

  /** Whether a tie is half-way to the next beat. */
  private boolean isOffbeat(Tie.OnBeat on) {
    if (on.beat() + 1 >= grid.size()) {
      return false;
    }
    double gap =
        rate.framesIn(Samples.toSeconds(grid.sampleOf(on.beat() + 1) - grid.sampleOf(on.beat())));
    return on.offset() > 1 && Math.abs(on.offset() - gap / 2) <= 1;
  }

  /** "3 f after ", "3 f before " or nothing. */
  private static String after(int offset) {
    return offset == 0 ? "" : Math.abs(offset) + " f " + (offset > 0 ? "after " : "before ");
  }

  private String beat(int beat) {
    String bar = grid.barOf(beat) < 1 ? "the lead-in" : "bar " + grid.barOf(beat);
    return grid.isDownbeat(beat) && grid.barOf(beat) >= 1
        ? "downbeat of " + bar
        : "beat " + grid.placeOf(beat) + " of " + bar;
  }

  /** The word the cut is inside of, or which begins soon after it. */
  private Optional<String> word(Tie tie, long frame, VoiceClock voice) {
    if (tie instanceof Tie.OnWord) {
      return Optional.empty();
    }
    if (Cutting.framesInside(frame, voice, rate) > 0) {
      return voice
          .speaking(rate.sampleOf(frame))
          .map(w -> "inside \u2018" + bare(w.get().text()) + "\u2019");
    }
    long at = rate.sampleOf(frame);
    Narration.Word soon = null;
    for (VoiceClock.Spoken line : voice.lines()) {
      for (Narration.Word word : line.words()) {
        long start = word.at().start();
        boolean comes = word.at().length() > 0 && start >= at && start - at < SOON;
        if (comes && (soon == null || start < soon.at().start())) {
          soon = word;
        }
      }
    }
    if (soon == null) {
      return Optional.empty();
    }
    long ms = Math.round(1000.0 * (soon.at().start() - at) / Samples.RATE);
    return Optional.of(ms + " ms before \u2018" + bare(soon.text()) + "\u2019");
  }

  private static String bare(String word) {
    return word.replaceAll("^\\P{L}+|\\P{L}+$", "");
  }
}
