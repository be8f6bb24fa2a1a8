package app.latethistle.server.material;

import app.latethistle.core.look.Fit;
import app.latethistle.core.measure.MoveVerdict;
import app.latethistle.core.measure.TakeFacts;
import app.latethistle.core.story.StoryShot;
import app.latethistle.core.take.PictureShape;
import app.latethistle.core.time.FrameRange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Measured facts as the page shows them: in seconds, and what is wrong in words. */
public final class MeasuredWords {
  private static final int MOTION = 24;

  /** Below this a picture is soft; found on the scene painter's soft and sharp clips. */
  private static final double SOFT = 0.5;

  /**
   * A clip with so many jumps is one that a hand shook, not one whose pictures fail: common
   * practice, no source. Generated clips jump once or twice.
   */
  private static final int SHAKY = 4;

  /** Fewer pictures a second than this look coarse in a film of 24. */
  private static final double COARSE = 20;

  private MeasuredWords() {}

  static FactsView view(TakeFacts f, StoryShot wanted, PictureShape shape, PictureShape film) {
    double rate = f.rate();
    MoveVerdict verdict =
        wanted == null || f.frames() < 2 ? null : MoveVerdict.of(wanted.move(), f.travel());
    return new FactsView(
        rate,
        f.realRate(),
        f.repeated(),
        seconds(f.frozen(), rate),
        seconds(f.black(), rate),
        seconds(f.flicker(), rate),
        f.jumps().stream().map(j -> j / rate).toList(),
        seconds(f.warps(), rate),
        f.sharpness(),
        f.softest() / rate,
        motion(f.motion()),
        f.travel(),
        MoveVerdict.name(f.travel()),
        100 * f.travel().greatest(),
        verdict,
        f.marks(),
        stretch(f.usable(), rate),
        troubles(f, verdict, shape, film));
  }

  private static List<FactsView.Stretch> seconds(List<FrameRange> spans, double rate) {
    return spans.stream().map(s -> stretch(s, rate)).toList();
  }

  private static FactsView.Stretch stretch(FrameRange span, double rate) {
    return new FactsView.Stretch(span.start() / rate, span.end() / rate);
  }

  private static List<Double> motion(List<Float> motion) {
    double[] out = new double[MOTION];
    double most = 1e-9;
    for (int i = 0; i < motion.size(); i++) {
      int slot = i * MOTION / motion.size();
      out[slot] = Math.max(out[slot], motion.get(i));
      most = Math.max(most, motion.get(i));
    }
    double greatest = most;
    return Arrays.stream(out).mapToObj(m -> m / greatest).toList();
  }

  /** What is wrong, the gravest first. */
  private static List<String> troubles(
      TakeFacts f, MoveVerdict verdict, PictureShape shape, PictureShape film) {
    List<String> said = new ArrayList<>(faults(f));
    MoveVerdict.Match match = verdict == null ? MoveVerdict.Match.AS_ASKED : verdict.match();
    if (match == MoveVerdict.Match.OTHER) {
      said.add(verdict.inWords());
    }
    String rate = String.format(Locale.ROOT, "%.0f pictures a second", f.realRate());
    boolean coarse = f.frames() > 1 && f.realRate() < 0.85 * f.rate();
    if (isShaky(f)) {
      said.add("shaky" + (coarse || f.rate() < COARSE ? ", " + rate : ""));
    } else if (coarse) {
      said.add(rate + String.format(Locale.ROOT, " in %.0f", f.rate()));
    }
    if (f.sharpness() < SOFT) {
      said.add("soft");
    }
    if (!f.marks().isEmpty()) {
      said.add("mark in the corner");
    }
    if (match == MoveVerdict.Match.WEAK) {
      said.add("hardly moves: " + verdict.inWords());
    }
    if (Fit.lossWhenFilled(shape, film) >= Fit.FILL_LOSS) {
      said.add("other shape than the film");
    }
    return said;
  }

  /** What of it cannot be shown, the gravest first. */
  public static List<String> faults(TakeFacts f) {
    List<String> said = new ArrayList<>();
    double rate = f.rate();
    add(said, "black", f.black(), rate);
    add(said, "frozen", f.frozen(), rate);
    if (!f.jumps().isEmpty() && !isShaky(f)) {
      said.add(
          "jumps at "
              + f.jumps().stream()
                  .map(j -> String.format(Locale.ROOT, "%.1f", j / rate))
                  .collect(Collectors.joining(", "))
              + " s");
    }
    add(said, "warps", f.warps(), rate);
    add(said, "flickers", f.flicker(), rate);
    return said;
  }

  private static boolean isShaky(TakeFacts f) {
    return f.jumps().size() >= SHAKY;
  }

  private static void add(List<String> said, String what, List<FrameRange> spans, double rate) {
    if (!spans.isEmpty()) {
      int more = spans.size() - 1;
      String again = more == 0 ? "" : more == 1 ? " and once more" : " and " + more + " more times";
      said.add(span(what, spans.get(0), rate) + again);
    }
  }

  private static String span(String what, FrameRange span, double rate) {
    return String.format(
        Locale.ROOT, "%s %.1f to %.1f s", what, span.start() / rate, span.end() / rate);
  }
}
