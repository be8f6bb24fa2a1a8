package app.latethistle.core.caption;

import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.words.WordBreaks;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A caption.
 *
 * @param line the id of the line it is of; "" for one of its own time
 * @param at the frames it stands
 * @param lines its text
 * @param words with their times, for one whose spoken word is marked
 * @param faults what of the rules it does not keep
 */
public record Caption(
    String line, FrameRange at, List<String> lines, List<Word> words, Set<Fault> faults) {

  /** What of the rules is not kept. */
  public enum Fault {
    /** More letters a second than can be read. */
    TOO_QUICK,
    /** Gone before it is seen. */
    TOO_SHORT,
    TOO_LONG,
    /** A line has more letters than it may. */
    LINE_TOO_LONG,
    /** It stands while the one before it does, or begins at once after it. */
    NOT_APART,
    /** It ends or begins just beside a cut. */
    BESIDE_CUT
  }

  /** What of it is seen in a part of the film, with frames counted from there. */
  public Optional<Caption> within(FrameRange part) {
    return at.intersect(part)
        .filter(seen -> !seen.isEmpty())
        .map(seen -> new Caption(line, seen.shift(-part.start()), lines, words, faults));
  }

  /** Copies the collections. */
  public Caption {
    lines = List.copyOf(lines);
    words = List.copyOf(words);
    faults = faults.isEmpty() ? Set.of() : Set.copyOf(faults);
  }

  /** Its letters, spaces counted, a line end as a space, and wide ones as two. */
  public int letters() {
    return WordBreaks.columns(String.join(" ", lines));
  }

  /** Letters a second that must be read. */
  public double perSecond(FrameRate rate) {
    return letters() / rate.secondsOf(at.length());
  }

  /** The same under a line more. */
  Caption under(String first) {
    List<String> more = new ArrayList<>(lines);
    more.add(0, first);
    return new Caption(line, at, more, words, faults);
  }

  /** The same for other frames. */
  Caption withTime(FrameRange other) {
    return new Caption(line, other, lines, words, faults);
  }

  /** The same with what is said of it by the rules. */
  Caption judged(CaptionRules rules, FrameRate rate, long endBefore, List<Long> cuts) {
    EnumSet<Fault> found = EnumSet.noneOf(Fault.class);
    double seconds = rate.secondsOf(at.length());
    if (perSecond(rate) > rules.mostPerSecond()) {
      found.add(Fault.TOO_QUICK);
    }
    // A frame less is not seen: lengths come from words that fall between frames.
    if (seconds < rules.shortest() - rate.secondsOf(1)) {
      found.add(Fault.TOO_SHORT);
    }
    if (seconds > rules.longest()) {
      found.add(Fault.TOO_LONG);
    }
    if (lines.size() > rules.lines()
        || lines.stream().anyMatch(l -> WordBreaks.columns(l) > rules.letters())) {
      found.add(Fault.LINE_TOO_LONG);
    }
    if (at.start() < endBefore + rules.apart()) {
      found.add(Fault.NOT_APART);
    }
    long near = rate.framesIn(rules.beforeCut());
    for (long cut : cuts) {
      boolean starts = at.start() < cut && at.start() > cut - near;
      boolean ends = at.end() > cut && at.end() < cut + near && at.start() < cut;
      if (starts || ends) {
        found.add(Fault.BESIDE_CUT);
      }
    }
    return new Caption(line, at, lines, words, found);
  }
}
