package app.latethistle.core.grade;

import org.ddogleg.optimization.FactoryOptimization;
import org.ddogleg.optimization.UnconstrainedLeastSquares;
import org.ddogleg.optimization.functions.FunctionNtoM;
import org.ejml.data.DMatrixRMaj;

/** Least squares from a start on (Levenberg and Marquardt, by DDogleg), in a few steps. */
final class Fitting {
  private static final int STEPS = 12;

  private Fitting() {}

  /** How far off some numbers are. */
  @FunctionalInterface
  interface Residuals {
    void of(double[] numbers, double[] residuals);
  }

  /**
   * The numbers with the least sum of squares that is found from a start.
   *
   * @param count of residuals
   */
  static double[] least(double[] start, int count, Residuals residuals) {
    FunctionNtoM function =
        new FunctionNtoM() {
          @Override
          public void process(double[] input, double[] output) {
            residuals.of(input, output);
          }

          @Override
          public int getNumOfInputsN() {
            return start.length;
          }

          @Override
          public int getNumOfOutputsM() {
            return count;
          }
        };
    UnconstrainedLeastSquares<DMatrixRMaj> search =
        FactoryOptimization.levenbergMarquardt(null, /* robust= */ true);
    search.setFunction(function, null);
    search.initialize(start.clone(), 1e-6, 1e-6);
    for (int i = 0; i < STEPS && !search.iterate(); i++) {}
    return search.getParameters().clone();
  }
}
