package app.latethistle.core.grade;

import app.latethistle.core.look.Correction;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What a picture's colours are like, in five numbers of CIE Lab that single things hardly move.
 *
 * @param lightness its median
 * @param spread of lightness: between the 10th and the 90th of a hundred
 * @param a mean of all, weighed by how near to neutral they are
 * @param b likewise
 * @param chroma its median
 */
public record Summary(double lightness, double spread, double a, double b, double chroma) {
  /** Chroma at which a colour counts half as much for what is neutral. */
  private static final double NEUTRAL = 20;

  /** Pixels of a picture that are looked at. */
  private static final int LOOKED_AT = 800;

  /** Of pictures as a correction shows them. */
  public static Summary of(List<ColourPicture> pictures, Correction correction) {
    return of(samples(pictures), Grading.of(correction));
  }

  /** Some pixels from all over pictures. */
  static List<Signal> samples(List<ColourPicture> pictures) {
    List<Signal> samples = new ArrayList<>();
    for (ColourPicture picture : pictures) {
      int wanted = Math.max(1, LOOKED_AT / pictures.size());
      double step = Math.max(1, Math.sqrt(picture.count() / (double) wanted));
      for (double y = step / 2; y < picture.height(); y += step) {
        for (double x = step / 2; x < picture.width(); x += step) {
          samples.add(Signal.of(picture.at((int) x, (int) y)));
        }
      }
    }
    return samples;
  }

  /** Of colours as they are graded. */
  static Summary of(List<Signal> samples, Grading grading) {
    int n = samples.size();
    double[] lightness = new double[n];
    double[] chroma = new double[n];
    double a = 0;
    double b = 0;
    double sum = 0;
    for (int i = 0; i < n; i++) {
      Lab lab = Lab.of(grading.apply(samples.get(i)).held());
      lightness[i] = lab.lightness();
      chroma[i] = lab.chroma();
      double weight = 1 / (1 + chroma[i] * chroma[i] / (NEUTRAL * NEUTRAL));
      a += weight * lab.a();
      b += weight * lab.b();
      sum += weight;
    }
    Arrays.sort(lightness);
    Arrays.sort(chroma);
    return new Summary(
        lightness[n / 2],
        lightness[n * 9 / 10] - lightness[n / 10],
        a / sum,
        b / sum,
        chroma[n / 2]);
  }

  /** The five in their order. */
  double[] numbers() {
    return new double[] {lightness, spread, a, b, chroma};
  }
}
