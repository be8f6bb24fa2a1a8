package app.latethistle.server.stored;

import app.latethistle.core.time.SampleRange;
import java.util.List;

/** A range of samples as it is stored: its start is in it, its end is not. */
record StoredSamples(long start, long end) {
  static StoredSamples of(SampleRange range) {
    return new StoredSamples(range.start(), range.end());
  }

  static List<StoredSamples> of(List<SampleRange> ranges) {
    return ranges.stream().map(StoredSamples::of).toList();
  }

  SampleRange range() {
    return new SampleRange(start, end);
  }
}
