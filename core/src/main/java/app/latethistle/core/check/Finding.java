package app.latethistle.core.check;

import app.latethistle.core.time.FrameRange;
import app.latethistle.core.time.FrameRate;
import app.latethistle.core.time.SampleRange;
import java.util.List;
import java.util.Optional;

/**
 * What came of a check at a place.
 *
 * @param at frames of the film; empty if it is about the whole
 * @param item the id of the film's item it is about; "" for none
 * @param said one sentence without a full stop
 * @param mends what puts it right, the way that changes least first; none for what has to be done
 *     by hand
 */
public record Finding(
    Check check,
    Verdict verdict,
    Optional<FrameRange> at,
    String item,
    String said,
    List<Mend> mends) {
  public Finding {
    mends = List.copyOf(mends);
  }

  /** Of the whole. */
  public static Finding of(Check check, Verdict verdict, String said) {
    return new Finding(check, verdict, Optional.empty(), "", said, List.of());
  }

  /** At a place. */
  public static Finding at(FrameRange at, Check check, Verdict verdict, String said) {
    return new Finding(check, verdict, Optional.of(at), "", said, List.of());
  }

  /** The frames that some samples of a film fall on, one at least. */
  static FrameRange frames(SampleRange at, FrameRate rate) {
    long start = Math.max(0, rate.frameAt(at.start()));
    return new FrameRange(start, Math.max(start + 1, rate.frameAt(at.end())));
  }

  /** Of an item of the film. */
  public Finding about(String newItem) {
    return new Finding(check, verdict, at, newItem, said, mends);
  }

  /** With what puts it right. */
  public Finding with(List<Mend> ways) {
    return new Finding(check, verdict, at, item, said, ways);
  }
}
