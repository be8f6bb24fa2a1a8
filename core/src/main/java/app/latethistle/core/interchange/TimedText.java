package app.latethistle.core.interchange;

import app.latethistle.core.caption.Caption;
import app.latethistle.core.time.FrameRate;
import java.util.List;

/**
 * A caption in milliseconds, as caption files have them.
 *
 * @param start its first millisecond
 * @param end the one after its last
 * @param lines its text
 * @param voice who speaks it; "" where that is not told
 */
public record TimedText(long start, long end, List<String> lines, String voice) {
  /** One that nobody is named for. */
  public TimedText(long start, long end, List<String> lines) {
    this(start, end, lines, "");
  }

  public TimedText {
    lines = List.copyOf(lines);
  }

  /** A caption of a film, each end at the millisecond nearest to its frame's start. */
  public static TimedText of(Caption caption, FrameRate rate) {
    return new TimedText(
        ms(rate, caption.at().start()), ms(rate, caption.at().end()), caption.lines());
  }

  /** The same spoken by somebody. */
  TimedText by(String speaker) {
    return new TimedText(start, end, lines, speaker);
  }

  private static long ms(FrameRate rate, long frame) {
    return Math.round(rate.secondsOf(frame) * 1000);
  }
}
