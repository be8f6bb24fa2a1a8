package app.latethistle.core.caption;

import app.latethistle.core.film.Narration.Word;
import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.Samples;
import app.latethistle.core.words.WordBreaks;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** Breaks what is spoken into captions, by the least cost over all breakings of each line. */
public final class Captioner {
  /** A caption more: so that two that fit into one are one. */
  private static final double ANOTHER = 6;

  /** A second of silence inside a caption. */
  private static final double SILENCE = 8;

  /** A letter a second over what is read with ease, squared. */
  private static final double QUICK = 0.5;

  /** What must not be, a unit of it: a second too short or too long. */
  private static final double FAULT = 200;

  private final CaptionRules rules;
  private final FrameRate rate;

  public Captioner(CaptionRules rules, FrameRate rate) {
    this.rules = rules;
    this.rate = rate;
  }

  /**
   * Captions of up to the rules' lines.
   *
   * @param lines in the order they are heard
   * @param cuts frames at which the picture cuts, in order
   */
  public List<Caption> twoLines(List<SpokenLine> lines, List<Long> cuts) {
    return timed(broken(lines, 1, Integer.MAX_VALUE), cuts);
  }

  /** A few words at once: as many as asked, fewer where a line has fewer. */
  public List<Caption> words(List<SpokenLine> lines, int fewest, int most, List<Long> cuts) {
    return timed(broken(lines, fewest, most), cuts);
  }

