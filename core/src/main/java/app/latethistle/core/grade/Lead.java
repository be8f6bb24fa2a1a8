package app.latethistle.core.grade;

import app.latethistle.core.look.Basics;
import app.latethistle.core.look.Correction;
import app.latethistle.core.look.Curves;
import app.latethistle.core.look.Tones;
import java.util.Arrays;
import java.util.List;

/**
 * What leads a shot that is meant to differ towards the key shot: half of the way in white, blacks
 * and saturation, nothing in brightness and contrast. A night stays one beside a lantern, in the
 * film that both belong to.
 */
final class Lead {
  /** How much of the way it goes: common practice, no source. */
  private static final double SHARE = 0.5;

  /** The furthest it goes, of each number. */
  private static final double MOST = 25;

  /** In thousandths of the signal. */
  private static final int MOST_BLACKS = 30;

  /** The darkest of the picture that is more than a speck. */
  private static final double DARK = 0.02;

  private Lead() {}

  static Correction of(List<Signal> key, Summary wanted, List<Signal> shot) {
    Summary is = Summary.of(shot, Grading.of(Correction.NONE));
    double[] goal = {
      is.a() + SHARE * (wanted.a() - is.a()),
      is.b() + SHARE * (wanted.b() - is.b()),
      is.chroma() + SHARE * (wanted.chroma() - is.chroma())
    };
    double[] three =
        Fitting.least(
            new double[3],
            6,
            (now, residuals) -> {
              Summary there = Summary.of(shot, Grading.of(exact(now), Tones.NONE));
              residuals[0] = there.a() - goal[0];
              residuals[1] = there.b() - goal[1];
              residuals[2] = there.chroma() - goal[2];
              for (int i = 0; i < 3; i++) {
                residuals[3 + i] = now[i] / (4 * MOST);
              }
            });
    long blacks = Math.round(1000 * SHARE * (dark(key) - dark(shot)));
    Basics basics = exact(three).rounded();
    return Correction.of(basics)
        .withTones(
            new Tones(
                Tones.GREY,
                (int) Math.max(-MOST_BLACKS, Math.min(MOST_BLACKS, blacks)),
                0,
                0,
                0,
                0,
                Curves.NONE));
  }

  private static Exact exact(double[] three) {
    return new Exact(0, 0, held(three[0]), held(three[1]), held(three[2]));
  }

  private static double held(double value) {
    return Math.max(-MOST, Math.min(MOST, value));
  }

  private static double dark(List<Signal> samples) {
    double[] lumas = samples.stream().mapToDouble(Signal::luma).sorted().toArray();
    return Arrays.stream(lumas).skip((long) (DARK * lumas.length)).findFirst().orElse(0);
  }
}
