package app.latethistle.core.music;

/** The beat period of a song over time. */
final class TempoCurve {
  private final double[] periods;
  private final double stepSeconds;
  private final double strength;

  /**
   * @param periods seconds a beat, in the middle of each step
   * @param stepSeconds from one period to the next
   * @param strength how well the periods fit the song, in standard deviations
   */
  TempoCurve(double[] periods, double stepSeconds, double strength) {
    this.periods = periods;
    this.stepSeconds = stepSeconds;
    this.strength = strength;
  }

  /** How well the periods fit the song, in standard deviations. */
  double strength() {
    return strength;
  }

  /** Seconds a beat at a time of the song. */
  double at(double seconds) {
    double x = Math.max(0, Math.min(periods.length - 1, seconds / stepSeconds - 0.5));
    int i = (int) x;
    int j = Math.min(i + 1, periods.length - 1);
    return periods[i] + (periods[j] - periods[i]) * (x - i);
  }

  /** The mean period in seconds. */
  double mean() {
    double sum = 0;
    for (double p : periods) {
      sum += p;
    }
    return sum / periods.length;
  }

  /** The same curve, its periods multiplied. */
  TempoCurve times(double factor) {
    double[] scaled = new double[periods.length];
    for (int i = 0; i < scaled.length; i++) {
      scaled[i] = periods[i] * factor;
    }
    return new TempoCurve(scaled, stepSeconds, strength);
  }

  /** Whether two curves are the same within a twentieth nearly everywhere. */
  boolean isLike(TempoCurve other) {
    int same = 0;
    for (int i = 0; i < periods.length; i++) {
      same += Math.abs(Math.log(periods[i] / other.periods[i])) < 0.05 ? 1 : 0;
    }
    return same > 0.8 * periods.length;
  }
}
