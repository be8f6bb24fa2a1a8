package app.latethistle.core.type;

import app.latethistle.core.picture.Frame;
import app.latethistle.core.picture.Rgb;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Whether letters can be read over what is behind them: for each letter the contrast of its colour
 * with the pixels in and around it, plate and shadow among them, by WCAG 2.2's ratio of relative
 * luminances. The worst tenth of a letter's pixels decides.
 *
 * @param letters in the order they are seen
 * @param needed 3 for large letters, 4.5 for small ones (WCAG 2.2, success criterion 1.4.3)
 */
public record Legibility(List<LetterContrast> letters, double needed) {
  /** Letters of this many lines of a picture 1080 high are large (24 px: WCAG's 18 points). */
  private static final double LARGE = 24.0 / 1080;

  private static final double LARGE_NEEDED = 3;
  private static final double SMALL_NEEDED = 4.5;

  /** Of what has no letters that must be read. */
  static final Legibility NOT_ASKED = new Legibility(List.of(), LARGE_NEEDED);

  private static final double[] LINEAR = new double[256];

  static {
    for (int i = 0; i < 256; i++) {
      double v = i / 255.0;
      LINEAR[i] = v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }
  }

  /** How far around a letter is looked, in its size (no source). */
  private static final double AROUND = 0.12;

  /**
   * A letter's contrast.
   *
   * @param text the letter
   * @param ratio 1 to 21, in the worst tenth of its pixels
   * @param box where it stands, in pixels
   */
  public record LetterContrast(String text, double ratio, Rectangle2D box) {}

  public Legibility {
    letters = List.copyOf(letters);
  }

  /**
   * Of a writing as it has arrived.
   *
   * @param behind what is behind the letters, with plate and shadow already on it
   * @param text the letters
   * @param colour theirs, red, green, blue in 24 bits
   */
  static Legibility of(Frame behind, SetText text, int colour) {
    int[] rgb = new int[behind.width() * behind.height()];
    Rgb.fromFrame(behind, rgb);
    double own = luminance(colour);
    List<LetterContrast> letters = new ArrayList<>();
    for (SetLine line : text.lines()) {
      String said = line.shaped().text();
      for (Letter letter : line.shaped().letters()) {
        Rectangle2D ink = letter.outline().getBounds2D();
        if (ink.isEmpty()) {
          continue;
        }
        double by = AROUND * line.size();
        Rectangle2D box =
            new Rectangle2D.Double(
                line.x() + ink.getX() - by,
                line.y() + ink.getY() - by,
                ink.getWidth() + 2 * by,
                ink.getHeight() + 2 * by);
        double ratio = worstTenth(rgb, behind.width(), behind.height(), box, own);
        String one = said.substring(letter.at(), said.offsetByCodePoints(letter.at(), 1));
        letters.add(new LetterContrast(one, ratio, box));
      }
    }
    boolean large = text.letterSize() >= LARGE * Math.min(behind.width(), behind.height());
    return new Legibility(letters, large ? LARGE_NEEDED : SMALL_NEEDED);
  }

  private static double worstTenth(int[] rgb, int width, int height, Rectangle2D box, double own) {
    int left = Math.max(0, (int) box.getMinX());
    int right = Math.min(width, (int) Math.ceil(box.getMaxX()));
    int top = Math.max(0, (int) box.getMinY());
    int bottom = Math.min(height, (int) Math.ceil(box.getMaxY()));
    if (left >= right || top >= bottom) {
      return 21;
    }
    double[] ratios = new double[(right - left) * (bottom - top)];
    int n = 0;
    for (int y = top; y < bottom; y++) {
      for (int x = left; x < right; x++) {
        ratios[n++] = ratio(own, luminance(rgb[y * width + x]));
      }
    }
    Arrays.sort(ratios);
    return ratios[(n - 1) / 10];
  }

  /** The worst of several frames, letter by letter. */
  public static Legibility worst(List<Legibility> frames) {
    Legibility first = frames.get(0);
    List<LetterContrast> letters = new ArrayList<>();
    for (int i = 0; i < first.letters.size(); i++) {
      LetterContrast worst = first.letters.get(i);
      for (Legibility frame : frames) {
        if (frame.letters.get(i).ratio < worst.ratio) {
          worst = frame.letters.get(i);
        }
      }
      letters.add(worst);
    }
    return new Legibility(letters, first.needed);
  }

  /** The least contrast of all letters; 21 if there are none. */
  public double least() {
    return letters.stream().mapToDouble(LetterContrast::ratio).min().orElse(21);
  }

  /** The contrast of the letter in the middle of them all. */
  public double median() {
    double[] sorted = letters.stream().mapToDouble(LetterContrast::ratio).sorted().toArray();
    return sorted.length == 0 ? 21 : sorted[sorted.length / 2];
  }

  /** Whether all can be read. */
  public boolean suffices() {
    return least() >= needed;
  }

  /** The ratio of two luminances: (lighter + 0.05) / (darker + 0.05), 1 to 21. */
  public static double ratio(double one, double other) {
    return (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);
  }

  /** Relative luminance of a colour, 0 to 1 (WCAG 2.2, from sRGB). */
  public static double luminance(int rgb) {
    return 0.2126 * LINEAR[rgb >> 16 & 0xff]
        + 0.7152 * LINEAR[rgb >> 8 & 0xff]
        + 0.0722 * LINEAR[rgb & 0xff];
  }
}
