package app.latethistle.core.grade;

import app.latethistle.core.look.Cdl;
import java.util.List;

/** The colour decision list that comes nearest to a grading. */
public final class NearestList {
  private NearestList() {}

  /** By least squares over the colours of some pictures. */
  public static Cdl of(Grading grading, List<ColourPicture> pictures) {
    List<Signal> samples = Summary.samples(pictures);
    List<Signal> wanted = samples.stream().map(s -> grading.apply(s).held()).toList();
    double[] found =
        Fitting.least(
            Lists.NEUTRAL,
            3 * samples.size(),
            (numbers, residuals) -> {
              Cdl list = Lists.of(numbers);
              for (int i = 0; i < samples.size(); i++) {
                Signal is = Grading.listed(list, samples.get(i), /* held= */ false);
                residuals[3 * i] = is.red() - wanted.get(i).red();
                residuals[3 * i + 1] = is.green() - wanted.get(i).green();
                residuals[3 * i + 2] = is.blue() - wanted.get(i).blue();
              }
            });
    return Lists.of(found);
  }
}
