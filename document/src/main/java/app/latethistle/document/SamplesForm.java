package app.latethistle.document;

import app.latethistle.core.time.SampleRange;
import java.util.List;

/** How a range of samples is written: its start is in it, its end is not. */
public record SamplesForm(long start, long end) {
  public static SamplesForm of(SampleRange range) {
    return new SamplesForm(range.start(), range.end());
  }

  public static List<SamplesForm> of(List<SampleRange> ranges) {
    return ranges.stream().map(SamplesForm::of).toList();
  }

  public SampleRange range() {
    return new SampleRange(start, end);
  }
}