  private List<Caption> broken(List<SpokenLine> lines, int fewest, int most) {
    List<Caption> all = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      SpokenLine line = lines.get(i);
      long next = Long.MAX_VALUE / 4;
      for (int k = i + 1; k < lines.size() && next == Long.MAX_VALUE / 4; k++) {
        if (!lines.get(k).words().isEmpty()) {
          next = frame(lines.get(k).words().get(0).at().start());
        }
      }
      if (!line.words().isEmpty()) {
        all.addAll(broken(line, next, fewest, most));
      }
    }
    return all;
  }

  private List<Caption> broken(SpokenLine line, long next, int fewest, int most) {
    Measured text = new Measured(line.words());
    int n = line.words().size();
    double[] best = new double[n + 1];
    int[] from = new int[n + 1];
    Arrays.fill(best, Double.POSITIVE_INFINITY);
    best[0] = 0;
    for (int end = 1; end <= n; end++) {
      int first = Math.max(0, end - Math.min(most, end));
      for (int start = end - 1; start >= first; start--) {
        // What is half as long again as a caption may be is never the best.
        boolean hopeless = text.letters(start, end) > 1.5 * rules.letters() * rules.lines();
        if (hopeless && start < end - 1) {
          break;
        }
        double cost = best[start] + cost(text, start, end, next, fewest);
        if (cost < best[end]) {
          best[end] = cost;
          from[end] = start;
        }
      }
    }
    List<Caption> captions = new ArrayList<>();
    for (int end = n; end > 0; end = from[end]) {
      int start = from[end];
      List<Word> part = line.words().subList(start, end);
      List<String> lines = new ArrayList<>();
      List<Integer> starts = breaks(text, start, end).fewest(rules.lines());
      for (int i = 0; i < starts.size(); i++) {
        int to = i + 1 < starts.size() ? starts.get(i + 1) : part.size();
        lines.add(
            WordBreaks.joined(part.subList(starts.get(i), to).stream().map(Word::text).toList()));
      }
      FrameRange at = time(text, start, end, next);
      captions.add(0, new Caption(line.id(), at, lines, part, Set.of()));
    }
    return captions;
  }

  private double cost(Measured text, int start, int end, long next, int fewest) {
    List<Word> words = text.words;
    double seconds = rate.secondsOf(time(text, start, end, next).length());
    int letters = text.letters(start, end);
    double quick = Math.max(0, letters / seconds - rules.perSecond());
    double most = Math.max(0, letters / seconds - rules.mostPerSecond());
    double brief = Math.max(0, rules.least() - seconds);
    double tooBrief = Math.max(0, rules.shortest() - seconds);
    double tooLong = Math.max(0, seconds - rules.longest());
    double silent = 0;
    for (int i = start + 1; i < end; i++) {
      silent += Samples.toSeconds(words.get(i).at().start() - words.get(i - 1).at().end());
    }
    double few = Math.max(0, Math.min(fewest, words.size()) - (end - start));
    double broken = end < words.size() ? text.badness(end) : 0;
    LineBreaks inner = breaks(text, start, end);
    return ANOTHER
        + QUICK * quick * quick
        + SILENCE * Math.max(0, silent)
        + 10 * (brief + few)
        + FAULT * (tooBrief + tooLong)
        + FAULT / 10 * most
        + broken
        + inner.cost(inner.fewest(rules.lines())) / 4;
  }

  /** From its first word to its last, longer where that is needed to read it and there is time. */
  private FrameRange time(Measured text, int start, int end, long next) {
    List<Word> words = text.words;
    long first = frame(words.get(start).at().start());
    long last = Math.max(first + 1, frame(words.get(end - 1).at().end()));
    int letters = text.letters(start, end);
    long wanted = rate.framesIn(Math.max(rules.least(), letters / rules.perSecond()));
    long after = end < words.size() ? frame(words.get(end).at().start()) : next;
    long until = Math.max(first + 1, after - rules.apart());
    return new FrameRange(first, Math.min(until, Math.max(last, first + wanted)));
  }

  /** Gaps are closed, ends are moved to cuts, and each is judged. */
  private List<Caption> timed(List<Caption> captions, List<Long> cuts) {
    long small = rate.framesIn(rules.joined());
    long near = rate.framesIn(rules.beforeCut());
    List<Caption> result = new ArrayList<>();
    for (int i = 0; i < captions.size(); i++) {
      FrameRange at = captions.get(i).at();
      long next = i + 1 < captions.size() ? captions.get(i + 1).at().start() : Long.MAX_VALUE / 4;
      long end = at.end();
      long free = next - rules.apart();
      if (free > end && next - end < small) {
        end = free;
      } else {
        // One that would end just beside a cut ends on it, if that leaves it time enough.
        for (long cut : cuts) {
          boolean beside = Math.abs(cut - end) < near && cut <= free;
          if (beside && rate.secondsOf(cut - at.start()) >= rules.shortest()) {
            end = cut;
            break;
          }
        }
      }
      Caption timed = captions.get(i).withTime(new FrameRange(at.start(), end));
      long before = i == 0 ? Long.MIN_VALUE / 4 : result.get(i - 1).at().end();
      result.add(timed.judged(rules, rate, before, cuts));
    }
    return result;
  }

  private LineBreaks breaks(Measured text, int start, int end) {
    return new LineBreaks(
        end - start,
        rules.letters(),
        (from, to) -> text.letters(start + from, start + to),
        at -> text.badness(start + at));
  }

  /** A line's words with what is asked of them again and again. */
  private static final class Measured {
    private final List<Word> words;
    private final int[] upTo;
    private final int[] space;
    private final double[] badness;

    Measured(List<Word> words) {
      this.words = words;
      upTo = new int[words.size() + 1];
      space = new int[words.size()];
      badness = new double[words.size()];
      for (int i = 0; i < words.size(); i++) {
        String word = words.get(i).text();
        space[i] = WordBreaks.isFollowedAtOnce(word) ? 0 : 1;
        upTo[i + 1] = upTo[i] + WordBreaks.columns(word) + space[i];
        badness[i] = i == 0 ? 0 : Sense.badness(words.get(i - 1).text(), words.get(i).text());
      }
    }

    /** Letters from one word to before another, spaces counted. */
    int letters(int start, int end) {
      return upTo[end] - upTo[start] - space[end - 1];
    }

    /** How badly it is broken before a word. */
    double badness(int word) {
      return badness[word];
    }
  }

  private long frame(long sample) {
    return rate.nearestFrame(sample);
  }
}
