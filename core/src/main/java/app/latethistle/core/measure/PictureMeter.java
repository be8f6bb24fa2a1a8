package app.latethistle.core.measure;

import app.latethistle.core.Refused;
import app.latethistle.core.take.Box;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Measures a take from its pictures, one after the other. Not for use by several threads. */
public final class PictureMeter {
  /** Frames from one sample of sharpness to the next. */
  private static final int SHARPNESS_STEP = 4;

  /** A picture is black if this share of it is at most {@link #BLACK} of the range bright. */
  private static final double BLACK_SHARE = 0.98;

  private static final double BLACK = 0.10 * 255;
  private static final double BLACK_SECONDS = 0.1;

  private final int width;
  private final int height;
  private final double rate;
  private final RepeatFinder repeating;
  private final CameraTrack camera = new CameraTrack();
  private final CornerEdges edges;
  private final List<Double> levels = new ArrayList<>();
  private final List<Double> blackShares = new ArrayList<>();
  private final List<Float> sharpness = new ArrayList<>();
  private final List<byte[]> thumbnails = new ArrayList<>();
  private int frames;

  /**
   * Begins.
   *
   * @param width of the grey planes in pixels, 32 or more
   * @param height of them, 32 or more
   * @param rate pictures a second
   */
  public PictureMeter(int width, int height, double rate) {
    if (width < 32 || height < 32 || !(rate > 0)) {
      throw new Refused(
          "Pictures of " + width + "x" + height + " at " + rate + " a second cannot be measured.");
    }
    this.width = width;
    this.height = height;
    this.rate = rate;
    this.repeating = new RepeatFinder(rate);
    this.edges = new CornerEdges(width, height);
  }

  /**
   * What came out: the facts, and the edges that stay in the corners, to compare with other takes.
   */
  public record Measured(TakeFacts facts, CornerEdges edges) {}

  /** Takes the next picture: width x height bytes, full range. */
  public void add(byte[] plane) {
    Gray picture = Gray.of(width, height, plane);
    Gray half = picture.half();
    levels.add(half.mean());
    blackShares.add(blackShare(plane));
    repeating.add(half);
    camera.add(half);
    Gray small = half.half().half();
    byte[] kept = new byte[small.data.length];
    for (int i = 0; i < kept.length; i++) {
      kept[i] = (byte) small.data[i];
    }
    thumbnails.add(kept);
    if (frames % SHARPNESS_STEP == 0) {
      sharpness.add((float) Sharpness.of(picture));
      edges.add(picture);
    }
    frames++;
  }

  private static double blackShare(byte[] plane) {
    int dark = 0;
    for (byte v : plane) {
      dark += (v & 0xff) <= BLACK ? 1 : 0;
    }
    return dark / (double) plane.length;
  }

  /**
   * Ends, and says what was measured.
   *
   * @throws IllegalStateException if there was no picture
   */
  public Measured finish() {
    if (frames == 0) {
      throw new IllegalStateException("No picture was measured.");
    }
    List<FrameRange> frozen = repeating.frozen();
    List<FrameRange> black = blackSpans();
    double[] level = levels.stream().mapToDouble(d -> d).toArray();
    List<FrameRange> flicker = Brightness.flicker(level, rate);
    boolean[] repeats = repeating.all();
    int repeated = repeating.repeats().size();
    int free = 0;
    for (int i = 1; i < frames; i++) {
      free += inside(frozen, i) ? 0 : 1;
    }
    Continuity continuity = Continuity.of(camera.steps(), repeats, flicker, black, thumbnails);
    Travel travel = camera.stands() ? Travel.NONE : continuity.travel(camera.steps());
    List<Float> motion = new ArrayList<>();
    for (int i = 0; i < frames; i++) {
      motion.add(i == 0 ? 0 : (float) (1000 * camera.steps().get(i - 1).travel().greatest()));
    }
    float[] samples = new float[sharpness.size()];
    int softest = 0;
    for (int i = 0; i < samples.length; i++) {
      samples[i] = sharpness.get(i);
      softest = samples[i] < samples[softest] ? i : softest;
    }
    List<Box> marks = edges.marks(travel);
    TakeFacts facts =
        new TakeFacts(
            frames,
            rate,
            free == 0 ? rate : rate * (free - repeated) / free,
            repeated,
            frozen,
            black,
            flicker,
            continuity.jumps(),
            continuity.warps(),
            median(samples),
            softest * SHARPNESS_STEP,
            motion,
            travel,
            marks,
            usable(frozen, black, flicker, continuity));
    return new Measured(facts, edges);
  }

  private List<FrameRange> blackSpans() {
    List<FrameRange> spans = new ArrayList<>();
    int from = -1;
    for (int i = 0; i <= frames; i++) {
      boolean black = i < frames && blackShares.get(i) >= BLACK_SHARE;
      if (black && from < 0) {
        from = i;
      } else if (!black && from >= 0) {
        if (i - from >= BLACK_SECONDS * rate) {
          spans.add(new FrameRange(from, i));
        }
        from = -1;
      }
    }
    return spans;
  }

  static boolean inside(List<FrameRange> spans, int frame) {
    return spans.stream().anyMatch(s -> s.contains(frame));
  }

  private FrameRange usable(
      List<FrameRange> frozen,
      List<FrameRange> black,
      List<FrameRange> flicker,
      Continuity continuity) {
    boolean[] bad = new boolean[frames];
    for (List<FrameRange> spans : List.of(frozen, black, flicker, continuity.warps())) {
      for (FrameRange span : spans) {
        Arrays.fill(bad, (int) span.start(), (int) Math.min(frames, span.end()), true);
      }
    }
    FrameRange best = new FrameRange(0, 0);
    int from = 0;
    for (int i = 0; i <= frames; i++) {
      boolean breaks = i == frames || bad[i] || continuity.jumps().contains(i);
      if (breaks) {
        best = i - from > best.length() ? new FrameRange(from, i) : best;
        from = i < frames && bad[i] ? i + 1 : i;
      }
    }
    return best;
  }

  private static double median(float[] values) {
    float[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }
}
