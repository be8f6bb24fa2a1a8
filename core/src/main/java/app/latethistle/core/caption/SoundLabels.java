package app.latethistle.core.caption;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.words.WordBreaks;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * What is heard beside the voice, told among captions of what is said. A label stands where it is
 * heard if nothing else does; over a caption that has a line to spare; or soon after, where there
 * is time. One that finds no room is left out and told.
 */
final class SoundLabels {
  /** Seconds by which a label may come after its sound: no source. */
  private static final double LATEST = 1;

  /**
   * Nobody speaks a label, so it stands as long as what is read, among words that are heard too.
   */
  private static final CaptionRules READ = CaptionRules.USUAL;

  private final CaptionRules rules;
  private final FrameRate rate;
  private final boolean joins;
  private final List<Caption> captions;
  private final List<String> crowded = new ArrayList<>();

  /**
   * A sound that is told.
   *
   * @param sound its id
   * @param frame at which it lands
   * @param text such as "[knocking]"
   */
  record Label(String sound, long frame, String text) {}

  /**
   * @param said captions of what is said, in order
   * @param joins whether a label may stand over what is said
   */
  SoundLabels(List<Caption> said, CaptionRules rules, FrameRate rate, boolean joins) {
    this.captions = new ArrayList<>(said);
    this.rules = rules;
    this.rate = rate;
    this.joins = joins;
  }

  /** The captions with these among them, in the order they are seen. */
  List<Caption> among(List<Label> labels, List<Long> cuts) {
    labels.stream().sorted(Comparator.comparingLong(Label::frame)).forEach(this::put);
    List<Caption> judged = new ArrayList<>();
    long end = Long.MIN_VALUE / 4;
    for (Caption caption : captions) {
      judged.add(caption.judged(rules, rate, end, cuts));
      end = caption.at().end();
    }
    return judged;
  }

  /** The sounds that found no room, by their ids. */
  List<String> crowded() {
    return List.copyOf(crowded);
  }

  private void put(Label label) {
    if (!stands(label, label.frame) && !joined(label) && !standsLater(label)) {
      crowded.add(label.sound);
    }
  }

  /** Puts it where it begins at a frame, if it can stand there long enough. */
  private boolean stands(Label label, long from) {
    int next = after(from);
    long free = next > 0 ? captions.get(next - 1).at().end() + rules.apart() : Long.MIN_VALUE;
    long until =
        next < captions.size() ? captions.get(next).at().start() - rules.apart() : Long.MAX_VALUE;
    int letters = WordBreaks.columns(label.text);
    long wanted = rate.framesIn(Math.max(READ.least(), letters / READ.perSecond()));
    long end = Math.min(until, from + wanted);
    if (from < free || end - from < rate.framesIn(READ.shortest())) {
      return false;
    }
    captions.add(
        next, new Caption("", new FrameRange(from, end), List.of(label.text), List.of(), Set.of()));
    return true;
  }

  /** Puts it over the caption that stands then, or comes before it could be read. */
  private boolean joined(Label label) {
    long soon = label.frame + rate.framesIn(READ.shortest());
    for (int i = 0; joins && i < captions.size(); i++) {
      Caption caption = captions.get(i);
      boolean then = caption.at().start() <= soon && caption.at().end() > label.frame;
      if (then && !caption.line().isEmpty() && caption.lines().size() < rules.lines()) {
        captions.set(i, caption.under(label.text));
        return true;
      }
    }
    return false;
  }

  private boolean standsLater(Label label) {
    long latest = label.frame + rate.framesIn(LATEST);
    return captions.stream()
        .mapToLong(caption -> caption.at().end() + rules.apart())
        .filter(free -> free > label.frame && free <= latest)
        .sorted()
        .boxed()
        .toList()
        .stream()
        .anyMatch(free -> stands(label, free));
  }

  /** The place of the first caption that begins at or after a frame. */
  private int after(long frame) {
    int place = 0;
    while (place < captions.size() && captions.get(place).at().start() < frame) {
      place++;
    }
    return place;
  }
}
