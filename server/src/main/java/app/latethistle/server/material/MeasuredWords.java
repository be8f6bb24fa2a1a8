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

/** Measured facts as the page shows them: in seconds, and what is wrong in words. */
final class MeasuredWords {
  private static final int MOTION = 24;

  /** Below this a picture is soft; found on the scene painter's soft and sharp clips. */
  private static final double SOFT = 0.5;

  private MeasuredWords() {}

  static FactsView view(TakeFacts f, StoryShot wanted, PictureShape shape, PictureShape film) {
    double rate = f.rate();
    MoveVerdict verdict =
        wanted == null || f.frames() < 2 ? null : MoveVerdict.of(wanted.move(), f.travel());
    return new FactsView(
        rate,
        f.realRate(),
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

  private static List<String> troubles(
      TakeFacts f, MoveVerdict verdict, PictureShape shape, PictureShape film) {
    List<String> said = new ArrayList<>();
    double rate = f.rate();
    if (verdict != null && verdict.match() != MoveVerdict.Match.AS_ASKED) {
      said.add(
          verdict.match() == MoveVerdict.Match.WEAK
              ? "hardly moves: " + verdict.inWords()
              : verdict.inWords());
    }
    f.jumps().forEach(j -> said.add(String.format(Locale.ROOT, "jumps at %.1f s", j / rate)));
    f.warps().forEach(w -> said.add(span("warps", w, rate)));
    f.frozen().forEach(s -> said.add(span("frozen", s, rate)));
    f.black().forEach(s -> said.add(span("black", s, rate)));
    f.flicker().forEach(s -> said.add(span("flickers", s, rate)));
    if (f.frames() > 1 && f.realRate() < 0.85 * rate) {
      said.add(String.format(Locale.ROOT, "%.0f pictures a second in %.0f", f.realRate(), rate));
    }
    if (f.sharpness() < SOFT) {
      said.add("soft");
    }
    if (!f.marks().isEmpty()) {
      said.add("mark in the corner");
    }
    if (Fit.lossWhenFilled(shape, film) >= Fit.FILL_LOSS) {
      said.add("other shape than the film");
    }
    return said;
  }

  private static String span(String what, FrameRange span, double rate) {
    return String.format(
        Locale.ROOT, "%s %.1f to %.1f s", what, span.start() / rate, span.end() / rate);
  }
}
