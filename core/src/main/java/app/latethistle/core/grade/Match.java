package app.latethistle.core.grade;

import app.latethistle.core.look.Cdl;
import app.latethistle.core.look.Correction;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What brings a shot to look like the key shot.
 *
 * <p>Where both show the same places, the numbers are those under which the places look alike,
 * found by least squares with what does not fit weighed down (Cauchy's weights); what the five
 * cannot say goes into a list. Where they share none, what the two show explains part of any
 * difference: the likeliest five are sought, given how much shots differ by what they show and how
 * much by how they were made, and where they are very unlike little is done. So it is where places
 * of one shape differ by more than clips do for how they were made.
 *
 * @param correction of the shot
 * @param by what it was found from
 */
public record Match(Correction correction, By by) {
  /** What a match is found from. */
  public enum By {
    /** Places that both show. */
    PLACES,
    /** What their colours are like as a whole. */
    WHOLE
  }

  /** What is usual in how clips differ that were made apart, one standard deviation of each. */
  private static final double[] USUAL = {60, 30, 25, 20, 30};

  /** What a list does beyond the five: slopes, offsets, powers, saturation. */
  private static final double[] USUAL_LIST = {.15, .15, .15, .03, .03, .03, .15, .15, .15, .15};

  /**
   * How much two pictures of one setting differ by what they show: see {@link Summary}. Two and a
   * half times what parts of one photograph do (68 of 100 of them), for shots show other things.
   */
  private static final double[] CONTENT = {12, 19, 5, 14, 9};

  /**
   * What lies beyond two thirds of that counts for less than half (weights after Geman and McClure
   * 1987): pictures that are so unlike show other things.
   */
  private static final double HELD_BACK = 1.5;

  /** Windows lie side by side and err together: about ten tell as much as one alone would. */
  private static final double ALONE = Math.sqrt(10);

  /** How strongly a match is made where it is not said. */
  public static final double USUAL_STRENGTH = 0.5;

  private static final int ROUNDS = 4;

  /**
   * In standard deviations: one clip in hundreds differs by more for how it was made, so that what
   * it shows is the likelier reason.
   */
  private static final double FARTHEST = 3;

  /** Windows that places are believed from. */
  private static final int ENOUGH = 50;

  /** CIE Lab; places that are further apart count for less than half. */
  private static final double ALIKE = 2;

  /** Between pictures of each, several frames of a clip, as strongly as usual. */
  public static Match between(List<ColourPicture> key, List<ColourPicture> shot) {
    return KeyPictures.of(key, Correction.NONE).match(shot, USUAL_STRENGTH);
  }

  static Match of(KeyPictures key, List<ColourPicture> shot, double strength) {
    ColourPicture picture = KeyPictures.middle(shot);
    List<PairedColours> pairs =
        SharedPlaces.of(Landmarks.of(picture), key.landmarks())
            .map(there -> PairedColours.of(picture, key.picture(), there))
            .orElse(List.of());
    return Optional.of(pairs)
        .filter(some -> some.size() >= ENOUGH)
        .flatMap(Match::byPlaces)
        .map(correction -> new Match(correction, By.PLACES))
        .orElseGet(
            () -> new Match(byWhole(key.summary(), Summary.samples(shot), strength), By.WHOLE));
  }

  /** Empty where the places are of one shape and of other things, as two doors are. */
  private static Optional<Correction> byPlaces(List<PairedColours> pairs) {
    double[] none = new double[5];
    double[] five = robust(pairs, none, USUAL, n -> Grading.of(five(n), Cdl.NONE));
    Correction plain = Correction.of(five(five).rounded());
    Exact rounded = Exact.of(plain.basics());
    double[] list = robust(pairs, Lists.NEUTRAL, USUAL_LIST, n -> Grading.of(rounded, Lists.of(n)));
    return isLikely(five, none, USUAL) && isLikely(list, Lists.NEUTRAL, USUAL_LIST)
        ? Optional.of(plain.withCdl(Lists.of(list)))
        : Optional.empty();
  }

  private static boolean isLikely(double[] numbers, double[] start, double[] usual) {
    for (int i = 0; i < numbers.length; i++) {
      if (Math.abs(numbers[i] - start[i]) > FARTHEST * usual[i]) {
        return false;
      }
    }
    return true;
  }

  private interface Made {
    Grading of(double[] numbers);
  }

  private static double[] robust(
      List<PairedColours> pairs, double[] start, double[] usual, Made made) {
    int n = pairs.size();
    double[] weights = new double[n];
    Arrays.fill(weights, 1);
    Lab[] wanted = pairs.stream().map(p -> Lab.of(p.key())).toArray(Lab[]::new);
    double[] numbers = start;
    for (int round = 0; round < ROUNDS; round++) {
      numbers =
          Fitting.least(
              numbers,
              3 * n + start.length,
              (now, residuals) -> {
                Grading grading = made.of(now);
                for (int i = 0; i < n; i++) {
                  Lab off = Lab.of(grading.apply(pairs.get(i).shot())).minus(wanted[i]);
                  double w = Math.sqrt(weights[i]);
                  residuals[3 * i] = w * off.lightness();
                  residuals[3 * i + 1] = w * off.a();
                  residuals[3 * i + 2] = w * off.b();
                }
                for (int i = 0; i < start.length; i++) {
                  residuals[3 * n + i] = ALONE * (now[i] - start[i]) / usual[i];
                }
              });
      Grading grading = made.of(numbers);
      for (int i = 0; i < n; i++) {
        Lab off = Lab.of(grading.apply(pairs.get(i).shot())).minus(wanted[i]);
        weights[i] = 1 / (1 + sq(off.length() / ALIKE));
      }
    }
    return numbers;
  }

  private static Correction byWhole(Summary key, List<Signal> shot, double strength) {
    double content = Math.pow(10, 1 - 2 * strength);
    double heldBack = HELD_BACK * 2 * (1 - strength);
    double[] wanted = key.numbers();
    double[] numbers = new double[5];
    double[] weights = new double[5];
    for (int round = 0; round < ROUNDS; round++) {
      double[] is = Summary.of(shot, Grading.of(five(numbers), Cdl.NONE)).numbers();
      for (int i = 0; i < 5; i++) {
        weights[i] = 1 / (1 + sq(heldBack * (is[i] - wanted[i]) / CONTENT[i]));
      }
      numbers =
          Fitting.least(
              numbers,
              10,
              (now, residuals) -> {
                double[] there = Summary.of(shot, Grading.of(five(now), Cdl.NONE)).numbers();
                for (int i = 0; i < 5; i++) {
                  residuals[i] = weights[i] * (there[i] - wanted[i]) / (CONTENT[i] * content);
                  residuals[5 + i] = now[i] / USUAL[i];
                }
              });
    }
    return Correction.of(five(numbers).rounded());
  }

  private static Exact five(double[] n) {
    return new Exact(n[0], n[1], n[2], n[3], Math.max(-100, n[4]));
  }

  private static double sq(double v) {
    return v * v;
  }
}
