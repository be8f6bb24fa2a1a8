package app.latethistle.core.release;

import app.latethistle.core.measure.Sharpness;
import app.latethistle.core.people.FaceFinder;
import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import app.latethistle.core.type.Legibility;
import java.util.Arrays;

/**
 * How well a picture does as a thumbnail, which is seen small.
 *
 * @param sharpness 0 to 100, of the picture as it is drawn
 * @param contrast of the lightest tenth to the darkest at 120 pixels across, by WCAG's ratio, 1 to
 *     21
 * @param faces how many it shows
 */
public record ThumbnailScore(int sharpness, double contrast, int faces) {
  /** Pixels across at which a list of films shows it. */
  private static final int SMALL = 120;

  private static final double TENTH = 0.1;

  /** How much more a picture with somebody in it is looked at; common practice, no source. */
  private static final double SOMEBODY = 1.5;

  /** Of a picture 640 or so across. */
  public static ThumbnailScore of(Frame frame) {
    byte[] luma = Arrays.copyOf(frame.data(), frame.width() * frame.height());
    double sharp = Sharpness.of(frame.width(), frame.height(), luma);
    return new ThumbnailScore(
        (int) Math.round(100 * sharp), contrast(frame), FaceFinder.in(frame).size());
  }

  private static double contrast(Frame frame) {
    int[] rgb = new int[frame.width() * frame.height()];
    Rgb.fromFrame(frame, rgb);
    int step = Math.max(1, frame.width() / SMALL);
    int across = frame.width() / step;
    int down = frame.height() / step;
    double[] luminances = new double[across * down];
    for (int y = 0; y < down; y++) {
      for (int x = 0; x < across; x++) {
        luminances[y * across + x] = mean(rgb, frame.width(), x * step, y * step, step);
      }
    }
    Arrays.sort(luminances);
    int tenth = Math.max(1, (int) (TENTH * luminances.length));
    double dark = Arrays.stream(luminances, 0, tenth).average().orElse(0);
    double light =
        Arrays.stream(luminances, luminances.length - tenth, luminances.length).average().orElse(0);
    return Legibility.ratio(light, dark);
  }

  /** The mean luminance of a square. */
  private static double mean(int[] rgb, int width, int left, int top, int side) {
    double sum = 0;
    for (int y = top; y < top + side; y++) {
      for (int x = left; x < left + side; x++) {
        sum += Legibility.luminance(rgb[y * width + x]);
      }
    }
    return sum / (side * side);
  }

  /** The better, the more; all of it counts. */
  public double value() {
    return (faces > 0 ? SOMEBODY : 1) * sharpness * Math.log(contrast);
  }
}
