package app.latethistle.core.check;

import app.latethistle.core.signal.Loudness;
import app.latethistle.core.signal.PeakMeter;
import app.latethistle.core.time.SampleRange;
import java.util.ArrayList;
import java.util.List;

/**
 * What was heard of a sound.
 *
 * @param length in samples at 48 kHz
 * @param integrated in LUFS (ITU-R BS.1770-4); negative infinity if it is silent
 * @param range in LU (EBU Tech 3342)
 * @param truePeak in dBTP
 * @param silent where both sides stay under -60 dBFS for half a second or more
 * @param clicks samples at which there is a click
 */
public record SoundTrace(
    long length,
    double integrated,
    double range,
    double truePeak,
    List<SampleRange> silent,
    List<Long> clicks) {
  /** Under this nothing is heard: -60 dBFS (as ffmpeg's silencedetect has it by default). */
  private static final float QUIET = 0.001f;

  private static final int LEAST = 24_000;

  public SoundTrace {
    silent = List.copyOf(silent);
    clicks = List.copyOf(clicks);
  }

  /** Hears a sound block by block. */
  public static final class Reader {
    private final Loudness.Meter meter = new Loudness.Meter();
    private final PeakMeter peaks = new PeakMeter();
    private final Clicks left = new Clicks();
    private final Clicks right = new Clicks();
    private final List<SampleRange> silent = new ArrayList<>();
    private long at;
    private long quietSince;

    /**
     * Takes more of it.
     *
     * @param stereo left and right in turn at 48 kHz
     * @param count samples of each side
     */
    public void add(float[] stereo, int count) {
      add(stereo, stereo, count);
    }

    /**
     * The same, with clicks sought in a part of it alone: sounds that are laid to strike are not to
     * be told as clicks.
     *
     * @param joined what is cut and joined, left and right in turn
     */
    public void add(float[] stereo, float[] joined, int count) {
      meter.add(stereo, count);
      peaks.add(stereo, count);
      left.add(joined, 0, count);
      right.add(joined, 1, count);
      for (int i = 0; i < count; i++) {
        if (Math.abs(stereo[2 * i]) >= QUIET || Math.abs(stereo[2 * i + 1]) >= QUIET) {
          endSilence(at + i);
          quietSince = at + i + 1;
        }
      }
      at += count;
    }

    private void endSilence(long end) {
      if (end - quietSince >= LEAST) {
        silent.add(new SampleRange(quietSince, end));
      }
    }

    /** What was heard. To be asked once, at the end. */
    public SoundTrace trace() {
      endSilence(at);
      return new SoundTrace(
          at,
          meter.integrated(),
          meter.range(),
          peaks.decibels(),
          silent,
          Clicks.together(left.found(), right.found()));
    }
  }
}
